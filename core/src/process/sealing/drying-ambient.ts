import { dryingProgress, type RateFrom } from './drying-progress.js';

/** Air in which a piece dries. */
export interface DryingAmbient {
  /** °C */
  readonly temperature: number;
  /** Share, 0–1. */
  readonly humidity: number;
}

/** A reading or a forecast of it, hours since the pour. */
export interface DryingAmbientAt extends DryingAmbient {
  readonly hour: number;
}

const LEAST = 0.2;
const MOST = 2;

/** What air can still take up, kPa: saturation pressure by Magnus's formula (over water) less what is in it. */
const vapourDeficit = ({ temperature, humidity }: DryingAmbient): number =>
  0.6112 * Math.exp((17.62 * temperature) / (243.12 + temperature)) * (1 - humidity);

const USUAL = vapourDeficit({ temperature: 20, humidity: 0.5 });

/**
 * How fast a piece dries in this air, 1 at 20 °C and half damp. The root of what the air can take up, since half of the way out leads
 * through the wall, which the air does not change; kept between 0.2 and 2. A figure of our own: what is weighed replaces it.
 */
export function dryingPace(ambient: DryingAmbient): number {
  return Math.min(MOST, Math.max(LEAST, Math.sqrt(Math.max(0, vapourDeficit(ambient)) / USUAL)));
}

/** The pace of each of these readings, each holding until the next. */
export const dryingPaces = (ambient: readonly DryingAmbientAt[]): RateFrom[] =>
  ambient.map((reading) => ({ hour: reading.hour, rate: dryingPace(reading) }));

/** Mean pace over a stretch of time, the first holding before it too; 1 where none holds in it. */
export function meanPace(paces: readonly RateFrom[], from: number, to: number): number {
  let sum = 0;
  let hours = 0;
  paces.forEach(({ hour, rate }, i) => {
    const held = Math.min(to, paces[i + 1]?.hour ?? to) - Math.max(from, i === 0 ? from : hour);
    if (held <= 0) return;
    sum += held * rate;
    hours += held;
  });
  return hours > 0 ? sum / hours : 1;
}

/**
 * Hours that an opening of the gate moves to under a forecast: what the curve gives at the pace of the weighings so far is walked off
 * at the paces that hold after `from`, and beyond the last at their mean; unmoved where none is known. Hours from any one time.
 */
export function underForecast(opens: number, from: number, paceSoFar: number, paces: readonly RateFrom[]): number {
  const known = (paces[paces.length - 1]?.hour ?? from) > from;
  return opens <= from || !known ? opens : dryingProgress((opens - from) * paceSoFar, from, paces);
}
