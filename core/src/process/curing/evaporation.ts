import { requireNumber, msg, type Message } from '../../foundation/units/index.js';

/** Air over a wet face: concrete and air in °C, humidity as a share, wind in km/h. */
export interface FaceAmbient {
  readonly concrete: number;
  readonly ambient: number;
  readonly humidity: number;
  readonly wind: number;
}

/** The air over a face whose concrete is as warm as it. */
export const overFace = ({
  temperature,
  humidity,
  wind,
}: {
  readonly temperature: number;
  readonly humidity: number;
  readonly wind: number;
}): FaceAmbient => ({
  concrete: Math.max(-18, temperature),
  ambient: Math.max(-18, temperature),
  humidity,
  wind,
});

/** Water that leaves a wet face, kg/m²/h (ACI 305R nomograph in Uno's form, 1998); never below 0. */
export function evaporation({ concrete, ambient, humidity, wind }: FaceAmbient): number {
  requireNumber('concrete', concrete, msg('today.concreteTemperature'), { min: -18, max: 90, unit: '°C' });
  requireNumber('ambient', ambient, msg('today.airTemperature'), { min: -18, max: 60, unit: '°C' });
  requireNumber('humidity', humidity, msg('today.humidity'), { min: 0, max: 1 });
  requireNumber('wind', wind, msg('today.wind'), { min: 0, max: 200, unit: 'km/h' });
  return Math.max(0, 5 * ((concrete + 18) ** 2.5 - humidity * (ambient + 18) ** 2.5) * (wind + 4) * 1e-6);
}

export type FaceRisk = 'calm' | 'watch' | 'cover';

/** Evaporation over which one acts: for thin and for lightweight pieces, and for all, kg/m²/h. */
export const EVAPORATION = { thin: 0.5, all: 1 } as const;

/** What a rate of evaporation asks for: over 0.5 act for thin pieces, over 1.0 for all. */
export function faceRisk(rate: number): FaceRisk {
  if (rate > EVAPORATION.all) return 'cover';
  return rate > EVAPORATION.thin ? 'watch' : 'calm';
}

/** The same in words. */
export const faceAdvice: Record<FaceRisk, Message> = {
  calm: msg('today.lowEvaporation'),
  watch: msg('today.coverThin'),
  cover: msg('today.coverAll'),
};
