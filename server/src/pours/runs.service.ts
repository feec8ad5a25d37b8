import { Injectable } from '@nestjs/common';
import { InputError, msg } from '@dewpot/core/units';
import type { RunEvent } from '@dewpot/core/bench';
import type { RunLesson } from '@dewpot/core/planning';
import type { PourView, RunEventTold, RunView } from '@dewpot/contract';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { PourEntity, RunEventEntity } from './pours.entities.js';
import { PgNotifications } from '../db/pg-notifications.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';

/** A device's clock may be so far ahead of ours, ms. */
const AHEAD = 120_000;

type Bench = Pick<PourView, 'parts' | 'input'>;

/** What happens in a pour at the bench: appended, each event once, in the order in which it arrives. */
@Injectable()
export class RunsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly news: PgNotifications,
    private readonly calculations: CalculationPool,
  ) {}

  async of(pourId: string): Promise<RunView> {
    const rows = await this.rows
      .of(RunEventEntity)
      .find({ where: { pourId }, order: { recordedAt: 'ASC', id: 'ASC' } });
    return { events: rows.map(({ event }) => event) };
  }

  /**
   * Adds events to a started pour; those that came before are passed over. What they may be is calculated without a
   * transaction; whether the pour still takes them is looked at again under its lock. @throws InputError, ProblemError 409
   */
  async add(pourId: string, given: readonly RunEventTold[], personId: string, now: number): Promise<RunView> {
    const { pour, fresh } = await this.rows.transaction(async () => ({
      pour: await this.pour(pourId),
      fresh: await this.unknown(pourId, given),
    }));
    fresh.forEach(({ at }, i) => {
      if (at > now + AHEAD) throw ahead(i, at);
    });
    if (fresh.length === 0) return this.rows.transaction(() => this.of(pourId));
    if (pour.status === 'planned') throw notBegun(pour);
    const { events, late } = await this.calculations.run('runEvents', pour, fresh);
    const done = await this.rows.transaction(async () => {
      const locked = await this.pour(pourId, true);
      // Faces wait for hours: they are finished after the casts are on the shelf.
      if (locked.status !== 'started' && !(locked.status === 'finished' && late)) throw notBegun(locked);
      await this.insert(pourId, events, personId);
      return locked.status === 'finished';
    });
    if (done) await this.learnLate(pour);
    return this.rows.transaction(() => this.of(pourId));
  }

  /** What a pour's run taught of each of its mixes. */
  lessons(pour: Bench, events: readonly RunEvent[]): Promise<RunLesson[]> {
    return this.calculations.run('lessons', pour, events);
  }

  /** Keeps what a pour taught whose faces were finished after it. */
  private async learnLate(pour: PourEntity): Promise<void> {
    const { events } = await this.rows.transaction(() => this.of(pour.id));
    const lessons = await this.lessons(pour, events);
    await this.rows.transaction(async () => {
      await this.pour(pour.id, true);
      // Whoever added later events learns from all of them.
      if ((await this.of(pour.id)).events.length === events.length)
        await this.rows.of(PourEntity).update({ id: pour.id }, { lessons: lessons as object[] });
    });
  }

  private async unknown(pourId: string, given: readonly RunEventTold[]): Promise<RunEventTold[]> {
    const there = new Set((await this.of(pourId)).events.map(({ id }) => id));
    return given.filter(({ id }) => !there.has(id));
  }

  private async insert(pourId: string, events: readonly RunEvent[], personId: string): Promise<void> {
    const { workshopId } = this.rows;
    // One after another, so that they are told in this order.
    for (const event of events)
      await this.rows.manager
        .createQueryBuilder()
        .insert()
        .into(RunEventEntity)
        .values({ id: event.id, workshopId, pourId, personId, event: event as object })
        .orIgnore()
        .execute();
    await this.news.tell(this.rows.manager, pourId);
  }

  private async pour(id: string, lock = false): Promise<PourEntity> {
    const row = await this.rows
      .of(PourEntity)
      .findOne({ where: { id }, ...(lock && { lock: { mode: 'for_no_key_update' as const } }) });
    if (!row) throw ProblemError.notFound('pour');
    return row;
  }
}

const notBegun = ({ status }: Pick<PourView, 'status'>) =>
  status === 'finished'
    ? new ProblemError(409, msg('server.pouredAlready'), {
        detail: msg('server.finishedElsewhere'),
      })
    : new ProblemError(409, msg('server.notBegun'), { detail: msg('server.onlyPlanned') });

const ahead = (i: number, value: number) =>
  new InputError([{ field: `events.${i}.at`, value, message: msg('server.inFuture'), remedy: msg('server.setClock') }]);
