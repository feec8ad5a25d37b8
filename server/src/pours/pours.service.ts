import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import type { castsOf, MixLesson, PourPart, RunLesson } from '@dewpot/core/planning';
import { dryUsed, faceColouringOf, mainColour, type PourLog } from '@dewpot/core/pours';
import { castCode } from '@dewpot/core/casts';
import { markedBy, markOf } from '@dewpot/core/findings';
import type { Page, PastPoursView, PourFinish, PourInput, PourRow, PoursQuery, PourView } from '@dewpot/contract';
import { clock } from '../clock.js';
import { CalculationPool } from '../calculation/calculation-pool.js';
import type { PlanData } from '../calculation/crossing.js';
import { CastsService } from '../casts/index.js';
import { LotEntity, MaterialEntity, ScoopEntity } from '../materials/materials.entities.js';
import { PastPersonEntity, PersonEntity } from '../accounts/accounts.entities.js';
import { PourEntity } from './pours.entities.js';
import { listedBy, pourRow, pourView } from './pours.mappers.js';
import { PastPoursService } from './past-pours.service.js';
import { pageOf, withWords } from '../db/page.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';
import { TrialDealsService } from '../findings/index.js';
import { MixesService } from '../mixes/index.js';
import { MouldsService } from '../moulds/index.js';
import { LotsService, plainLot, plainMaterial, scoopView } from '../materials/index.js';
import { TintsService } from '../tints/index.js';
import { checkFinish, checkPlanned } from './pour-checks.js';
import { RunsService } from './runs.service.js';

/** A pour that something happens to while its end is calculated is ended again so often. */
const FINISH_TRIES = 3;

type LoggedPart = PourPart & { readonly log: PourLog };

/** What a pour comes to: its casts, and what it taught. */
interface Outcome {
  readonly made: ReturnType<typeof castsOf>;
  readonly lessons: readonly RunLesson[];
  readonly taught: readonly MixLesson[];
}

/** A row of a list is read without the plans that its pour keeps. */
const listColumns = (['id', 'workshopId', 'number', 'status', 'pieces', 'mixes', 'pouredAt'] as const).map(
  (name) => `row.${name}`,
);
const searched = [
  'row.number::text',
  `jsonb_path_query_array(row.pieces, '$[*].name')::text`,
  `array_to_string(row.mixes, ' ')`,
];

/** g by material of all parts together: each lot is then taken from once. */
function summed(used: readonly Readonly<Record<string, number>>[]): Record<string, number> {
  const all: Record<string, number> = {};
  for (const [id, mass] of used.flatMap((one) => Object.entries(one))) all[id] = (all[id] ?? 0) + mass;
  return all;
}

