import { Injectable } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { DAY, HOUR } from '@dewpot/core/units';
import { initialSetAt20 } from '@dewpot/core/binders';
import { thinned } from '@dewpot/core/ambient';
import {
  ageAlong,
  ageOfShare,
  bearings,
  coverOf,
  evaporationUnder,
  hourOfAgeAlong,
  mistingPlan,
  overFace,
  pulledCores,
  usualMoistCuring,
  usualWaking,
  type MoistCuring,
  type StayCourse,
  type Waking,
} from '@dewpot/core/curing';
import { usualDrying, type CoatAmbientAt, type DryingSchool } from '@dewpot/core/sealing';
import {
  ambientAtTime,
  coatsToCome,
  duesOf,
  lastCoat,
  surroundingsOf,
  type Due,
  type Life,
  type Wetting,
} from '@dewpot/core/casts';
import type { CastAmbient } from '@dewpot/contract';
import { PlaceSeriesCache, type PlaceSeries, staysOf } from '../ambient/index.js';
import { CastEntity } from './casts.entities.js';
import { PlaceEntity } from '../ambient/ambient.entities.js';
import { zoneOf } from '../config.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ambientSince, DrynessService } from '../sealing/index.js';
import { DemouldsService } from '../curing/index.js';

/** What lies further ahead is out of sight, hours. */
const HORIZON = 90 * 24;
/** After this the strength of a piece is of no matter to what is due. */
const YOUNG = 90 * DAY;
const MOST_TOLD = 400;

/** Whether the last coat of it dries and another is to come: its window moves with the air. */
const isCoated = ({ stage, projection: { life } }: Cast) => stage === 'sealed' && coatsToCome(life) > 0;

/** How the workshop cures and dries. */
interface Ways {
  readonly moistCuring: MoistCuring;
  readonly waking: Waking;
  readonly zone: string;
  readonly drying: DryingSchool;
}

/** A place with its air. */
interface Standing {
  readonly from: number;
  readonly place: PlaceEntity;
  readonly series: PlaceSeries;
}

type Cast = CastEntity;

/** Whether it still hardens in its mould or is kept damp: the air matters to it. */
const isYoung = ({ stage }: Cast) => stage === 'setting' || stage === 'curing';

/** What is due to casts, from the air of the places in which they stand. */
@Injectable()
export class DuesService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly climates: PlaceSeriesCache,
    private readonly demoulds: DemouldsService,
    private readonly dryness: DrynessService,
  ) {}

  /** What is to be done to each of these casts, by its key. `siblings`: all casts that dry from their pours. */
  async of(casts: readonly Cast[], now: number, siblings: readonly Cast[] = casts): Promise<Map<string, Due[]>> {
    const ways = await this.ways();
    const places = await this.climates.places();
    const demouldAge = await this.demoulds.ages(casts.filter(({ stage }) => stage === 'setting'));
    const wanted = casts.filter(isYoung);
    const earliest = Math.max(now - YOUNG, Math.min(now, ...wanted.map(({ projection }) => projection.life.pouredAt)));
    const series = new Map<string, PlaceSeries>();
    const wettings = new Map<string, Wetting | undefined>();
    const dues = new Map<string, Due[]>();
    const sampled = this.dryness.sampled(siblings);
    for (const cast of casts) {
      const standing: Standing[] = [];
      if (isYoung(cast) || isCoated(cast))
        for (const { from, place } of staysOf(cast, places)) {
          const ambient = series.get(place.id) ?? (await this.climates.series(place, earliest, now));
          series.set(place.id, ambient);
          standing.push({ from, place, series: ambient });
        }
      dues.set(cast.id, dueOf(cast, standing, ways, wettings, demouldAge(cast), now, sampled.has(cast.id)));
    }
    return dues;
  }

  /** How old a cast was at a time, equivalent hours at 20 °C. */
  async ageAt(cast: Cast, at: number, now: number): Promise<number> {
    return ageAlong(coursesOf(await this.standing(cast, now), cast), at / HOUR);
  }

  /** The air that a cast stood in since its pour, and what it does to it. */
  async ambientOf(cast: Cast, now: number): Promise<CastAmbient> {
    const { waking } = await this.ways();
    const standing = await this.standing(cast, now);
    const { life } = cast.projection;
    const { snapshot } = cast;
    const end = life.finishedAt ?? life.brokenAt ?? now;
    const known = standing.flatMap(({ from, series }, i) => {
      const until = standing[i + 1]?.from ?? Infinity;
      const all = [...series.recorded, ...series.ahead.filter(({ at }) => at > now)];
      return all.filter(({ at }) => at >= from - HOUR && at < until);
    });
    const here = standing[standing.length - 1];
    const told = thinned(
      known.filter(({ at }) => at <= now || end >= now),
      Math.max(HOUR / 2, (Math.min(now, life.pouredAt + YOUNG) - life.pouredAt) / MOST_TOLD),
    );
    const does =
      here && isYoung(cast)
        ? surroundingsOf({
            life,
            binderClass: snapshot.binderClass,
            ...(snapshot.strength !== undefined && { strength: snapshot.strength }),
            lightweight: snapshot.lightweight ?? false,
            cover: life.cover ?? coverOf(snapshot.cover),
            ambient: known,
            course: here.series.course(snapshot.binderClass),
            waking,
            now,
          })
        : undefined;
    return {
      place: here?.place.name ?? 'nowhere',
      temperatures: told.map(({ at, temperature }) => ({ hour: (at - life.pouredAt) / HOUR, temperature })),
      forecastFrom: now,
      bridges: standing.flatMap(({ series }) =>
        series.bridges.filter(({ to }) => to > life.pouredAt && to <= end + DAY),
      ),
      bears: bearingsOf(cast, coursesOf(standing, cast)),
      ...(does && { does }),
    };
  }

  private async standing(cast: Cast, now: number): Promise<Standing[]> {
    const from = Math.max(now - 4 * YOUNG, cast.projection.life.pouredAt - HOUR);
    const standing: Standing[] = [];
    for (const stay of staysOf(cast, await this.climates.places()))
      standing.push({ ...stay, series: await this.climates.series(stay.place, from, now) });
    return standing;
  }

  private async ways(): Promise<Ways> {
    const { settings } = await this.rows.workshop();
    return {
      moistCuring: (settings.moistCuring as MoistCuring | undefined) ?? usualMoistCuring,
      waking: settings.waking ?? usualWaking,
      drying: settings.drying ?? usualDrying,
      zone: zoneOf(settings),
    };
  }
}

