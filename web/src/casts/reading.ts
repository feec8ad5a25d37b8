import { faceColour, phaseOf, wetness, windowOf, type Skin, type TemperatureReading, type Window } from '@dewpot/core';
import type { AirReading, AirView, CastView } from '@dewpot/contract';
import { recoloured } from '../ui/skin-paint';

const HOUR = 3_600_000;

/** Readings of the air as the cure is reckoned from them: hours since the pour and °C; the one before the pour is kept. */
export function readingsSince(pouredAt: number, readings: readonly AirReading[]): TemperatureReading[] {
  return readings
    .map(({ at, temperature }) => ({ hour: (at - pouredAt) / HOUR, temperature }))
    .filter(({ hour }) => hour >= -3);
}

/** Temperatures since a pour from the station's view, where 18 °C stands in until it is known. */
function temperaturesSince(pouredAt: number, air: AirView | undefined): TemperatureReading[] {
  if (!air) return [{ hour: 0, temperature: 18 }];
  const since = readingsSince(pouredAt, [...air.past, ...air.ahead]);
  return since.length > 0 ? since : [{ hour: 0, temperature: air.now.temperature }];
}

/** The next thing to do with a cast and when. */
export function nextOf(cast: CastView, air: AirView | undefined): Window | undefined {
  const { piece, setting } = cast.snapshot;
  return windowOf(cast.life, {
    setting,
    piece,
    temperatures: temperaturesSince(cast.life.pouredAt, air),
    ...(cast.dry.opensAt !== undefined && { opensAt: cast.dry.opensAt }),
    dryEnough: cast.dry.dryEnough,
  });
}

/** How a cast looks today. */
export interface Today {
  readonly colour: string;
  readonly skin?: Skin;
}

/** Today's colours of a cast: dark when wet, paling as the water is reckoned to leave. */
export function lookToday({ life, expected, dry, snapshot: { colour, skin } }: CastView, now: number): Today {
  const wet = wetness(life, expected.loss, now, dry.typical);
  return {
    colour: faceColour(colour, wet),
    ...(skin && { skin: recoloured(skin, (one) => faceColour(one, wet)) }),
  };
}

/** Whether something wants doing now. */
export function isDue(window: Window | undefined, now: number): boolean {
  if (!window) return false;
  const phase = phaseOf(window, now);
  return phase === 'good' || phase === 'late';
}
