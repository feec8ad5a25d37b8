import { Injectable } from '@nestjs/common';
import {
  appendEvent,
  lifeOf,
  reckonDryDown,
  sealingGate,
  type CastEvent,
  type DryDown,
  type Expected,
  type Life,
  type SettingClass,
} from '@dewpot/core';
import type { CastDetail, CastEventInput, CastPictureView, CastSnapshot, CastView, DrySummary } from '@dewpot/contract';
import { In } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CastEntity, CastEventEntity, CastPictureEntity, type CastProjection } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { DuesService } from './dues.service.js';
import { LiftOutsService } from './lift-outs.service.js';
import { ProblemError } from '../http/problem-error.js';

const HOUR = 3_600_000;
const ON_SHELF = ['setting', 'damp', 'drying', 'sealed'] as const;

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
}

function summary(dryDown: DryDown, life: Life): DrySummary {
  const at = (hour: number) => life.pouredAt + hour * HOUR;
  const { dryEnough, missing, opens, typical } = dryDown;
  return {
    dryEnough,
    missing,
    ...(opens && { opensAt: at(opens.hour), opensLow: at(opens.low), opensHigh: at(opens.high) }),
    ...(typical && { typical }),
  };
}

/** What the events of a cast come to: its life, and what its weighings say. */
function follow(
  events: readonly CastEvent[],
  expected: Expected,
  setting: SettingClass,
): { projection: CastProjection; dryDown: DryDown } {
  const life = lifeOf(events);
  const dryDown = reckonDryDown(life.weighings, expected, setting);
  return { projection: { life, dry: summary(dryDown, life) }, dryDown };
}

type BareCast = Omit<CastView, 'dues'>;

function castView({ id, code, pourId, mouldId, stage, expected, snapshot, projection }: CastEntity): BareCast {
  return { id, code, pourId, mouldId, stage, expected, snapshot, ...projection };
}

@Injectable()
export class CastsService {
  constructor(
    private readonly rows: Rows,
    private readonly dues: DuesService,
    private readonly liftOuts: LiftOutsService,
  ) {}

  /** Casts that stand on the shelf, or with `all` also those that are out or broken. */
  async list(all = false): Promise<CastView[]> {
    const found = await this.rows
      .of(CastEntity)
      .find({ ...(!all && { where: { stage: In([...ON_SHELF]) } }), order: { id: 'ASC' } });
    const dues = await this.dues.of(found, Date.now());
    return found.map((row) => ({ ...castView(row), dues: dues.get(row.id) ?? [] }));
  }

  async detail(id: string): Promise<CastDetail> {
    const row = await this.row(id);
    return this.whole(row, await this.events(id), Date.now());
  }

  async create({ pouredAt, personId, ...cast }: NewCastRow): Promise<void> {
    const { workshopId } = this.rows;
    const poured: CastEvent = { id: uuid(), at: pouredAt, type: 'poured' };
    const { projection } = follow([poured], cast.expected, cast.snapshot.setting);
    await this.rows.of(CastEntity).insert({ ...cast, workshopId, stage: projection.life.stage, projection });
    await this.rows.of(CastEventEntity).insert({ id: poured.id, workshopId, castId: cast.id, personId, event: poured });
  }

  /** Whether any of these casts is here. */
  any(ids: readonly string[]): Promise<boolean> {
    return this.rows.of(CastEntity).existsBy({ id: In([...ids]) });
  }

  /** Takes the casts of a pour away, as long as nothing but the pour happened to any. @throws ProblemError 409 */
  async removeUntouched(pourId: string): Promise<void> {
    const casts = await this.rows.of(CastEntity).find({ where: { pourId }, lock: { mode: 'pessimistic_write' } });
    const castId = In(casts.map(({ id }) => id));
    const events = await this.rows.of(CastEventEntity).find({ where: { castId } });
    const touched = casts.filter(({ id }) => events.some((one) => one.castId === id && one.event.type !== 'poured'));
    if (touched.length > 0) {
      const codes = touched.map(({ code }) => code).join(', ');
      throw new ProblemError(409, 'Something was done to its casts', {
        detail: `Things happened to ${codes} since the pour: it stays in the record.`,
      });
    }
    await this.rows.of(CastEventEntity).delete({ castId });
    await this.rows.of(CastEntity).delete({ pourId });
  }

