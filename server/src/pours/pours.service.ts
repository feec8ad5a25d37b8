import { Injectable } from '@nestjs/common';
import { averaged, castCode, dryUsed, lessonsOf, mainColour, reckonSheet, skinOf } from '@dewpot/core';
import {
  knownColours,
  partsOf,
  pouredOf,
  type PourFinish,
  type PourInput,
  type PourPart,
  type PourView,
  type RunLesson,
} from '@dewpot/contract';
import { CastsService } from '../casts/index.js';
import { LotEntity, PersonEntity, PourEntity, ScoopEntity, WorkshopEntity, type Taken } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';
import { MixesService } from '../mixes/index.js';
import { MouldsService } from '../moulds/index.js';
import { LotsService, plainLot, scoopView, strictFinder } from '../stores/index.js';
import { TintsService } from '../tints/index.js';
import { castsOf } from './made-casts.js';
import { RunsService } from './runs.service.js';

function pourView(row: PourEntity): PourView {
  const { id, number, version, status, input, parts, startedAt, pouredAt, lessons } = row;
  return {
    id,
    number,
    version,
    status,
    input,
    parts,
    ...(startedAt !== null && { startedAt }),
    ...(pouredAt !== null && { pouredAt }),
    ...(lessons && { lessons }),
  };
}

@Injectable()
export class PoursService {
  constructor(
    private readonly rows: Rows,
    private readonly moulds: MouldsService,
    private readonly mixes: MixesService,
    private readonly casts: CastsService,
    private readonly lots: LotsService,
    private readonly tints: TintsService,
    private readonly runs: RunsService,
  ) {}

  async all(): Promise<PourView[]> {
    return (await this.rows.of(PourEntity).find({ order: { number: 'DESC' } })).map(pourView);
  }

  async one(id: string): Promise<PourView> {
    return pourView(await this.row(id));
  }

  /** Saves a plan with copies of all it uses; refuses one that cannot be poured. */
  async save(id: string, { version, ...input }: PourInput, now = Date.now()): Promise<PourView> {
    const existing = await this.rows.of(PourEntity).findOneBy({ id });
    if (existing && existing.status !== 'planned') {
      throw new ProblemError(409, 'Already poured', {
        detail: 'This pour has been started: its plan stays as it was. Plan another one.',
      });
    }
    const parts = await this.resolve(input, now);
    for (const { plan } of parts) reckonSheet(plan);
    const number = existing?.number ?? (await this.nextNumber());
    return pourView(
      await saveEdited(this.rows, this.rows.of(PourEntity), 'pour', id, version, {
        parts,
        input,
        number,
        status: 'planned',
      }),
    );
  }

  async start(id: string, now: number): Promise<PourView> {
    const row = await this.row(id);
    if (row.status === 'planned') await this.rows.of(PourEntity).update({ id }, { status: 'started', startedAt: now });
    return this.one(id);
  }

  /** Ends a pour: keeps what was really used, takes it from the store, and makes its casts. Asked twice, it is done once. */
  async finish(id: string, finish: PourFinish, personId: string, now: number): Promise<PourView> {
    const row = await this.row(id, true);
    if (row.status === 'finished') return this.finishedBefore(row, finish);
    this.checkFinish(row, finish, now);
    const parts = row.parts.map((part, i) => ({ ...part, log: { ...finish.logs[i]! } }));
    const made = castsOf(parts, finish);
    const marks = new Map<number, string[]>();
    for (const { items, plan, colour } of parts)
      for (const [i, item] of plan.items.entries()) {
        const skin = skinOf(item);
        marks.set(items[i]!, await this.moulds.use(item.mouldId, item.count, skin ? mainColour(skin) : colour));
      }
    for (const [index, { item, ...cast }] of made.entries()) {
      const { release, cover, place } = row.input;
      const copyMark = marks.get(item)?.shift();
      await this.casts.create({
        ...cast,
        pourId: id,
        code: castCode(row.number, index),
        pouredAt: finish.pouredAt,
        personId,
        snapshot: { ...cast.snapshot, copyMark, release, cover, place },
      });
    }
    const taken: Taken[] = [];
    for (const { plan, log } of parts) taken.push(...(await this.lots.take(dryUsed(plan, log), finish.pouredAt)));
    await this.rows.of(PourEntity).update(
      { id },
      {
        status: 'finished',
        parts: parts as object[],
        taken: taken as object[],
        pouredAt: finish.pouredAt,
        startedAt: row.startedAt ?? finish.pouredAt,
        finishedBy: personId,
        lessons: (await this.runs.lessons(pourView(row))) as object[],
      },
    );
    return this.one(id);
  }

