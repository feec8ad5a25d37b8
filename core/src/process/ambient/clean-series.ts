import { defined } from '../../foundation/math/index.js';
import { MINUTE, HOUR, msg, exactly, type Message } from '../../foundation/units/index.js';
import type { AmbientReading, SetAside } from './readings.js';

/** A stretch of time that nothing was read in, or nothing that can be trusted; ms. The line is drawn straight across it. */
export interface Bridge {
  readonly from: number;
  readonly to: number;
  readonly why: Message;
}

/** A series as it is calculated with: only what can be trusted, and the stretches between that are bridged. */
export interface CleanedSeries {
  readonly readings: readonly AmbientReading[];
  readonly bridges: readonly Bridge[];
  readonly aside: readonly SetAside[];
}

/** A longer silence than this is a gap. */
const LONGEST_SILENCE = 3 * HOUR;
/** A sensor that tells the very same for so long is stuck. */
const STUCK_AFTER = 24 * HOUR;
/** A spike: so far off both its neighbours, °C, which lie so near in time and agree so well. */
const SPIKE = { off: 12, near: 40 * MINUTE, agree: 5 };

function isSpike(
  before: AmbientReading | undefined,
  { at, temperature }: AmbientReading,
  after: AmbientReading | undefined,
) {
  if (!before || !after || at - before.at > SPIKE.near || after.at - at > SPIKE.near) return false;
  if (Math.abs(before.temperature - after.temperature) > SPIKE.agree) return false;
  return Math.min(Math.abs(temperature - before.temperature), Math.abs(temperature - after.temperature)) > SPIKE.off;
}

const unchanged = (a: AmbientReading, b: AmbientReading) =>
  a.temperature === b.temperature && a.humidity === b.humidity;

/** Where a sensor told the very same for too long: the first and last of each run, as places in the series. */
function stuckRuns(readings: readonly AmbientReading[]): (readonly [first: number, last: number])[] {
  const runs: [number, number][] = [];
  let first = 0;
  for (let i = 1; i <= readings.length; i++) {
    if (i < readings.length && unchanged(defined(readings[first]), defined(readings[i]))) continue;
    // What was read seldom, or typed, may well be the same twice.
    if (i - first > 12 && defined(readings[i - 1]).at - defined(readings[first]).at >= STUCK_AFTER)
      runs.push([first, i - 1]);
    first = i;
  }
  return runs;
}

/**
 * A series with spikes and the stretches of a stuck sensor taken out, and its gaps bridged: over each, the line runs straight
 * from the reading before to the one after, and the stretch is told. `readings` in the order of time.
 */
export function cleanSeries(readings: readonly AmbientReading[]): CleanedSeries {
  const spikes = readings.filter((one, i) => isSpike(readings[i - 1], one, readings[i + 1]));
  const smooth = spikes.length === 0 ? readings : readings.filter((one) => !spikes.includes(one));
  const runs = stuckRuns(smooth);
  const stuck = new Set(runs.flatMap(([first, last]) => Array.from({ length: last - first }, (_, i) => first + 1 + i)));
  const trusted = stuck.size === 0 ? smooth : smooth.filter((_, i) => !stuck.has(i));
  const held = runs.map(([first, last]): Bridge => {
    const { at, temperature } = defined(smooth[first]);
    return {
      from: at,
      to: smooth[last + 1]?.at ?? defined(smooth[last]).at,
      why: msg('ambient.stuckSensor', { temperature: exactly(temperature, '°C') }),
    };
  });
  const silent = smooth.flatMap(({ at }, i): Bridge[] =>
    i > 0 && at - defined(smooth[i - 1]).at > LONGEST_SILENCE
      ? [{ from: defined(smooth[i - 1]).at, to: at, why: msg('ambient.nothingRead') }]
      : [],
  );
  return {
    readings: trusted,
    bridges: [...held, ...silent].sort((a, b) => a.from - b.from),
    aside: spikes.map((reading) => ({
      reading,
      why: msg('ambient.spike', { temperature: exactly(reading.temperature, '°C') }),
    })),
  };
}

/** The first reading of each `step` of time, ms, and the last of all: a series as it is drawn. */
export function thinned<R extends { readonly at: number }>(readings: readonly R[], step: number): R[] {
  const last = readings[readings.length - 1];
  const first = readings.filter(
    ({ at }, i) => i === 0 || Math.floor(at / step) !== Math.floor(defined(readings[i - 1]).at / step),
  );
  return last && first[first.length - 1] !== last ? [...first, last] : first;
}
