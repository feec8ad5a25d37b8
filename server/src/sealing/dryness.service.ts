import { Injectable } from '@nestjs/common';
import { DAY, HOUR } from '@dewpot/core/units';
import { sealers, type Sealer } from '@dewpot/core/materials';
import { thinned, type WholeAmbientReading } from '@dewpot/core/ambient';
import {
  calculateDryDown,
  dryingPaces,
  meanPace,
  underForecast,
  usualDrying,
  type CoatAmbientAt,
  type DryDown,
  type DryingAmbient,
  type DryingSchool,
  type RateFrom,
} from '@dewpot/core/sealing';
import {
  calendarOpens,
  countedWeighings,
  dryDownPrior,
  drynessOf,
  placeNow,
  samplesOf,
  sealingGate,
  type Dryness,
  type DrySummary,
  type Gate,
  type GateWays,
  type Life,
  type SampleCast,
  ambientAtTime,
} from '@dewpot/core/casts';
import { PlaceSeriesCache, staysOf, type CastStanding } from '../ambient/index.js';
import { CastEntity } from '../casts/casts.entities.js';
import type { PlaceEntity } from '../ambient/ambient.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { SealLessonsService } from './seal-lessons.service.js';

/** Air of so long before now tells how fast a place dries, ms. */
const PACE_OVER = 7 * DAY;

/** A cast as far as its dryness goes. */
export type DryingCast = Pick<CastEntity, 'id' | 'code' | 'pourId' | 'mouldId' | 'snapshot' | 'expected'> & {
  readonly projection: { readonly life: Life; readonly dry?: DrySummary };
};

/** How a workshop judges dryness. */
export interface DryingWays {
  readonly drying: DryingSchool;
  readonly ease: { readonly open: number; readonly film: number };
}

const sampleCast = ({ id, code, pourId, mouldId, snapshot, expected, projection: { life } }: DryingCast) => ({
  id,
  code,
  pourId,
  mouldId,
  place: placeNow(life, snapshot.place),
  life,
  expected,
});

type SiblingCast = SampleCast & Pick<DryingCast, 'expected'>;

/** The sealer that a cast is judged for: its plan's, else a penetrating one. */
function plannedSealer({ sealPlan }: Life): Pick<Sealer, 'film' | 'leastDays'> {
  return sealPlan?.product ?? (sealPlan?.sealer ? sealers[sealPlan.sealer] : sealers.penetrating);
}

/** The air of places as it was read for casts so far: each place is read once, however many stand in it. Hours since 1970. */
interface AmbientByPlace {
  places?: readonly PlaceEntity[];
  /** How fast each dried and will dry. */
  readonly byPlace: Map<string, readonly RateFrom[]>;
}

/** What is known of all casts that are judged at once. */
export interface KnownForAll {
  readonly ways: DryingWays;
  readonly siblings: readonly DryingCast[];
  readonly ambientByPlace: AmbientByPlace;
}

/** Readings from a time on (ms), the one that held then among them. */
export const ambientSince = <R extends { readonly at: number }>(recorded: readonly R[], from: number): R[] =>
  recorded.slice(
    Math.max(
      0,
      recorded.findLastIndex(({ at }) => at <= from),
    ),
  );

export const noAmbientYet = (): AmbientByPlace => ({ byPlace: new Map() });

const hourly = (ambient: readonly WholeAmbientReading[]): RateFrom[] =>
  dryingPaces(
    thinned(ambient, HOUR).map(({ at, temperature, humidity }) => ({ hour: at / HOUR, temperature, humidity })),
  );

/** When a gate opens, ms. */
type Outlook = Required<Pick<DrySummary, 'opensAt' | 'opensLow' | 'opensHigh'>>;