  /** Takes a finished pour back, as long as nothing was done to its casts: they go, and what it took is in store again. */
  async undo(id: string): Promise<PourView> {
    const row = await this.row(id, true);
    if (row.status !== 'finished') return pourView(row);
    await this.casts.removeUntouched(id);
    for (const { mouldId, count } of row.parts.flatMap(({ plan }) => plan.items))
      await this.moulds.unuse(mouldId, count);
    await this.lots.putBack(row.taken ?? []);
    const parts = row.parts.map(({ log: _, ...part }) => part);
    await this.rows
      .of(PourEntity)
      .update(
        { id },
        { status: 'started', parts: parts as object[], taken: null, pouredAt: null, finishedBy: null, lessons: null },
      );
    return this.one(id);
  }

  /** Removes a plan that was not poured. */
  async remove(id: string): Promise<void> {
    const row = await this.row(id);
    if (row.status === 'finished')
      throw new ProblemError(409, 'Already poured', {
        detail: 'Its casts stand on the shelf: a finished pour stays in the record.',
      });
    await this.runs.forget(id);
    await this.rows.of(PourEntity).delete({ id });
  }

  /** Finished once already: by the same device, which may not have heard of it; or by another one, which is told by name. */
  private async finishedBefore(row: PourEntity, { casts }: PourFinish): Promise<PourView> {
    if (await this.casts.any(casts.map(({ id }) => id))) return pourView(row);
    const person = row.finishedBy && (await this.rows.of(PersonEntity).findOneBy({ id: row.finishedBy }));
    throw new ProblemError(409, 'Finished already', {
      detail: `${person ? person.name : 'Someone else'} has finished this pour: its casts stand on the shelf. If what was logged is wrong, take the pour back and finish it again.`,
    });
  }

  private checkFinish({ input, parts }: PourEntity, { casts, logs, pouredAt }: PourFinish, now: number): void {
    const wrong = (field: string, value: unknown, message: string, remedy: string) =>
      ProblemError.refused('Something in this cannot be', field, value, message, remedy);
    if (pouredAt > now + 120_000)
      throw wrong('pouredAt', pouredAt, 'The pour lies in the future.', 'Enter when it was poured.');
    if (logs.length !== parts.length)
      throw wrong(
        'logs',
        logs.length,
        `This pour is of ${parts.length} mixes, and ${logs.length} were told of.`,
        'Tell what went into each.',
      );
    const stray = casts.find(({ item }) => item >= input.items.length);
    if (stray)
      throw wrong('casts', stray.item, 'A cast is of a mould that is not in this pour.', 'Choose one of its moulds.');
  }

  private async resolve(input: Omit<PourInput, 'version'>, now: number): Promise<PourPart[]> {
    const moulds = await this.moulds.some(input.items.map(({ mouldId }) => mouldId));
    const scoop = await this.rows.of(ScoopEntity).findOneBy({ id: input.scoopId });
    if (!scoop) throw ProblemError.notFound('scoop');
    const { settings } = await this.rows.of(WorkshopEntity).findOneByOrFail({ id: this.rows.workshopId });
    const find = await strictFinder(this.rows);
    const { tints, swatches } = await this.tints.all();
    const poured = await this.poured();
    const parts = partsOf(input, {
      moulds,
      mixes: await this.mixes.all(),
      scoop: scoopView(scoop),
      find,
      tints,
      colours: knownColours(swatches, find),
      lots: (await this.rows.of(LotEntity).find()).map(plainLot),
      lessons: (mixId) => lessonsOf(pouredOf(mixId, poured)),
      runs: await this.taught(),
      workshop: settings,
      now,
    });
    return parts.map((part) => ({ ...part, plan: averaged(part.plan) }));
  }

  /** Parts of pours that are done: what a mix's water and its yield are learned from. */
  private async poured(): Promise<PourPart[]> {
    const rows = await this.rows
      .of(PourEntity)
      .find({ where: { status: 'finished' }, select: { id: true, parts: true }, order: { number: 'ASC' } });
    return rows.flatMap(({ parts }) => parts);
  }

  /** What runs at the bench taught. */
  private async taught(): Promise<RunLesson[]> {
    const rows = await this.rows
      .of(PourEntity)
      .find({ where: { status: 'finished' }, select: { id: true, lessons: true }, order: { number: 'ASC' } });
    return rows.flatMap(({ lessons }) => lessons ?? []);
  }

  private async nextNumber(): Promise<number> {
    const workshops = this.rows.of(WorkshopEntity);
    const { id, poursCounted } = await workshops.findOneOrFail({
      where: { id: this.rows.workshopId },
      lock: { mode: 'pessimistic_write' },
    });
    await this.rows.manager.query('update workshops set pours_counted = $2 where id = $1', [id, poursCounted + 1]);
    return poursCounted + 1;
  }

  private async row(id: string, lock = false): Promise<PourEntity> {
    const row = await this.rows
      .of(PourEntity)
      .findOne({ where: { id }, ...(lock && { lock: { mode: 'pessimistic_write' as const } }) });
    if (!row) throw ProblemError.notFound('pour');
    return row;
  }
}