  /** Appends an event to a cast's life, and answers the cast. @throws InputError, ProblemError */
  async append(castId: string, input: CastEventInput, personId: string | null, now: number): Promise<CastDetail> {
    await this.record(castId, input, personId, now);
    return this.detail(castId);
  }

  /** Appends an event to a cast's life. The same event sent twice is one. @throws InputError, ProblemError */
  async record(castId: string, input: CastEventInput, personId: string | null, now: number): Promise<void> {
    const row = await this.row(castId, true);
    const events = await this.events(castId);
    if (events.some(({ id }) => id === input.id)) return;
    const event = await this.withAge({ ...input } as CastEvent, row, now);
    const after = appendEvent(events, event, row.expected, now);
    if (event.type === 'coated') this.checkGate(row, event);
    await this.rows
      .of(CastEventEntity)
      .insert({ id: event.id, workshopId: this.rows.workshopId, castId, personId, event });
    const { projection } = follow(after, row.expected, row.snapshot.setting);
    const { stage } = projection.life;
    await this.rows.of(CastEntity).update({ id: castId }, { stage, projection });
    if (event.type === 'lifted-out' || event.type === 'voided') await this.liftOuts.learn(row);
  }

  /** A cast with its whole record, the air it stood in, and what its lift-outs taught. */
  private async whole(row: CastEntity, events: readonly CastEvent[], now: number): Promise<CastDetail> {
    const dues = await this.dues.of([row], now);
    return {
      ...castView(row),
      dues: dues.get(row.id) ?? [],
      events,
      dryDown: reckonDryDown(row.projection.life.weighings, row.expected, row.snapshot.setting),
      air: await this.dues.airOf(row, now),
      liftOut: await this.liftOuts.view(row),
      pictures: await this.pictures(row.id),
    };
  }

  /** A lift-out with its age in equivalent hours, by the air the piece stood in: what the earliest safe lift-out is learned from. */
  private async withAge(event: CastEvent, row: CastEntity, now: number): Promise<CastEvent> {
    if (event.type !== 'lifted-out') return event;
    return { ...event, equivalentAge: await this.dues.ageAt(row, event.at, now) };
  }

  /** Refuses a first coat on a piece that is still losing water, unless the refusal is overruled with a reason. */
  private checkGate(row: CastEntity, event: CastEvent & { type: 'coated' }): void {
    const { life } = row.projection;
    if (life.coats.length > 0 || event.overruled !== undefined) return;
    const gate = sealingGate(life, row.expected, row.snapshot.setting, event.sealer, event.at);
    if (gate.open) return;
    const detail = gate.reasons.join(' ');
    throw new ProblemError(422, 'Not dry enough to seal', {
      detail,
      errors: [
        {
          field: 'sealer',
          value: event.sealer,
          message: detail,
          remedy: 'Wait and weigh it again, or overrule this with your reason.',
        },
      ],
    });
  }

  private async pictures(castId: string): Promise<CastPictureView[]> {
    const found = await this.rows.of(CastPictureEntity).find({ where: { castId }, order: { id: 'ASC' } });
    return found.map(({ id, at, width, height, eventId }) => ({ id, at, width, height, ...(eventId && { eventId }) }));
  }

  private async events(castId: string): Promise<CastEvent[]> {
    const rows = await this.rows
      .of(CastEventEntity)
      .find({ where: { castId }, order: { recordedAt: 'ASC', id: 'ASC' } });
    return rows.map(({ event }) => event);
  }

  private async row(id: string, lock = false): Promise<CastEntity> {
    const row = await this.rows
      .of(CastEntity)
      .findOne({ where: { id }, ...(lock && { lock: { mode: 'pessimistic_write' as const } }) });
    if (!row) throw ProblemError.notFound('cast');
    return row;
  }
}
