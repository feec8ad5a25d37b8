import { defined } from '../../foundation/math/index.js';
import { DAY, HOUR } from '../../foundation/units/index.js';
import { initialSetAt20 } from '../../mixing/binders/index.js';
import type { WholeAmbientReading } from '../../process/ambient/index.js';
import {
  ageAlong,
  ageOfShare,
  coverOf,
  EVAPORATION,
  evaporationUnder,
  FROST_PROOF,
  hourOfAgeAlong,
  moistCuringEnd,
  overFace,
  pulledCores,
  USUAL_STRENGTH,
  type Cover,
  type MoistCuring,
  type StayCourse,
} from '../../process/curing/index.js';
import { recoatWindow } from '../../process/sealing/index.js';
import { sealerOfCoat, standing, type CastEvent, type CastSnapshot, type Life } from '../casts/index.js';
import type { Circumstance, Circumstanced } from './circumstances.js';

/** A cast with the air that it stood in, from its pour on. */
export interface StoodCast {
  readonly snapshot: CastSnapshot;
  readonly life: Life;
  readonly events: readonly CastEvent[];
  /** Readings of its places in the order of time. */
  readonly ambient: readonly WholeAmbientReading[];
  readonly courses: readonly StayCourse[];
  /** Demoulding as it was proposed, equivalent hours. */
  readonly proposed: number;
  readonly moistCuring: MoistCuring;
}

/** Thin kinds of piece. */
const THIN: readonly CastSnapshot['piece'][] = ['panel', 'dish', 'leaf', 'lamp'];
/** Over the limit for so long does no harm, h. */
const SHORT = 0.5;
/** A coat wants it so warm, °C. */
export const SEALED_WARM = 8;
/** Frost is looked for so far, h. */
const FIRST_WEEKS = 28 * 24;

/** What lay over a cast at a time. */
function coverAt(events: readonly CastEvent[], poured: string | undefined, at: number): Cover {
  const laid = events.findLast((event) => event.type === 'covered' && event.at <= at);
  return laid?.type === 'covered' ? laid.cover : coverOf(poured);
}

/** Water off its faces in the first day, and how long it was too much. */
function ofFirstDay({ snapshot, life, events, ambient }: StoodCast): [Circumstance, Circumstanced | undefined][] {
  const most = snapshot.lightweight || THIN.includes(snapshot.piece) ? EVAPORATION.thin : EVAPORATION.all;
  const [from, to] = [life.pouredAt, life.pouredAt + DAY];
  let [worst, over, known] = [0, 0, 0];
  ambient.forEach((reading, i) => {
    const [begins, ends] = [Math.max(from, reading.at), Math.min(to, ambient[i + 1]?.at ?? reading.at + HOUR)];
    if (ends <= begins) return;
    const rate = evaporationUnder(coverAt(events, snapshot.cover, begins), overFace(reading));
    worst = Math.max(worst, rate);
    known += ends - begins;
    if (rate > most) over += (ends - begins) / HOUR;
  });
  if (known < DAY / 2) return [];
  return [
    ['evaporation', { value: worst, most }],
    ['evaporationHours', { value: over, most: SHORT }],
  ];
}

/** The coldest that it stood before it could bear frost. */
function coldest({ snapshot, life, ambient, courses }: StoodCast): Circumstanced | undefined {
  const age = ageOfShare(snapshot.binderClass, Math.min(1, FROST_PROOF / (snapshot.strength ?? USUAL_STRENGTH)));
  const proof = age === undefined ? undefined : hourOfAgeAlong(courses, age, FIRST_WEEKS);
  const until = proof === undefined ? life.pouredAt + FIRST_WEEKS * HOUR : proof * HOUR;
  // Each reading holds until the next.
  const held = ambient.filter(({ at }, i) => (ambient[i + 1]?.at ?? Infinity) > life.pouredAt && at <= until);
  const young = held.map(({ temperature }) => temperature);
  return young.length === 0 ? undefined : { value: Math.min(...young), least: 0 };
}

/** When its last core was pulled, as a share of the middle of its window. */
function corePull({ snapshot, events, courses }: StoodCast): Circumstanced | undefined {
  const set = initialSetAt20(snapshot.binderClass, snapshot);
  const cores = pulledCores(snapshot.shape, snapshot.release);
  const shares = events.flatMap((event) => {
    const core = event.type === 'pulled' ? cores.find(({ name }) => name === event.core) : undefined;
    if (!core) return [];
    const { good, late } = core.window;
    const middle = (good + late) / 2;
    return [{ value: ageAlong(courses, event.at / HOUR) / set / middle, least: good / middle, most: late / middle }];
  });
  return shares.sort((a, b) => b.value - a.value)[0];
}

/** Its moist curing as a share of what was asked. */
function moistCured({ snapshot, life, courses, moistCuring }: StoodCast): Circumstanced | undefined {
  if (life.uncoveredAt === undefined) return undefined;
  const asked = moistCuringEnd(snapshot.binderClass, moistCuring, snapshot.lightweight ?? false);
  const shares = [
    ...(asked.age > 0 ? [ageAlong(courses, life.uncoveredAt / HOUR) / asked.age] : []),
    ...(asked.days > 0 ? [(life.uncoveredAt - life.pouredAt) / DAY / asked.days] : []),
  ];
  return shares.length === 0 ? undefined : { value: Math.min(2, ...shares), least: 1 };
}

/** How its coats went on: how damp it was, how soon one followed the other, how cold it was. */
function ofCoats({ life: { coats } }: StoodCast): [Circumstance, Circumstanced | undefined][] {
  const [first] = coats;
  if (!first) return [];
  const waits = coats.slice(1).map((coat, i) => {
    const before = defined(coats[i]);
    const { from } = recoatWindow(sealerOfCoat(before), before.at, before.ambient ?? []);
    return (coat.at - before.at) / Math.max(1, from - before.at);
  });
  return [
    ['waterLeft', { value: first.over ?? 0, most: 0 }],
    ['recoat', waits.length > 0 ? { value: Math.min(4, ...waits), least: 1 } : undefined],
    ['sealedAt', first.ambient ? { value: first.ambient.temperature, least: SEALED_WARM } : undefined],
  ];
}

/** What a cast stood under from its mould to its last coat. */
export function stoodUnder(given: StoodCast): [Circumstance, Circumstanced | undefined][] {
  const cast = { ...given, events: standing(given.events) };
  const { snapshot, life, proposed } = cast;
  const age = life.demould?.age;
  return [
    ...ofFirstDay(cast),
    ['uncovered', { value: Number(coverAt(cast.events, snapshot.cover, life.pouredAt) === 'none') }],
    ['coldest', coldest(cast)],
    ['corePull', corePull(cast)],
    ['demouldAge', age === undefined ? undefined : { value: age / proposed, least: 1 }],
    ['moistCuring', moistCured(cast)],
    ...ofCoats(cast),
  ];
}
