import { walkedOff } from './walked-off.js';

/** Air in which a piece dries. */
export interface DryingAir {
  /** °C */
  readonly temperature: number;
  /** Share, 0–1. */
  readonly humidity: number;
}

/** A reading or a forecast of it, hours since the pour. */
export interface DryingAirAt extends DryingAir {
  readonly hour: number;
}

const LEAST = 0.2;
const MOST = 2;

/** What air can still take up, kPa: saturation pressure by Magnus's formula (over water) less what is in it. */
export const vapourDeficit = ({ temperature, humidity }: DryingAir): number =>
  0.6112 * Math.exp((17.62 * temperature) / (243.12 + temperature)) * (1 - humidity);

const USUAL = vapourDeficit({ temperature: 20, humidity: 0.5 });

/**
 * How fast a piece dries in this air, 1 at 20 °C and half damp. The root of what the air can take up, since half of the way out leads
 * through the wall, which the air does not change; kept between 0.2 and 2. A figure of our own: what is weighed replaces it.
 */
export function dryingPace(air: DryingAir): number {
  return Math.min(MOST, Math.max(LEAST, Math.sqrt(Math.max(0, vapourDeficit(air)) / USUAL)));
}

/** Mean pace over a stretch of readings in order of time, each holding until the next; 1 where there are none. */
export function meanPace(air: readonly DryingAirAt[], from: number, to: number): number {
  let sum = 0;
  let hours = 0;
  air.forEach((reading, i) => {
    const held = Math.min(to, air[i + 1]?.hour ?? to) - Math.max(from, i === 0 ? from : reading.hour);
    if (held <= 0) return;
    sum += held * dryingPace(reading);
    hours += held;
  });
  return hours > 0 ? sum / hours : 1;
}

/**
 * Hours that an opening of the gate moves to under a forecast: what the curve gives at the pace of the weighings so far is walked off
 * at the pace ahead, and beyond the forecast at its mean. `opens`, `from` in hours since the pour.
 */
export function underForecast(opens: number, from: number, paceSoFar: number, ahead: readonly DryingAirAt[]): number {
  if (opens <= from || ahead.length === 0) return opens;
  return walkedOff(
    (opens - from) * paceSoFar,
    from,
    ahead.map((air) => ({ hour: air.hour, rate: dryingPace(air) })),
  );
}
