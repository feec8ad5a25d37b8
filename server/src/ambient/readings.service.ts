import { DAY, msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import { sift, type AmbientReading, type SetAside } from '@dewpot/core/ambient';
import type { ReadingsTaken } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { AmbientAsideEntity, PlaceEntity } from './ambient.entities.js';
import { PgNotifications } from '../db/pg-notifications.js';
import { WorkshopContext } from '../db/workshop-context.js';

/** Of readings that were set aside, so many are kept of each place. */
const MOST_ASIDE = 200;

/** The latest reading is looked for in so much of the past first, ms: in one month or two, where all of them are a hundred. */
const LATELY = 10 * DAY;

/** What is told to whoever hears of a place's air. */
export const ambientTopic = (workshopId: string) => `ambient ${workshopId}`;

const latestOf = (placeId: string) => `latest reading of ${placeId}`;

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

  /** Takes readings in. Sent twice they are kept once; what cannot be is set aside. */
  async take(placeId: string, readings: readonly AmbientReading[], now: number): Promise<ReadingsTaken> {
    const { kept, aside, twice } = sift(readings, now);
    // One after the other, on every server: what came late is known only against all that came before.
    const place = { where: { id: placeId }, select: { id: true }, lock: { mode: 'for_no_key_update' as const } };
    await this.rows.of(PlaceEntity).findOneOrFail(place);
    const latest = await this.readLatest(placeId);
    const added = await this.insert(placeId, kept);
    this.rows.forget(latestOf(placeId));
    const known = new Set(added);
    const gone = kept.filter(({ at }) => !known.has(at));
    const contradicted = await this.contradicted(placeId, gone);
    if (latest !== undefined && added.some((at) => at < latest)) {
      this.rows.forget('places');
      await this.rows.of(PlaceEntity).increment({ id: placeId }, 'late', 1);
    }
    await this.setAside(placeId, [...aside, ...contradicted]);
    if (added.length > 0) await this.news.tell(this.rows.manager, ambientTopic(this.rows.workshopId));
    return {
      kept: added.length,
      twice: twice + gone.length - contradicted.length,
      aside: [...aside, ...contradicted].slice(0, 50),
    };
  }

  /** Locks a place for reading its logger out; answers whether it was free. */
  async claim(placeId: string): Promise<boolean> {
    const free: object[] = await this.rows.manager.query('select 1 from places where id = $1 for update skip locked', [
      placeId,
    ]);
    return free.length > 0;
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

  /** When a place was read last, ms. */
  latest(placeId: string): Promise<number | undefined> {
    return this.rows.once(latestOf(placeId), () => this.readLatest(placeId));
  }

  private async readLatest(placeId: string): Promise<number | undefined> {
    return (await this.latestSince(placeId, Date.now() - LATELY)) ?? (await this.latestSince(placeId, 0));
  }

  private async latestSince(placeId: string, from: number): Promise<number | undefined> {
    const [row]: { at: string }[] = await this.rows.manager.query(
      'select at from ambient_readings where place_id = $1 and at >= $2 order by at desc limit 1',
      [placeId, from],
    );
    return row && Number(row.at);
  }

  /** The latest that were set aside, newest first. */
  async aside(placeId: string): Promise<SetAside[]> {
    const found = await this.rows.of(AmbientAsideEntity).find({ where: { placeId }, order: { id: 'DESC' }, take: 20 });
    return found.map(({ reading, why }) => ({ reading, why }));
  }

  /** Takes every reading of a place away: they are too many to be bound to it by the database. */
  async forget(placeId: string): Promise<void> {
    this.rows.forget(latestOf(placeId));
    await this.rows.manager.query('delete from ambient_readings where place_id = $1', [placeId]);
  }

  /** Puts readings in; answers the times of those that were not there yet. */
  private async insert(placeId: string, readings: readonly AmbientReading[]): Promise<number[]> {
    if (readings.length === 0) return [];
    for (const month of new Set(readings.map(({ at }) => new Date(at).toISOString().slice(0, 7))))
      await this.rows.manager.query('select ambient_month($1)', [Date.parse(`${month}-01T00:00:00Z`)]);
    const added: { at: string }[] = await this.rows.manager.query(
      `insert into ambient_readings (workshop_id, place_id, at, temperature, humidity, wind)
       select $1, $2, * from unnest($3::bigint[], $4::real[], $5::real[], $6::real[])
       on conflict do nothing returning at`,
      [
        this.rows.workshopId,
        placeId,
        readings.map(({ at }) => Math.round(at)),
        readings.map(({ temperature }) => temperature),
        readings.map(({ humidity }) => humidity ?? null),
        readings.map(({ wind }) => wind ?? null),
      ],
    );
    return added.map(({ at }) => Number(at));
  }

  /** Of readings whose time is taken: those that say something else than what is there. */
  private async contradicted(placeId: string, readings: readonly AmbientReading[]): Promise<SetAside[]> {
    if (readings.length === 0) return [];
    const there: ReadingRow[] = await this.rows.manager.query(
      'select at, temperature, humidity, wind from ambient_readings where place_id = $1 and at = any($2::bigint[])',
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
