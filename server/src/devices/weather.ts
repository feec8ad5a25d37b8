import { DAY, HOUR } from '@dewpot/core/units';
import { followed, handbookFollowing, type PlaceKind, type WholeAmbientReading } from '@dewpot/core/ambient';
import { dice } from './dice.js';

/** Smooth noise over time: dice at whole periods, eased between. */
export function drift(at: number, period: number, salt: number): number {
  const n = Math.floor(at / period);
  const share = at / period - n;
  const ease = share * share * (3 - 2 * share);
  return dice(n, salt) * (1 - ease) + dice(n + 1, salt) * ease;
}

const rounded = ({ at, temperature, humidity, wind }: WholeAmbientReading): WholeAmbientReading => ({
  at,
  temperature: Math.round(temperature * 10) / 10,
  humidity: Math.round(Math.min(0.97, Math.max(0.3, humidity)) * 100) / 100,
  wind: Math.round(Math.max(0, wind) * 10) / 10,
});

/** The weather outdoors in a mild climate with seasons: the same for the same hour, always. */
export function weatherAt(at: number): WholeAmbientReading {
  const dayOfYear = (at % (365.2425 * DAY)) / DAY;
  const hour = (at % DAY) / HOUR;
  const season = 11 + 7 * Math.sin((2 * Math.PI * (dayOfYear - 108)) / 365.2425);
  const swing = 4 * Math.sin((2 * Math.PI * (hour - 9)) / 24) * (1 + 0.4 * drift(at, 2 * DAY, 3));
  return rounded({
    at,
    temperature: season + swing + 3.4 * drift(at, 4 * DAY, 1),
    humidity: 0.74 - 0.025 * swing + 0.13 * drift(at, 3 * DAY, 2),
    wind: 12 + 9 * drift(at, DAY, 4) + 3 * Math.sin((2 * Math.PI * (hour - 9)) / 24),
  });
}

/** The air in a place of a kind, as the weather makes it. */
export const ambientIn = (kind: PlaceKind, at: number): WholeAmbientReading =>
  rounded(followed(weatherAt(at), handbookFollowing[kind]));

/** A forecast is made again so often, ms. */
const ISSUED = 3 * HOUR;
/** How far it strays, °C for each day ahead. */
const STRAYS = 0.5;
/** How far it reaches: by the hour, then by six hours; ms. */
const BY_HOUR = 2 * DAY;
const REACHES = 10 * DAY;

/** When the forecast that holds at a time was made, ms. */
export const issuedAt = (now: number): number => Math.floor(now / ISSUED) * ISSUED;

/** Times for which a forecast tells the air: by the hour, then by six hours; ms. */
export function timesAhead(now: number): number[] {
  const hour = Math.floor(now / HOUR) * HOUR;
  return [
    ...Array.from({ length: BY_HOUR / HOUR }, (_, i) => hour + (i + 1) * HOUR),
    ...Array.from({ length: (REACHES - BY_HOUR) / (6 * HOUR) }, (_, i) => hour + BY_HOUR + (i + 1) * 6 * HOUR),
  ];
}

/** The simulated forecast service: ten days of weather ahead, surer of tomorrow than of next week. */
export function forecast(now: number): WholeAmbientReading[] {
  const issued = issuedAt(now);
  return timesAhead(now).map((at) => {
    const weather = weatherAt(at);
    const off = ((STRAYS * (at - issued)) / DAY) * drift(at, DAY, 90 + ((issued / ISSUED) % 7));
    return rounded({ ...weather, temperature: weather.temperature + off });
  });
}

/** What the weather was, by the hour, as the forecast service keeps it. */
export function weatherBetween(from: number, to: number, step = HOUR): WholeAmbientReading[] {
  const first = Math.ceil(from / step) * step;
  return Array.from({ length: Math.max(0, Math.floor((to - first) / step) + 1) }, (_, i) =>
    weatherAt(first + i * step),
  );
}
