import { Injectable } from '@nestjs/common';
import {
  averaged,
  castCode,
  cementMass,
  dryUsed,
  expectedByLog,
  lessonsOf,
  loggedBatch,
  mainColour,
  reckonSheet,
  skinOf,
  type PouredRecord,
  type PourPlan,
} from '@dewpot/core';
import { knownColours, planOf, type PourFinish, type PourInput, type PourView } from '@dewpot/contract';
import { CastsService } from '../casts/index.js';
import { LotEntity, PourEntity, ScoopEntity, WorkshopEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { saveEdited } from '../db/save-edited.js';
import { ProblemError } from '../http/problem-error.js';
import { MixesService } from '../mixes/index.js';
import { MouldsService } from '../moulds/index.js';
import { LotsService, plainLot, scoopView, strictFinder } from '../stores/index.js';
import { TintsService } from '../tints/index.js';

function pourView(row: PourEntity): PourView {
  const { id, number, version, status, input, plan, mixName, mixEdition, log, startedAt, pouredAt } = row;
  return {
    id,
    number,
    version,
    status,
    input,
    plan,
    mixName,
    mixEdition,
    ...(log && { log }),
    ...(startedAt !== null && { startedAt }),
    ...(pouredAt !== null && { pouredAt }),
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
    const resolved = await this.resolve(input, now);
    reckonSheet(resolved.plan);
    const number = existing?.number ?? (await this.nextNumber());
    return pourView(
      await saveEdited(this.rows, this.rows.of(PourEntity), 'pour', id, version, {
        ...resolved,
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
    if (row.status === 'finished') return pourView(row);
    this.checkFinish(row.plan, finish, now);
    const expected = expectedByLog(row.plan, finish.log);
    const batch = loggedBatch(row.plan, finish.log);
    const marks = new Map<number, string[]>();
    const skins = row.plan.items.map(skinOf);
    const colourOf = (item: number) => (skins[item] ? mainColour(skins[item]) : row.colour);
    for (const [index, item] of row.plan.items.entries())
      marks.set(index, await this.moulds.use(item.mouldId, item.count, colourOf(index)));
    for (const [index, cast] of finish.casts.entries()) {
      const item = row.plan.items[cast.item]!;
      await this.casts.create({
        id: cast.id,
        pourId: id,
        mouldId: item.mouldId,
        code: castCode(row.number, index),
        expected: expected[cast.item]!,
        pouredAt: finish.pouredAt,
        personId,
        snapshot: {
          mouldName: item.name,
          mixName: row.mixName,
          shape: item.shape,
          piece: item.piece,
          setting: row.plan.setting,
          colour: colourOf(cast.item),
          skin: skins[cast.item],
          copyMark: marks.get(cast.item)?.shift(),
          release: row.input.release,
          cover: row.input.cover,
          place: row.input.place,
          ratio: batch.freeWater / Math.max(1, cementMass(batch.portions)),
        },
      });
    }
    const taken = await this.lots.take(dryUsed(row.plan, finish.log), finish.pouredAt);
    await this.rows.of(PourEntity).update(
      { id },
      {
        status: 'finished',
        log: finish.log,
        taken: taken as object[],
        pouredAt: finish.pouredAt,
        startedAt: row.startedAt ?? finish.pouredAt,
      },
    );
    return this.one(id);
  }

  /** Takes a finished pour back, as long as nothing was done to its casts: they go, and what it took is in store again. */
  async undo(id: string): Promise<PourView> {
    const row = await this.row(id, true);
    if (row.status !== 'finished') return pourView(row);
    await this.casts.removeUntouched(id);
    for (const { mouldId, count } of row.plan.items) await this.moulds.unuse(mouldId, count);
    await this.lots.putBack(row.taken ?? []);
    await this.rows.of(PourEntity).update({ id }, { status: 'started', log: null, taken: null, pouredAt: null });
    return this.one(id);
  }

  /** Removes a plan that was not poured. */
  async remove(id: string): Promise<void> {
    const row = await this.row(id);
    if (row.status === 'finished')
      throw new ProblemError(409, 'Already poured', {
        detail: 'Its casts stand on the shelf: a finished pour stays in the record.',
      });
    await this.rows.of(PourEntity).delete({ id });
  }

  private checkFinish(plan: PourPlan, { casts, pouredAt }: PourFinish, now: number): void {
    const wrong = (field: string, value: unknown, message: string, remedy: string) =>
      new ProblemError(422, 'Something in this cannot be', {
        detail: message,
        errors: [{ field, value, message, remedy }],
      });
    if (pouredAt > now + 120_000)
      throw wrong('pouredAt', pouredAt, 'The pour lies in the future.', 'Enter when it was poured.');
    const stray = casts.find(({ item }) => item >= plan.items.length);
    if (stray)
      throw wrong('casts', stray.item, 'A cast is of a mould that is not in this pour.', 'Choose one of its moulds.');
  }

  private async resolve(
    input: Omit<PourInput, 'version'>,
    now: number,
  ): Promise<Pick<PourEntity, 'plan' | 'mixName' | 'mixId' | 'mixEdition' | 'colour'>> {
    const moulds = await this.moulds.some(input.items.map(({ mouldId }) => mouldId));
    const mix = await this.mixes.one(input.mixId);
    const scoop = await this.rows.of(ScoopEntity).findOneBy({ id: input.scoopId });
    if (!scoop) throw ProblemError.notFound('scoop');
    const { settings } = await this.rows.of(WorkshopEntity).findOneByOrFail({ id: this.rows.workshopId });
    const find = await strictFinder(this.rows);
    const { tints, swatches } = await this.tints.all();
    const plan = planOf(input, {
      moulds,
      mix,
      scoop: scoopView(scoop),
      find,
      tints,
      colours: knownColours(swatches, find),
      lots: (await this.rows.of(LotEntity).find()).map(plainLot),
      lessons: lessonsOf(await this.poured(mix.id)),
      workshop: settings,
      now,
    });
    return { plan: averaged(plan), mixName: mix.name, mixId: mix.id, mixEdition: mix.edition, colour: plan.colour! };
  }

  /** Pours of a mix that are done: what its water and its yield are learned from. */
  private async poured(mixId: string): Promise<PouredRecord[]> {
    const rows = await this.rows
      .of(PourEntity)
      .find({ where: { mixId, status: 'finished' }, select: { id: true, plan: true, log: true } });
    return rows.flatMap(({ plan, log }) => (log ? [{ plan, log }] : []));
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
