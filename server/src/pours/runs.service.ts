import { Injectable } from '@nestjs/common';
import { checkDeed, InputError, paceOf, runOf, triesOf, type RunEvent } from '@dewpot/core';
import { benchOf, type PourView, type RunEventInput, type RunLesson, type RunView } from '@dewpot/contract';
import { PourEntity, RunEventEntity } from '../db/entities.js';
import { News } from '../db/news.js';
import { Rows } from '../db/rows.js';
import { ProblemError } from '../http/problem-error.js';

/** A device's clock may be so far ahead of ours, ms. */
const AHEAD = 120_000;

/** What happens in a pour at the bench: appended, each event once, in the order in which it arrives. */
@Injectable()
export class RunsService {
  constructor(
    private readonly rows: Rows,
    private readonly news: News,
  ) {}

  async of(pourId: string): Promise<RunView> {
    const rows = await this.rows
      .of(RunEventEntity)
      .find({ where: { pourId }, order: { recordedAt: 'ASC', id: 'ASC' } });
    return { events: rows.map(({ event }) => event) };
  }

  /** Adds events to a started pour; those that came before are passed over. @throws InputError, ProblemError 409 */
  async add(pour: PourView, given: readonly RunEventInput[], personId: string, now: number): Promise<RunView> {
    const there = new Set((await this.of(pour.id)).events.map(({ id }) => id));
    const fresh = given.filter(({ id }) => !there.has(id));
    const { parts, steps } = benchOf(pour);
    // Faces wait for hours: they are finished after the casts are on the shelf.
    const late = (told: RunEventInput) =>
      told.kind === 'void' || steps.some(({ key, window }) => window && key === told.step);
    const open = pour.status === 'started' || (pour.status === 'finished' && fresh.every(late));
    if (fresh.length > 0 && !open) throw notBegun(pour);
    const events = fresh.map((told, i): RunEvent => {
      if (told.at > now + AHEAD) throw ahead(i, told.at);
      return { ...checkDeed(told, parts, steps), id: told.id, at: told.at };
    });
    // One after another, so that they are told in this order.
    for (const event of events)
      await this.rows.manager
        .createQueryBuilder()
        .insert()
        .into(RunEventEntity)
        .values({ id: event.id, workshopId: this.rows.workshopId, pourId: pour.id, personId, event: event as object })
        .orIgnore()
        .execute();
    if (events.length > 0) await this.news.tell(this.rows.manager, pour.id);
    if (pour.status === 'finished' && events.length > 0)
      await this.rows.of(PourEntity).update({ id: pour.id }, { lessons: (await this.lessons(pour)) as object[] });
    return this.of(pour.id);
  }

  /** What a pour's run taught of each of its mixes. */
  async lessons(pour: PourView): Promise<RunLesson[]> {
    const run = runOf((await this.of(pour.id)).events);
    const { parts, steps } = benchOf(pour);
    return parts.map(({ mixId, windows }, part) => ({
      mixId,
      pace: paceOf(steps, run, part),
      tries: triesOf(steps, run, part, windows),
    }));
  }

  async forget(pourId: string): Promise<void> {
    await this.rows.of(RunEventEntity).delete({ pourId });
  }
}

const notBegun = ({ status }: PourView) =>
  status === 'finished'
    ? new ProblemError(409, 'Poured already', {
        detail:
          'This pour was finished, perhaps on another device: its casts stand on the shelf. Take it back to go on with it.',
      })
    : new ProblemError(409, 'Not begun', { detail: 'This pour is only planned: start it first.' });

const ahead = (i: number, value: number) =>
  new InputError([
    { field: `events.${i}.at`, value, message: 'That lies in the future.', remedy: 'Set the clock of this device.' },
  ]);
