import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import { sealers, type Sealer } from '@dewpot/core/materials';
import { likelyPiece } from '@dewpot/core/sealing';
import { colourDifference } from '@dewpot/core/tints';
import {
  againstDecorating,
  appendEvent,
  lastCoat,
  lifeOf,
  remarksOnCoat,
  wakesAt,
  type CastEvent,
  type Life,
} from '@dewpot/core/casts';
import type { CastEventTold, ColourSeenInput } from '@dewpot/contract';
import { clock } from '../clock.js';
import { zoneOf } from '../config.js';
import { CastEntity, CastEventEntity } from './casts.entities.js';
import { listedBy } from './casts.mappers.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import {
  DrynessService,
  noAmbientYet,
  type KnownForAll,
  ProductsService,
  type Product,
  RefitsService,
  SealLessonsService,
  WeighedNowService,
} from '../sealing/index.js';
import { DuesService } from './dues.service.js';
import { DemouldsService } from '../curing/index.js';
import { lockPours } from './lock-pours.js';

/** Events after which the pieces that were inferred from a cast are judged again. */
const tellsOthers: readonly CastEvent['type'][] = ['weighed', 'voided', 'wetted', 'rinsed', 'uncovered', 'decorated'];
/** Events that are judged by how dry a cast is. */
const goesByDryness: readonly CastEvent['type'][] = ['weighed', 'decorated', 'coated'];
/** Events that tell what became of an overridden coat. */
const teachesSealing: readonly CastEvent['type'][] = ['coated', 'checked', 'came-later', 'voided'];

/** The joining of parts is undone at the article, for all of them together. @throws ProblemError */
function checkUndo(event: CastEvent, events: readonly CastEvent[]): void {
  if (event.type !== 'voided') return;
  const undone = events.find(({ id }) => id === event.event);
  if (undone?.type === 'joined' || undone?.type === 'assembled')
    throw ProblemError.refused(
      msg('server.notUndone'),
      'event',
      event.event,
      msg('server.partOfArticle'),
      msg('server.takeApart'),
    );
}

/** What a coat keeps of its product: the sheet as it is now, and the lot that it comes from. */
const ofProduct = ({ sealer: product, lotId }: Product) => ({ product, sealer: product.kind, ...(lotId && { lotId }) });

/** An event that was taken in, and the product of the store that it used. */
interface Taken {
  readonly event: CastEvent;
  readonly product: Product | undefined;
}

/** A cast with all that was told of it. */
interface Recorded {
  readonly row: CastEntity;
  readonly events: readonly CastEvent[];
}

/** A cast as its life has come to be; how dry it is has still to be judged. */
const withLife = (row: CastEntity, life: Life): CastEntity => ({
  ...row,
  ...listedBy(row.snapshot, life),
  projection: { ...row.projection, life },
});

/** What colour a face is, beside the one that was wanted. */
const seenColour = (input: ColourSeenInput, wanted: string) => ({
  ...input,
  wanted,
  difference: colourDifference(input.colour, wanted),
});

