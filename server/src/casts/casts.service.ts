import { Injectable } from '@nestjs/common';
import { DAY, msg } from '@dewpot/core/units';
import type { Expected } from '@dewpot/core/pours';
import { lifeOf, type CastEvent, type CastSnapshot } from '@dewpot/core/casts';
import type {
  CastDetail,
  CastEventTold,
  CastOrder,
  CastPictureView,
  CastRow,
  CastsQuery,
  CastView,
  Page,
} from '@dewpot/contract';
import { In, LessThan } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { clock } from '../clock.js';
import { CastEntity, CastEventEntity, CastPictureEntity } from './casts.entities.js';
import { castPictureView, castRow, listedBy, underForecast } from './casts.mappers.js';
import { pageOf, withWords, type ListOrder } from '../db/page.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { CastRecordsService } from './cast-records.service.js';
import { DrynessService } from '../sealing/index.js';
import { DuesService } from './dues.service.js';
import { DemouldsService } from '../curing/index.js';
import { ProblemError } from '../http/problem-error.js';

/** Casts that are out come up again so long before something is due to them, ms. */
const WAKES_BEFORE = 7 * DAY;
const ON_SHELF = ['setting', 'curing', 'drying', 'sealed'] as const;

const orders: Record<CastOrder, ListOrder> = {
  newest: { by: 'row.pouredAt', type: 'bigint', down: true },
  oldest: { by: 'row.pouredAt', type: 'bigint' },
  piece: { by: 'lower(row.mouldName)', type: 'text' },
  mix: { by: 'lower(row.mixName)', type: 'text' },
};

/** A cast as a pour makes it. */
export interface NewCastRow {
  readonly id: string;
  readonly pourId: string;
  readonly mouldId: string;
  readonly code: string;
  readonly expected: Expected;
  readonly snapshot: CastSnapshot;
  readonly pouredAt: number;
  readonly personId: string | null;
  readonly orderLine: string | null;
}

@Injectable()
export class CastsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly dues: DuesService,
    private readonly demoulds: DemouldsService,
    private readonly dryness: DrynessService,
    private readonly records: CastRecordsService,
  ) {}

  /** Casts that stand on the shelf, and those that are out but wanted again. */
  async shelf(): Promise<CastView[]> {
    const now = clock.now();
    const where = [{ stage: In([...ON_SHELF]) }, { wakesAt: LessThan(now + WAKES_BEFORE) }];
    const found = await this.rows.of(CastEntity).find({ where, order: { id: 'ASC' } });
    const dues = await this.dues.of(found, now);
    const outlooks = await this.dryness.outlooks(found, now);
    return found.map((row) => ({ ...underForecast(row, outlooks), dues: dues.get(row.id) ?? [] }));
  }

  /** One page of all casts there were. @throws InputError where the page is none */
  async page({ q, order = 'newest', stage, damaged, mould, pour, ...page }: CastsQuery): Promise<Page<CastRow>> {
    const query = this.rows.of(CastEntity).createQueryBuilder('row');
    withWords(query, q, ['row.code', 'row.mouldName', 'row.mixName']);
    if (stage) query.andWhere({ stage });
    if (damaged) query.andWhere({ damaged: damaged === 'yes' });
    if (mould) query.andWhere({ mouldId: mould });
    if (pour) query.andWhere({ pourId: pour });
    const found = await pageOf(query, orders[order], page);
    return { ...found, rows: found.rows.map(castRow) };
  }

  async detail(id: string): Promise<CastDetail> {
    const row = await this.row(id);
    return this.whole(row, await this.records.events(id), clock.now());
  }

  async create({ pouredAt, personId, ...cast }: NewCastRow): Promise<void> {
    const { workshopId } = this.rows;
    const poured: CastEvent = { id: uuid(), at: pouredAt, type: 'poured' };
    const life = lifeOf([poured]);
    const dry = await this.dryness.summary({ ...cast, projection: { life } }, pouredAt);
    await this.rows
      .of(CastEntity)
      .insert({ ...cast, workshopId, ...listedBy(cast.snapshot, life), projection: { life, dry } });
    await this.rows.of(CastEventEntity).insert({ id: poured.id, workshopId, castId: cast.id, personId, event: poured });
  }

  /** Whether any of these casts is here. */
  any(ids: readonly string[]): Promise<boolean> {
    return this.rows.of(CastEntity).existsBy({ id: In([...ids]) });
  }

  /** Takes the casts of a pour away, as long as nothing but the pour happened to any. @throws ProblemError 409 */
  async removeUntouched(pourId: string): Promise<void> {
    const casts = await this.rows.of(CastEntity).find({ where: { pourId }, lock: { mode: 'for_no_key_update' } });
    const castId = In(casts.map(({ id }) => id));
    const events = await this.rows.of(CastEventEntity).find({ where: { castId } });
    const touched = casts.filter(({ id }) => events.some((one) => one.castId === id && one.event.type !== 'poured'));
    if (touched.length > 0) {
      const codes = touched.map(({ code }) => code).join(', ');
      throw new ProblemError(409, msg('server.castsDone'), {
        detail: msg('server.castsChanged', { codes }),
      });
    }
    await this.rows.of(CastEntity).delete({ pourId });
  }

  /** Appends an event to a cast's life, and answers the cast. @throws InputError, ProblemError */
  async append(castId: string, input: CastEventTold, personId: string | null, now: number): Promise<CastDetail> {
    const { row, events } = await this.records.record(castId, input, personId, now);
    return this.whole(row, events, now);
  }

  /** A cast with its whole record, the air it stood in, and what its demouldings taught. */
  private async whole(row: CastEntity, events: readonly CastEvent[], now: number): Promise<CastDetail> {
    const siblings = row.stage === 'drying' ? await this.dryness.siblings([row]) : [row];
    const [dues, demould, pictures] = await Promise.all([
      this.dues.of([row], now, siblings),
      this.demoulds.view(row),
      this.pictures(row.id),
    ]);
    return {
      ...underForecast(row, await this.dryness.outlooks([row], now)),
      dues: dues.get(row.id) ?? [],
      events,
      dryDown: await this.dryness.dryDown(row),
      ambient: await this.dues.ambientOf(row, now),
      demould,
      pictures,
    };
  }

  private async pictures(castId: string): Promise<CastPictureView[]> {
    const found = await this.rows.of(CastPictureEntity).find({ where: { castId }, order: { id: 'ASC' } });
    return found.map(castPictureView);
  }

  private async row(id: string): Promise<CastEntity> {
    const row = await this.rows.of(CastEntity).findOneBy({ id });
    if (!row) throw ProblemError.notFound('cast');
    return row;
  }
}
