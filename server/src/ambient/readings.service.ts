import { defined } from '@dewpot/core/math';
import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import { sift, type AmbientReading, type SetAside } from '@dewpot/core/ambient';
import type { ReadingsTaken } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { AmbientAsideEntity, PlaceEntity } from './ambient.entities.js';
import { PgNotifications } from '../db/pg-notifications.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { makeMonths, monthOf } from './reading-months.js';

/** Of readings that were set aside, so many are kept of each place. */
const MOST_ASIDE = 200;

/** What is told to whoever hears of a place's air. */
export const ambientTopic = (workshopId: string) => `ambient ${workshopId}`;

interface ReadingRow {
  readonly at: string;
  readonly temperature: number;
  readonly humidity: number | null;
  readonly wind: number | null;
}

/** The readings of places: taken in by many at once, and read back in the order of time. */
@Injectable()
export class ReadingsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly news: PgNotifications,
  ) {}

  /** Holds a place: its readings are taken in one after the other, on every server, since what came late is known only against all before. */
  hold(placeId: string): Promise<PlaceEntity | null> {
    return this.rows.of(PlaceEntity).findOne({ where: { id: placeId }, lock: { mode: 'for_no_key_update' } });
  }

  /** Takes readings of a place in that is held. Sent twice they are kept once; what cannot be is set aside. */
  async take(
    { id: placeId, latestReading }: PlaceEntity,
    readings: readonly AmbientReading[],
    now: number,
  ): Promise<ReadingsTaken> {
    const { kept, aside, twice } = sift(readings, now);
    const { added, oldest } = await this.insert(placeId, kept);
    const contradicted = added < kept.length ? await this.contradicted(placeId, kept) : [];
    if (latestReading !== null && oldest < latestReading)
      await this.rows.of(PlaceEntity).increment({ id: placeId }, 'late', 1);
    const all = [...aside, ...contradicted];
    await this.setAside(placeId, all);
    this.rows.forget('places');
    if (added > 0) await this.news.tell(this.rows.manager, ambientTopic(this.rows.workshopId));
    return { kept: added, twice: twice + kept.length - added - contradicted.length, aside: all.slice(0, 50) };
  }

  /** Holds a place unless somebody else does; answers it where it was free. */
  holdIfFree(placeId: string): Promise<PlaceEntity | null> {
    const lock = { mode: 'for_no_key_update', onLocked: 'skip_locked' } as const;
    return this.rows.of(PlaceEntity).findOne({ where: { id: placeId }, lock });
  }

  /** Readings from a time on and after another, ms, in the order of time. */
  async since(placeId: string, from: number, after = -Infinity): Promise<AmbientReading[]> {
    const found: ReadingRow[] = await this.rows.manager.query(
      `select at, temperature, humidity, wind from ambient_readings where place_id = $1 and at >= $2 order by at`,
      [placeId, Math.max(Math.floor(from), Math.floor(after) + 1)],
    );
    return found.map(({ at, temperature, humidity, wind }) => ({
      at: Number(at),
      temperature,
      ...(humidity !== null && { humidity }),
      ...(wind !== null && { wind }),
    }));
  }

  /** The latest that were set aside, newest first. */
  async aside(placeId: string): Promise<SetAside[]> {
    const found = await this.rows.of(AmbientAsideEntity).find({ where: { placeId }, order: { id: 'DESC' }, take: 20 });
    return found.map(({ reading, why }) => ({ reading, why }));
  }

  /** Takes every reading of a place away: they are too many to be bound to it by the database. */
  async forget(placeId: string): Promise<void> {
    await this.rows.manager.query('delete from ambient_readings where place_id = $1', [placeId]);
  }

  /** Puts readings in; answers how many were not there yet, and the oldest of those, ms. */
  private async insert(placeId: string, readings: readonly AmbientReading[]) {
    if (readings.length === 0) return { added: 0, oldest: Infinity };
    await makeMonths(this.rows.manager, [...new Set(readings.map(({ at }) => monthOf(at)))]);
    const [row]: { added: number; oldest: string | null }[] = await this.rows.manager.query(
      `with added as (
         insert into ambient_readings (workshop_id, place_id, at, temperature, humidity, wind)
         select $1, $2, * from unnest($3::bigint[], $4::real[], $5::real[], $6::real[])
         on conflict do nothing returning at)
       select count(*)::int as added, min(at) as oldest from added`,
      [
        this.rows.workshopId,
        placeId,
        readings.map(({ at }) => Math.round(at)),
        readings.map(({ temperature }) => temperature),
        readings.map(({ humidity }) => humidity ?? null),
        readings.map(({ wind }) => wind ?? null),
      ],
    );
    const { added, oldest } = defined(row);
    return { added, oldest: oldest === null ? Infinity : Number(oldest) };
  }

  /** Of readings whose time was taken: those that say something else than what is there. */
  private async contradicted(placeId: string, readings: readonly AmbientReading[]): Promise<SetAside[]> {
    const there: Pick<ReadingRow, 'at' | 'temperature'>[] = await this.rows.manager.query(
      'select at, temperature from ambient_readings where place_id = $1 and at = any($2::bigint[])',
      [placeId, readings.map(({ at }) => Math.round(at))],
    );
    const known = new Map(there.map(({ at, temperature }) => [Number(at), temperature]));
    return readings
      .filter(({ at, temperature }) => Math.abs((known.get(at) ?? temperature) - temperature) > 0.005)
      .map((reading) => ({ reading, why: msg('ambient.sameTime') }));
  }

  private async setAside(placeId: string, aside: readonly SetAside[]): Promise<void> {
    if (aside.length === 0) return;
    const { workshopId } = this.rows;
    const kept = aside
      .slice(-MOST_ASIDE)
      .map(({ reading, why }) => ({ id: uuid(), workshopId, placeId, why, reading }));
    await this.rows.of(AmbientAsideEntity).insert(kept);
    await this.rows.manager.query(
      `delete from ambient_asides where place_id = $1 and id not in
        (select id from ambient_asides where place_id = $1 order by id desc limit $2)`,
      [placeId, MOST_ASIDE],
    );
  }
}