/** Takes in what happens to casts, and judges it by what is known. */
@Injectable()
export class CastRecordsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly dues: DuesService,
    private readonly dryness: DrynessService,
    private readonly demoulds: DemouldsService,
    private readonly lessons: SealLessonsService,
    private readonly products: ProductsService,
    private readonly refits: RefitsService,
    private readonly weighed: WeighedNowService,
  ) {}

  /** Appends an event to a cast's life. What happens to the casts of one pour at once is taken in one after the other. The same event sent twice is one. @throws InputError, ProblemError */
  record(castId: string, input: CastEventTold, personId: string | null, now: number): Promise<Recorded> {
    return this.recordAll(castId, [input], personId, now);
  }

  /** Appends events to a cast's life in their order, all of them or none. What they teach others is taken in after the last. @throws InputError, ProblemError */
  async recordAll(castId: string, inputs: readonly CastEventTold[], personId: string | null, now: number): Promise<Recorded> {
    const held = await this.locked(castId);
    const before = held.events;
    let { row, events } = held;
    let isJudged = true;
    const taken: Taken[] = [];
    for (const input of inputs) {
      if (events.some(({ id }) => id === input.id)) continue;
      if (!isJudged && goesByDryness.includes(input.type)) row = await this.judgedAnew(row, now);
      const product = await this.products.of('materialId' in input ? input.materialId : undefined, input.at);
      const filled = await this.filledIn(input, row, product, now);
      appendEvent(events, filled, row.expected, now);
      checkUndo(filled, events);
      const event = await this.judged(filled, row, product);
      events = appendEvent(events, event, row.expected, now);
      row = withLife(row, lifeOf(events));
      isJudged = false;
      taken.push({ event, product });
    }
    if (taken.length === 0) return { row, events };
    const kept = await this.append(row, events.slice(before.length), personId, now);
    await this.teach(taken, kept, now);
    return { row: kept, events };
  } // prettier-ignore

  /** Appends an event of the application's own making, such as a part's joining. @throws InputError, ProblemError */
  async recordOwn(castId: string, event: CastEvent, personId: string | null, now: number): Promise<void> {
    const { row, events } = await this.locked(castId);
    const after = appendEvent(events, event, row.expected, now);
    await this.append(withLife(row, lifeOf(after)), [event], personId, now);
  }

  /** Keeps new events of a cast, and what all of its events come to. */
  private async append(row: CastEntity, fresh: readonly CastEvent[], personId: string | null, now: number): Promise<CastEntity> {
    const { workshopId } = this.rows;
    const told = fresh.map((event) => ({ id: event.id, workshopId, castId: row.id, personId, event: event as object }));
    const [kept] = await Promise.all([
      // What findings know of it is gathered again when somebody asks.
      this.keep(row, row.projection.life, now, undefined, { finding: null }),
      this.rows.of(CastEventEntity).insert(told),
    ]);
    return { ...kept, finding: null };
  } // prettier-ignore

  private async judgedAnew(row: CastEntity, now: number): Promise<CastEntity> {
    return { ...row, projection: { ...row.projection, dry: await this.dryness.summary(row, now) } };
  }

  /** A cast with all that was told of it, locked after its pour, the workshop's settings being held. @throws ProblemError 404 */
  private async locked(castId: string): Promise<Recorded> {
    await Promise.all([
      lockPours(this.rows, [castId]),
      this.rows.holdWorkshop(),
      this.rows.manager.query('select 1 from casts where id = $1 for no key update', [castId]),
    ]);
    // Read after the locks: of two that wait for each other the second one sees what the first one told.
    const [row, events] = await Promise.all([
      this.rows.of(CastEntity).findOneBy({ id: castId }),
      this.events(castId),
      // By these it is judged: they are at hand then.
      this.dryness.ways(),
    ]);
    if (!row) throw ProblemError.notFound('cast');
    return { row, events };
  }

  /** Keeps what the events of a cast come to. */
  async keep(
    row: CastEntity,
    life: Life,
    now: number,
    known?: KnownForAll,
    more: { finding?: null } = {},
  ): Promise<CastEntity> {
    const { id } = row;
    const dry = await this.dryness.summary({ ...row, projection: { ...row.projection, life } }, now, known);
    const wakes = life.stage === 'finished' ? wakesAt(life, await this.zone()) : undefined;
    const kept = { ...listedBy(row.snapshot, life), projection: { life, dry }, wakesAt: wakes ?? null };
    await this.rows.of(CastEntity).update({ id }, { ...kept, ...more, projection: kept.projection as object });
    return { ...row, ...kept };
  }

  private async zone(): Promise<string> {
    const { settings } = await this.rows.workshop();
    return zoneOf(settings);
  }

  /** An event with what the caster need not say: a demoulding's age, a weighing's air, a product's sheet. */
  private async filledIn(
    input: CastEventTold,
    row: CastEntity,
    product: Product | undefined,
    now: number,
  ): Promise<CastEvent> {
    switch (input.type) {
      case 'demoulded':
        return { ...input, equivalentAge: await this.dues.ageAt(row, input.at, now) };
      case 'weighed':
        return { ...input, ...(input.temperature === undefined && (await this.dryness.ambientAt(row, input.at, now))) };
      case 'colour-seen':
        return seenColour(input, row.snapshot.colour);
      case 'seal-planned':
        return { ...input, ...(product && { product: product.sealer, sealer: product.sealer.kind }) };
      case 'coated': {
        const { materialId: _, ...coat } = input;
        const ambient = await this.dryness.ambientAt(row, coat.at, now);
        return { ...coat, ...(product && ofProduct(product)), ...(ambient && { ambient }) };
      }
      default:
        return { ...input };
    }
  }

  /** Judges an event that something may speak against; refused unless it is overridden. @throws ProblemError */
  private async judged(event: CastEvent, row: CastEntity, product: Product | undefined): Promise<CastEvent> {
    const { life, dry } = row.projection;
    if (event.type === 'weighed' && !event.sure && event.together === undefined) {
      const likely = likelyPiece(event.mass, ...(await this.weighed.expected(row, event.at)));
      if (likely.piece !== 'as said')
        throw ProblemError.refused(
          msg('server.rightPiece'),
          'sure',
          event.mass,
          likely.told,
          msg('server.weighOrConfirm'),
        );
    }
    if (event.type === 'decorated' && event.overridden === undefined) {
      const against = againstDecorating(life, dry.dryEnough, event.decoration, event.at);
      if (against.length > 0)
        throw ProblemError.refused(
          msg('server.notNow'),
          'decoration',
          event.decoration,
          against,
          msg('server.waitOrOverride'),
        );
    }
    return event.type === 'coated' ? this.judgedCoat(event, row, product) : event;
  }

  private async judgedCoat(
    event: CastEvent & { type: 'coated' },
    row: CastEntity,
    product: Product | undefined,
  ): Promise<CastEvent> {
    const { life } = row.projection;
    const sealer: Sealer = event.product ?? sealers[event.sealer];
    const last = lastCoat(life);
    const since = last ? await this.dryness.ambientBetween(row, last.at, event.at, clock.now()) : [];
    const remarks = remarksOnCoat(life, {
      sealer,
      at: event.at,
      ...(event.ambient && { ambient: event.ambient }),
      ...(product?.openMonths !== undefined && { openMonths: product.openMonths }),
      ...(since.length > 0 && { since }),
    }).filter(({ severity }) => severity === 'refuse');
    const gate = last ? undefined : await this.dryness.gate(row, sealer, event.at);
    const shut = gate && !gate.open;
    if (event.overridden !== undefined) return shut && gate.over !== undefined ? { ...event, over: gate.over } : event;
    if (shut)
      throw ProblemError.refused(
        msg('server.notDryEnough'),
        'sealer',
        event.sealer,
        gate.reasons,
        msg('server.waitAndWeigh'),
      );
    if (remarks.length > 0)
      throw new ProblemError(422, msg('server.notYet'), {
        detail: remarks.map(({ told }) => told),
        errors: remarks.map(({ told, remedy }) => ({ field: 'sealer', value: event.sealer, message: told, remedy })),
      });
    return event;
  }

  /** What events teach beyond their own cast. */
  private async teach(taken: readonly Taken[], kept: CastEntity, now: number): Promise<void> {
    const some = (types: readonly CastEvent['type'][]) => taken.some(({ event }) => types.includes(event.type));
    if (some(['demoulded', 'voided'])) await this.demoulds.learn(kept);
    for (const { event, product } of taken)
      if (event.type === 'coated' && event.volume !== undefined && product)
        await this.products.use(product, event.volume, event.at);
    if (some(tellsOthers)) await this.judgeSiblings(kept, now);
    if (some(teachesSealing) && (await this.lessons.learn(kept))) await this.refits.ask();
  }

  /** Judges the casts again that are inferred from this one: those that others are weighed for. */
  private async judgeSiblings(cast: CastEntity, now: number): Promise<void> {
    const siblings = (await this.dryness.siblings([cast])).map((sibling) => (sibling.id === cast.id ? cast : sibling));
    const sampled = this.dryness.sampled(siblings);
    const inferred = siblings.filter(
      ({ id, mouldId }) => id !== cast.id && mouldId === cast.mouldId && sampled.has(id),
    );
    if (inferred.length === 0) return;
    const known = { ways: await this.dryness.ways(), siblings, ambientByPlace: noAmbientYet() };
    for (const sibling of inferred) await this.keep(sibling, sibling.projection.life, now, known);
  }

  /** All that was told of a cast, in the order in which it came. */
  async events(castId: string): Promise<CastEvent[]> {
    const rows = await this.rows
      .of(CastEventEntity)
      .find({ where: { castId }, order: { recordedAt: 'ASC', id: 'ASC' } });
    return rows.map(({ event }) => event);
  }
}