/** Judges how dry casts are: by their weighings or those of like pieces, the workshop's school, and the air they stand in. */
@Injectable()
export class DrynessService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly climates: PlaceSeriesCache,
    private readonly lessons: SealLessonsService,
  ) {}

  async ways(): Promise<DryingWays> {
    const { settings } = await this.rows.workshop();
    return { drying: settings.drying ?? usualDrying, ease: await this.lessons.ease() };
  }

  /** What is known of a cast's dryness, in short. `siblings`: the casts of its pour that dry beside it. */
  async summary(cast: DryingCast, now: number, known?: KnownForAll): Promise<DrySummary> {
    const { life } = cast.projection;
    const film = plannedSealer(life).film || (life.sealPlan?.uses.includes('candle') ?? false);
    const ways = { ...(await this.gateWays(cast, known)), ...(await this.paceAt(cast, now, known?.ambientByPlace)) };
    return summaryOf(cast, drynessOf(life, cast.expected, cast.snapshot.binderClass, { ...ways, film }), film, ways);
  }

  /** Judges a cast for a sealer, at the pace by which it was judged last. */
  async gate(cast: CastEntity, sealer: Pick<Sealer, 'film' | 'leastDays'>, at: number): Promise<Gate> {
    const { life, dry } = cast.projection;
    const ways = { ...(await this.gateWays(cast)), pace: dry.pace ?? 1 };
    return sealingGate(life, cast.expected, cast.snapshot.binderClass, sealer, at, ways);
  }

  /** The curve and the rules of a cast's own weighings, by what it was judged by last. */
  async dryDown({ projection: { life, dry }, expected, snapshot: { binderClass } }: CastEntity): Promise<DryDown> {
    const ease = await this.lessons.ease();
    return calculateDryDown(countedWeighings(life), dryDownPrior(life, expected, binderClass, dry.pace), binderClass, {
      film: dry.film,
      ease: dry.film ? ease.film : ease.open,
    });
  }

  /** The casts that dry beside each of these, by its key, where it is not weighed itself: others are weighed in its place. */
  sampled(casts: readonly DryingCast[]): ReadonlySet<string> {
    const samples = samplesOf(casts.map(sampleCast));
    return new Set([...samples].filter(([id, chosen]) => chosen.every((one) => one.id !== id)).map(([id]) => id));
  }

  /** When the gates of casts open under the forecast of their places, ms, by the key of each that dries: median and the ends of the band. */
  async outlooks(casts: readonly CastEntity[], now: number): Promise<ReadonlyMap<string, Outlook>> {
    const ambientByPlace = noAmbientYet();
    const outlooks = new Map<string, Outlook>();
    for (const cast of casts) {
      const { life, dry } = cast.projection;
      if (cast.stage !== 'drying' || dry.opensAt === undefined) continue;
      const paces = await this.paces(cast, now, ambientByPlace);
      const from = Math.max(life.weighedAt ?? 0, life.driesFrom ?? life.pouredAt) / HOUR;
      const moved = (at: number) => underForecast(at / HOUR, from, dry.pace ?? 1, paces) * HOUR;
      outlooks.set(cast.id, {
        opensAt: moved(dry.opensAt),
        opensLow: moved(dry.opensLow ?? dry.opensAt),
        opensHigh: moved(dry.opensHigh ?? dry.opensAt),
      });
    }
    return outlooks;
  }

  /** The air that a cast stood in between two times, the reading that held at the first among it. */
  async ambientBetween(cast: CastStanding, from: number, to: number, now: number): Promise<CoatAmbientAt[]> {
    const place = await this.placeOf(cast, from, noAmbientYet());
    if (!place) return [];
    const { recorded } = await this.climates.series(place, from - DAY, now);
    return ambientSince(recorded, from).filter(({ at }) => at <= to);
  }

  /** The air that a cast stands in at a time. */
  async ambientAt(cast: CastStanding, at: number, now: number): Promise<DryingAmbient | undefined> {
    const place = await this.placeOf(cast, at, noAmbientYet());
    if (!place) return undefined;
    const { recorded } = await this.climates.series(place, Math.min(at, now) - DAY, now);
    const held = ambientAtTime(recorded, at);
    return held && { temperature: held.temperature, humidity: held.humidity };
  }

  /** What a cast is judged by but the pace of its place. */
  private async gateWays(cast: DryingCast, known?: KnownForAll): Promise<GateWays> {
    const { drying, ease } = known?.ways ?? (await this.ways());
    if (cast.projection.life.stage !== 'drying') return { drying, ease };
    const siblings = (known?.siblings ?? (await this.siblings([cast]))).filter(({ id }) => id !== cast.id);
    const samples = samplesOf<SiblingCast>([cast, ...siblings].map(sampleCast)).get(cast.id) ?? [];
    return { drying, ease, siblings: samples.filter(({ id }) => id !== cast.id) };
  }

  /** How fast the place of a cast that dries has dried lately; of one that no longer dries, as it was judged last. */
  private async paceAt(
    cast: DryingCast,
    now: number,
    ambientByPlace?: AmbientByPlace,
  ): Promise<Pick<GateWays, 'pace'>> {
    const { life, dry } = cast.projection;
    if (life.stage !== 'drying') return dry?.pace === undefined ? {} : { pace: dry.pace };
    const paces = await this.paces(cast, now, ambientByPlace);
    const hour = now / HOUR;
    const from = Math.max(hour - PACE_OVER / HOUR, (life.driesFrom ?? life.pouredAt) / HOUR);
    return { pace: meanPace(paces, Math.min(from, hour - 1), hour) };
  }

  /** Casts that dry from the pours of these. */
  siblings(casts: readonly DryingCast[]): Promise<CastEntity[]> {
    const pours = [...new Set(casts.map(({ pourId }) => pourId))];
    if (pours.length === 0) return Promise.resolve([]);
    return this.rows
      .of(CastEntity)
      .createQueryBuilder('c')
      .where('c.stage = :stage', { stage: 'drying' })
      .andWhere('c.pour_id IN (:...pours)', { pours })
      .orderBy('c.id')
      .getMany();
  }

  private async placeOf(cast: CastStanding, at: number, ambientByPlace: AmbientByPlace) {
    ambientByPlace.places ??= await this.climates.places();
    const stays = staysOf(cast, ambientByPlace.places);
    return (stays.findLast(({ from }) => from <= at) ?? stays[0])?.place;
  }

  /** How fast the place of a cast dried lately and will dry by its forecast. */
  private async paces(cast: CastStanding, now: number, ambientByPlace = noAmbientYet()): Promise<readonly RateFrom[]> {
    const place = await this.placeOf(cast, now, ambientByPlace);
    if (!place) return [];
    const known = ambientByPlace.byPlace.get(place.id);
    if (known) return known;
    const { recorded, ahead } = await this.climates.series(place, now - PACE_OVER, now);
    const paces = [...hourly(recorded), ...hourly(ahead.filter(({ at }) => at > now))];
    ambientByPlace.byPlace.set(place.id, paces);
    return paces;
  }
}

function summaryOf(cast: DryingCast, dryness: Dryness, film: boolean, { drying, pace }: GateWays): DrySummary {
  const { life } = cast.projection;
  const at = (hour: number) => life.pouredAt + hour * HOUR;
  const { dryEnough, missing, opens, typical, decides, remaining, limit, heldDays, heldWithin, strays, inferredFrom } =
    dryness;
  const bound = remaining?.band?.[1];
  const calendar = drying === 'calendar' ? calendarOpens(life, cast.expected, film, pace) : undefined;
  return {
    dryEnough,
    missing,
    film,
    heldDays,
    heldWithin,
    strays,
    ...(opens && { opensAt: at(opens.hour), opensLow: at(opens.low), opensHigh: at(opens.high) }),
    ...(!opens && calendar !== undefined && { opensAt: calendar }),
    ...(typical && { typical }),
    ...(decides && { decides }),
    ...(bound !== undefined && { over: bound / limit }),
    ...(inferredFrom && { inferredFrom }),
    ...(pace !== undefined && { pace }),
  };
}
