import { msg, exactly, type Message } from '../../foundation/units/index.js';
import { defined } from '../../foundation/math/index.js';
import { isPortland, strengthShare, type BinderClass } from '../../mixing/binders/index.js';
import { ageBetween, type AgeCourse } from './maturity.js';

/** What the weather does to a young piece: told as a sentence, with when; hours of the course. */
export interface WeatherWarning {
  readonly kind: 'frost' | 'cold' | 'heat';
  readonly from: number;
  readonly to: number;
  readonly past: boolean;
  readonly told: Message;
}

/** Frost harms a piece until it has this strength, MPa. */
export const FROST_PROOF = 3.5;
/** Portland hardly goes on below this, °C. */
export const COLD = 5;
/** A hot place in the first days, °C. */
export const HOT = 32;
/** Heat matters in the first so many equivalent hours. */
const YOUNG = 72;
/** Of a mix that nothing is said of, at 28 days, MPa. */
export const USUAL_STRENGTH = 25;

/** A young piece and its air. Hours of the course. */
export interface YoungPiece {
  readonly course: AgeCourse;
  readonly binderClass: BinderClass;
  readonly poured: number;
  readonly now: number;
  /** How far the forecast is looked at. */
  readonly until: number;
  /** 28-day strength of its mix, MPa. */
  readonly strength?: number;
}

type Hour = { readonly hour: number; readonly temperature: number; readonly age: number };

function runsOf(hours: readonly Hour[], holds: (hour: Hour) => boolean): { from: number; to: number }[] {
  const runs: { from: number; to: number }[] = [];
  hours.forEach((one, i) => {
    if (!holds(one)) return;
    const last = runs[runs.length - 1];
    if (last && i > 0 && holds(defined(hours[i - 1]))) last.to = one.hour;
    else runs.push({ from: one.hour, to: one.hour });
  });
  return runs;
}

const lasting = ({ from, to }: { from: number; to: number }) => to - from;

/** Frost before it is proof against it, cold in which it hardly hardens, and heat in its first days; past and to come, frost first. */
export function weatherWarnings({
  course,
  binderClass,
  poured,
  now,
  until,
  strength = USUAL_STRENGTH,
}: YoungPiece): WeatherWarning[] {
  const hours = course.readings
    .filter(({ hour }) => hour >= poured && hour <= until)
    .map(({ hour, temperature }): Hour => ({ hour, temperature, age: ageBetween(course, poured, hour) }));
  const weak = ({ age }: Hour) => strength * strengthShare(binderClass, age) < FROST_PROOF;
  const found = (
    kind: WeatherWarning['kind'],
    least: number,
    holds: (hour: Hour) => boolean,
    tell: (past: boolean) => Message,
  ) =>
    runsOf(hours, holds)
      .filter((run) => lasting(run) >= least)
      .map((run): WeatherWarning => ({ kind, ...run, past: run.to <= now, told: tell(run.to <= now) }));
  return [
    ...found(
      'frost',
      0,
      (one) => one.temperature < 0 && weak(one),
      (past) =>
        past
          ? msg('curing.froze', { strength: exactly(FROST_PROOF, 'MPa') })
          : msg('curing.frostComing', { strength: exactly(FROST_PROOF, 'MPa') }),
    ),
    ...found(
      'cold',
      6,
      (one) => isPortland(binderClass) && one.temperature < COLD && one.age < 7 * 24,
      (past) =>
        past
          ? msg('curing.stoodCold', { cold: exactly(COLD, '°C') })
          : msg('curing.coldComing', { cold: exactly(COLD, '°C') }),
    ),
    ...found(
      'heat',
      2,
      (one) => one.temperature > HOT && one.age < YOUNG,
      (past) => (past ? msg('curing.stoodHot') : msg('curing.heatComing')),
    ),
  ];
}
