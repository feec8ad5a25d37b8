import { Injectable } from '@nestjs/common';
import { DAY, HOUR } from '@dewpot/core/units';
import {
  followed,
  handbookFollowing,
  monthsAlike,
  monthsOfTable,
  wholeMonths,
  type MonthNormal,
  type PlaceKind,
  type WholeAmbientReading,
} from '@dewpot/core/ambient';
import { GUESSED_AIR } from '@dewpot/contract';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { Latest } from '../calculation/latest.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { weatherBetween } from '../devices/index.js';
import type { PlaceEntity } from './ambient.entities.js';

const YEAR = 365 * DAY;
/** Readings of so long ago still tell how a month usually is, ms. */
const REMEMBERED = 3 * YEAR;
/** Simulated weather is looked at in steps of so much, ms. */
const STEP = 3 * HOUR;
/** Places whose months are kept at hand. */
const AT_HAND = 100;

interface HourRow {
  readonly at: string;
  readonly temperature: number;
  readonly humidity: number | null;
  readonly wind: number | null;
}

/** How the months of places usually are: out of their own readings, a typed table, one typed figure; the simulated weather in the demo alone. */
@Injectable()
export class UsualMonthsService {
  private readonly atHand = new Latest<readonly (MonthNormal | undefined)[]>(AT_HAND);

  constructor(
    private readonly rows: WorkshopContext,
    private readonly calculations: CalculationPool,
  ) {}

  /** The months of a place, January first. What was read is looked at once a day. */
  async of(place: PlaceEntity, zone: string, now: number): Promise<readonly (MonthNormal | undefined)[]> {
    const key = `${place.id} ${place.version} ${place.late} ${zone} ${Math.floor(now / DAY)}`;
    return this.atHand.keep(key, this.atHand.get(key) ?? (await this.calculated(place, zone, now)));
  }

  private async calculated({ id, body }: PlaceEntity, zone: string, now: number) {
    const { kind, source, season, typed, simulated } = body;
    if (source === 'season' && season) return monthsOfTable(season);
    if (source === 'typed' && typed) return monthsAlike(typed);
    if (source === 'forecast' || simulated) return this.calculations.run('months', simulatedYear(kind, now), zone);
    const read = await this.calculations.run('months', await this.readEachHour(id, now - REMEMBERED), zone);
    return wholeMonths(read, season ? monthsOfTable(season) : monthsAlike(GUESSED_AIR));
  }

  /** The readings of a place, one an hour. */
  private async readEachHour(placeId: string, from: number): Promise<WholeAmbientReading[]> {
    const found: HourRow[] = await this.rows.manager.query(
      `select at / $3 * $3 as at, avg(temperature)::float8 as temperature, avg(humidity)::float8 as humidity, avg(wind)::float8 as wind
       from ambient_readings where place_id = $1 and at >= $2 group by at / $3 order by 1`,
      [placeId, Math.floor(from), HOUR],
    );
    return found.map(({ at, temperature, humidity, wind }) => ({
      at: Number(at),
      temperature,
      humidity: humidity ?? GUESSED_AIR.humidity,
      wind: wind ?? GUESSED_AIR.wind,
    }));
  }
}

/** A year of a place of the demo. */
function simulatedYear(kind: PlaceKind, now: number): WholeAmbientReading[] {
  const following = handbookFollowing[kind];
  return weatherBetween(now - YEAR, now, STEP).map((one) => followed(one, following));
}