const coursesOf = (standing: readonly Standing[], { snapshot }: Cast): StayCourse[] =>
  standing.map(({ from, series }) => ({ from: from / HOUR, course: series.course(snapshot.binderClass) }));

/** What the faces of a cast want where it stands: like casts under like covers in one place want the same. */
function wettingOf(
  { snapshot, projection: { life } }: Cast,
  here: Standing,
  { waking, zone }: Ways,
  known: Map<string, Wetting | undefined>,
  now: number,
): Wetting | undefined {
  const cover = life.cover ?? coverOf(snapshot.cover);
  const lightweight = snapshot.lightweight ?? false;
  const key = `${here.place.id} ${cover} ${lightweight}`;
  if (!known.has(key)) {
    const ambient = ambientAtTime(here.series.recorded, now);
    const plan = ambient && mistingPlan(evaporationUnder(cover, overFace(ambient)), lightweight, waking);
    known.set(key, plan && { plan, waking, zone });
  }
  return known.get(key);
}

/** When a young piece may be handled, walked on and loaded. */
function bearingsOf({ snapshot }: Cast, courses: readonly StayCourse[]): CastAmbient['bears'] {
  return bearings.map(({ bearing, share, told }) => {
    const age = ageOfShare(snapshot.binderClass, share);
    const hour = age === undefined ? undefined : hourOfAgeAlong(courses, age, HORIZON);
    return { bearing, told, ...(hour !== undefined && { at: hour * HOUR }) };
  });
}

/** The air that the last coat dries in, recorded and forecast. */
function ambientOfCoat(life: Life, { recorded, ahead }: PlaceSeries): CoatAmbientAt[] {
  const since = defined(lastCoat(life)).at;
  const last = recorded[recorded.length - 1]?.at ?? since;
  return [...ambientSince(recorded, since), ...ahead.filter(({ at }) => at > last)];
}

function dueOf(
  cast: Cast,
  standing: readonly Standing[],
  ways: Ways,
  wettings: Map<string, Wetting | undefined>,
  age: number,
  now: number,
  sampled: boolean,
): Due[] {
  const { snapshot, projection } = cast;
  const { life, dry } = projection;
  const courses = coursesOf(standing, cast);
  const here = standing[standing.length - 1];
  const wetting = here && wettingOf(cast, here, ways, wettings, now);
  const reach = (hours: number) => {
    const hour = hourOfAgeAlong(courses, hours, HORIZON);
    return hour === undefined ? undefined : hour * HOUR;
  };
  return duesOf(life, {
    now,
    binderClass: snapshot.binderClass,
    initialSet: initialSetAt20(snapshot.binderClass, snapshot),
    reach,
    demouldAge: age,
    cores: life.stage === 'setting' ? pulledCores(snapshot.shape, snapshot.release) : [],
    moistCuring: ways.moistCuring,
    longer: snapshot.lightweight ?? false,
    ...(wetting && { wetting }),
    ...(dry.opensAt !== undefined && { opensAt: dry.opensAt }),
    dryEnough: dry.dryEnough,
    drying: ways.drying,
    zone: ways.zone,
    sampled,
    ...(here && isCoated(cast) && { ambient: ambientOfCoat(life, here.series) }),
  });
}