@Injectable()
export class PoursService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly moulds: MouldsService,
    private readonly mixes: MixesService,
    private readonly casts: CastsService,
    private readonly lots: LotsService,
    private readonly tints: TintsService,
    private readonly runs: RunsService,
    private readonly pastPours: PastPoursService,
    private readonly calculations: CalculationPool,
    private readonly trials: TrialDealsService,
  ) {}

  /** One page of all pours. @throws InputError where the page is none */
  async page({ q, order = 'newest', status, ...page }: PoursQuery): Promise<Page<PourRow>> {
    const query = this.rows.of(PourEntity).createQueryBuilder('row').select(listColumns);
    withWords(query, q, searched);
    if (status) query.andWhere({ status });
    const found = await pageOf(query, { by: 'row.number', type: 'bigint', down: order === 'newest' }, page);
    return { ...found, rows: found.rows.map(pourRow) };
  }

  /** What earlier pours tell the next one. */
  async past(): Promise<PastPoursView> {
    await this.pastPours.learnOlder();
    return this.rows.transaction(() => this.pastPours.view());
  }

  async one(id: string): Promise<PourView> {
    return pourView(await this.row(id));
  }

  /**
   * Saves a plan with copies of all it uses; refuses one that cannot be poured. It is made without a transaction: the version
   * that it was made on is looked at again when it is written.
   */
  async save(id: string, { version, ...input }: PourInput, now = clock.now()): Promise<PourView> {
    await this.pastPours.learnOlder();
    const data = await this.rows.transaction(async () => {
      checkPlanned(await this.rows.of(PourEntity).findOneBy({ id }));
      return this.dataFor(
        input.items.map(({ mouldId }) => mouldId),
        now,
      );
    });
    const parts = await this.calculations.run('plan', input, data);
    return this.rows.transaction(async () => {
      const existing = await this.locked(id);
      checkPlanned(existing);
      const number = existing?.number ?? (await this.nextNumber());
      const trial = await this.trials.dealt(id, input, existing?.trial ?? null);
      const fields = { parts, ...listedBy(parts), input, number, status: 'planned', trial };
      return pourView(await saveEdited(this.rows, this.rows.of(PourEntity), 'pour', id, version, fields));
    });
  }

  async start(id: string, now: number): Promise<PourView> {
    const row = await this.row(id, true);
    if (row.status === 'planned') await this.rows.of(PourEntity).update({ id }, { status: 'started', startedAt: now });
    return this.one(id);
  }

  /**
   * Ends a pour: keeps what was really used, takes it from the store, and makes its casts. Asked twice, it is done once.
   * What it comes to is calculated without a transaction; where something happened to the pour meanwhile, it is done again.
   */
  async finish(id: string, finish: PourFinish, personId: string, now: number): Promise<PourView> {
    for (let tries = FINISH_TRIES; ; tries--) {
      const { row, events } = await this.rows.transaction(async () => ({
        row: await this.row(id),
        events: (await this.runs.of(id)).events,
      }));
      if (row.status === 'finished') return this.rows.transaction(() => this.finishedBefore(row, finish));
      checkFinish(row, finish, now);
      const parts = row.parts.map((part, i) => ({ ...part, log: { ...defined(finish.logs[i]) } }));
      const [made, lessons, taught] = await Promise.all([
        this.calculations.run('casts', parts, finish),
        this.runs.lessons(row, events),
        this.pastPours.taughtBy(parts),
      ]);
      const done = await this.rows.transaction(async () => {
        const locked = await this.row(id, true);
        if (locked.status === 'finished') return this.finishedBefore(locked, finish);
        const same = locked.version === row.version && (await this.runs.of(id)).events.length === events.length;
        return same ? this.keepFinished(locked, parts, { made, lessons, taught }, finish, personId) : undefined;
      });
      if (done) return done;
      if (tries === 0)
        throw new ProblemError(409, msg('server.goingOn'), {
          detail: msg('server.stillHappening'),
        });
    }
  }

  private async keepFinished(
    row: PourEntity,
    parts: readonly LoggedPart[],
    { made, lessons, taught }: Outcome,
    finish: PourFinish,
    personId: string,
  ): Promise<PourView> {
    const { id } = row;
    await this.makeCasts(row, made, await this.useMoulds(parts), finish, personId);
    const used = parts.map(({ plan, log }) => dryUsed(plan, log));
    const taken = await this.lots.take(summed(used), finish.pouredAt);
    await this.rows.of(PourEntity).update(
      { id },
      {
        status: 'finished',
        parts: parts as object[],
        taken: taken as object[],
        pouredAt: finish.pouredAt,
        startedAt: row.startedAt ?? finish.pouredAt,
        finishedBy: personId,
        lessons: lessons as object[],
        taught: taught as object[],
      },
    );
    return this.one(id);
  }

  /** Counts the moulds of a pour as filled; answers the marks of their copies by item. In the order of their keys, so that two pours wait for each other and neither for ever. */
  private async useMoulds(parts: readonly LoggedPart[]): Promise<Map<number, string[]>> {
    const uses = parts.flatMap(({ items, plan, colour }) =>
      plan.items.map((item, i) => {
        const faceColouring = faceColouringOf(item);
        return {
          at: defined(items[i]),
          mouldId: item.mouldId,
          count: item.count,
          colour: faceColouring ? mainColour(faceColouring) : colour,
        };
      }),
    );
    const marks = new Map<number, string[]>();
    for (const { at, mouldId, count, colour } of uses.sort((a, b) => (a.mouldId < b.mouldId ? -1 : 1)))
      marks.set(at, await this.moulds.use(mouldId, count, colour));
    return marks;
  }

  private async makeCasts(
    row: PourEntity,
    made: ReturnType<typeof castsOf>,
    marks: ReadonlyMap<number, string[]>,
    { pouredAt }: PourFinish,
    personId: string,
  ): Promise<void> {
    const { release, cover, place } = row.input;
    const ways = { ...(release && { release }), ...(cover && { cover }), ...(place && { place }) };
    const poured = new Map<number, number>();
    for (const [index, { item, copy = poured.get(item) ?? 0, ...cast }] of made.entries()) {
      poured.set(item, copy + 1);
      const copyMark = marks.get(item)?.shift();
      const mark = row.trial && markOf(row.trial, item, copy);
      await this.casts.create({
        ...cast,
        pourId: row.id,
        code: castCode(row.number, index),
        pouredAt,
        personId,
        orderLine: row.input.items[item]?.orderLine ?? null,
        snapshot: { ...cast.snapshot, ...(copyMark && { copyMark }), ...ways, ...(mark && markedBy(mark)) },
      });
    }
  }

  /** Takes a finished pour back, as long as nothing was done to its casts: they go, and what it took is in store again. */
  async undo(id: string): Promise<PourView> {
    const row = await this.row(id, true);
    if (row.status !== 'finished') return pourView(row);
    await this.casts.removeUntouched(id);
    const items = row.parts.flatMap(({ plan }) => plan.items);
    for (const { mouldId, count } of items.sort((a, b) => (a.mouldId < b.mouldId ? -1 : 1)))
      await this.moulds.unuse(mouldId, count);
    await this.lots.putBack(row.taken ?? []);
    const parts = row.parts.map(({ log: _, ...part }) => part);
    await this.rows.of(PourEntity).update(
      { id },
      {
        status: 'started',
        parts: parts as object[],
        taken: null,
        pouredAt: null,
        finishedBy: null,
        lessons: null,
        taught: null,
      },
    );
    return this.one(id);
  }

  /** Removes a plan that was not poured. */
  async remove(id: string): Promise<void> {
    const row = await this.row(id, true);
    if (row.status === 'finished')
      throw new ProblemError(409, msg('server.alreadyPoured'), {
        detail: msg('server.castsStand'),
      });
    await this.rows.of(PourEntity).delete({ id });
  }

  /** Finished once already: by the same device, which may not have heard of it; or by another one, which is told by name. */
  private async finishedBefore(row: PourEntity, { casts }: PourFinish): Promise<PourView> {
    if (await this.casts.any(casts.map(({ id }) => id))) return pourView(row);
    const person = row.finishedBy && (await this.nameOf(row.finishedBy));
    throw new ProblemError(409, msg('server.finishedAlready'), {
      detail: msg('server.personFinished', { person: person || msg('server.someoneElse') }),
    });
  }

  /** What somebody is called, also once they left. */
  private async nameOf(id: string): Promise<string | undefined> {
    const person = await this.rows.of(PersonEntity).findOneBy({ id });
    return (person ?? (await this.rows.of(PastPersonEntity).findOneBy({ id })))?.name;
  }

  /** All that a plan of these moulds is made from. @throws ProblemError 404 where one is not here. */
  async dataFor(mouldIds: readonly string[], now: number): Promise<PlanData> {
    const moulds = await this.moulds.some(mouldIds);
    const { settings } = await this.rows.workshop();
    const { lessons, runs } = await this.pastPours.view();
    return {
      moulds,
      mixes: await this.mixes.all(),
      scoops: (await this.rows.of(ScoopEntity).find({ order: { id: 'ASC' } })).map(scoopView),
      materials: (await this.rows.of(MaterialEntity).find()).map(plainMaterial),
      ...(await this.tints.all()),
      lots: (await this.rows.of(LotEntity).find()).map(plainLot),
      lessons,
      runs,
      workshop: settings,
      now,
    };
  }

  private async nextNumber(): Promise<number> {
    await this.rows.lockWorkshop();
    const number = (await this.rows.workshop()).poursCounted + 1;
    this.rows.forget('workshop');
    await this.rows.manager.query('update workshops set pours_counted = $2 where id = $1', [
      this.rows.workshopId,
      number,
    ]);
    return number;
  }

  private async row(id: string, lock = false): Promise<PourEntity> {
    const row = lock ? await this.locked(id) : await this.rows.of(PourEntity).findOneBy({ id });
    if (!row) throw ProblemError.notFound('pour');
    return row;
  }

  private locked(id: string): Promise<PourEntity | null> {
    return this.rows.of(PourEntity).findOne({ where: { id }, lock: { mode: 'for_no_key_update' } });
  }
}
