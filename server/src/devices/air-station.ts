import type { TemperatureReading } from '@dewpot/core';
import type { AirReading, AirView } from '@dewpot/contract';
import { dice } from './dice.js';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** Smooth noise over time: dice at whole periods, eased between. */
function drift(at: number, period: number, salt: number): number {
  const n = Math.floor(at / period);
  const share = at / period - n;
  const ease = share * share * (3 - 2 * share);
  return dice(n, salt) * (1 - ease) + dice(n + 1, salt) * ease;
}

/** A simulated station in a shed of a mild climate: the same weather for the same hour, always. */
export function airAt(at: number): AirReading {
  const dayOfYear = (at % (365.2425 * DAY)) / DAY;
  const hour = (at % DAY) / HOUR;
  const season = 12 + 6.5 * Math.sin((2 * Math.PI * (dayOfYear - 108)) / 365.2425);
  const swing = 2.6 * Math.sin((2 * Math.PI * (hour - 9)) / 24) * (1 + 0.4 * drift(at, 2 * DAY, 3));
  const temperature = season + swing + 3 * drift(at, 4 * DAY, 1);
  const humidity = 0.7 - 0.022 * swing + 0.13 * drift(at, 3 * DAY, 2);
  const wind = 8 + 6 * drift(at, DAY, 4) + 2 * Math.sin((2 * Math.PI * (hour - 9)) / 24);
  return {
    at,
    temperature: Math.round(temperature * 10) / 10,
    humidity: Math.round(Math.min(0.97, Math.max(0.35, humidity)) * 100) / 100,
    wind: Math.round(Math.max(0, wind) * 10) / 10,
  };
}

function series(from: number, to: number, step: number): AirReading[] {
  const first = Math.ceil(from / step) * step;
  return Array.from({ length: Math.max(0, Math.floor((to - first) / step) + 1) }, (_, i) => airAt(first + i * step));
}

/** Longest stretch of air that is told at once, ms. */
export const LONGEST_STRETCH = 120 * DAY;

/** The air between two times, ms, every three hours. */
export function airBetween(from: number, to: number): AirReading[] {
  return series(from, Math.min(to, from + LONGEST_STRETCH), 3 * HOUR);
}

/** Temperatures of a piece poured at `pouredAt` until `at`, ms, as the cure is reckoned from them: hours and °C. */
export function temperaturesOf(pouredAt: number, at: number): TemperatureReading[] {
  return [...airBetween(pouredAt, at), airAt(at)].map((reading) => ({
    hour: (reading.at - pouredAt) / HOUR,
    temperature: reading.temperature,
  }));
}

/** The air as the simulated station tells it at `now`: sixty days behind and ten ahead. */
export function airView(now: number): AirView {
  return {
    station: 'Simulated station in the shed',
    now: airAt(now),
    past: series(now - 60 * DAY, now, 3 * HOUR),
    ahead: [...series(now, now + 2 * DAY, HOUR), ...series(now + 2 * DAY + HOUR, now + 10 * DAY, 6 * HOUR)],
  };
}
