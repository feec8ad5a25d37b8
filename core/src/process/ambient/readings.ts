import { msg, quantity, exactly, type Message } from '../../foundation/units/index.js';
/** The air at a time: ms, °C, humidity as a share, wind in km/h. A logger may not tell all of it. */
export interface AmbientReading {
  readonly at: number;
  readonly temperature: number;
  readonly humidity?: number;
  readonly wind?: number;
}

/** A reading of which nothing is missing. */
export type WholeAmbientReading = Required<AmbientReading>;

/** A reading that does not count, and why. */
export interface SetAside {
  readonly reading: AmbientReading;
  readonly why: Message;
}

/** Readings in the order of time that count, those that do not, and how many came twice. */
export interface Sifted {
  readonly kept: readonly AmbientReading[];
  readonly aside: readonly SetAside[];
  readonly twice: number;
}

/** Air that can be, in places where people cast. */
export const possibleAmbient = {
  temperature: { min: -35, max: 60, unit: '°C' },
  humidity: { min: 0, max: 1 },
  wind: { min: 0, max: 200, unit: 'km/h' },
} as const;

/** What sensors tell when they are broken or not connected, °C. */
const faults: ReadonlyMap<number, Message> = new Map([
  [-40, msg('ambient.sensorUnplugged')],
  [-127, msg('ambient.probeUnplugged')],
  [85, msg('ambient.probeBefore')],
  [127, msg('ambient.rangeEnd')],
]);

const EARLIEST = Date.UTC(2000, 0, 1);
/** Clocks of two devices may differ by so much, ms. */
const CLOCK_SLACK = 2 * 60_000;

const within = (value: number, { min, max }: { readonly min: number; readonly max: number }) =>
  value >= min && value <= max;

/** Why a reading does not count at all; undefined where it does. */
function wrong({ at, temperature }: AmbientReading, now: number): Message | undefined {
  if (!Number.isFinite(at) || at < EARLIEST) return msg('ambient.timeMissing');
  if (at > now + CLOCK_SLACK) return msg('ambient.inFuture');
  if (!Number.isFinite(temperature)) return msg('ambient.noTemperature');
  const fault = faults.get(temperature);
  if (fault) return msg('ambient.faultValue', { temperature: exactly(temperature, '°C'), fault });
  if (!within(temperature, possibleAmbient.temperature))
    return msg('ambient.impossibleHere', { temperature: exactly(temperature, '°C') });
  return undefined;
}

/** A reading without what cannot be in it, and why that was left out. */
function trimmed(reading: AmbientReading): { reading: AmbientReading; aside: SetAside[] } {
  const { humidity, wind, ...rest } = reading;
  const damp = humidity === undefined || within(humidity, possibleAmbient.humidity);
  const windy = wind === undefined || within(wind, possibleAmbient.wind);
  return {
    reading: {
      ...rest,
      ...(humidity !== undefined && damp && { humidity }),
      ...(wind !== undefined && windy && { wind }),
    },
    aside: [
      ...(damp
        ? []
        : [
            {
              reading,
              why: msg('ambient.humidityDropped', { humidity: quantity(Math.round(humidity * 100), '%', 0) }),
            },
          ]),
      ...(windy ? [] : [{ reading, why: msg('ambient.windDropped', { wind: exactly(wind, 'km/h') }) }]),
    ],
  };
}

const same = (a: AmbientReading, b: AmbientReading) =>
  a.temperature === b.temperature && a.humidity === b.humidity && a.wind === b.wind;

/**
 * Sorts readings by time and sets aside what cannot be: a broken sensor’s figures, times to come or of a clock that was
 * never set, a second reading that contradicts one of the same time. Nothing is dropped unsaid.
 */
export function sift(readings: readonly AmbientReading[], now: number): Sifted {
  const aside: SetAside[] = [];
  const byTime = new Map<number, AmbientReading>();
  let twice = 0;
  for (const given of readings) {
    const why = wrong(given, now);
    if (why) {
      aside.push({ reading: given, why });
      continue;
    }
    const { reading, aside: parts } = trimmed(given);
    const there = byTime.get(reading.at);
    if (!there) {
      aside.push(...parts);
      byTime.set(reading.at, reading);
    } else if (same(there, reading)) twice += 1;
    else aside.push({ reading: given, why: msg('ambient.sameTime') });
  }
  return { kept: [...byTime.values()].sort((a, b) => a.at - b.at), aside, twice };
}
