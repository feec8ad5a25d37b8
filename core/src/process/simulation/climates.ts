import { msg, type Message } from '../../foundation/units/index.js';
/** Made-up weather for simulating: named by what it does. */
export type SimulationClimate = 'mild shed' | 'heatwave' | 'cold shed' | 'damp cellar' | 'warm room';

/** A day that repeats: coldest before sunrise, warmest in the afternoon. °C, share, km/h. */
export interface DailyAmbient {
  readonly name: Message;
  readonly mean: number;
  readonly swing: number;
  readonly humidity: number;
  readonly wind: number;
}

export const simulationClimates: Record<SimulationClimate, DailyAmbient> = {
  'mild shed': { name: msg('simulation.mildShed'), mean: 17, swing: 3, humidity: 0.62, wind: 2 },
  heatwave: { name: msg('simulation.heatwaveYard'), mean: 28, swing: 7, humidity: 0.38, wind: 14 },
  'cold shed': { name: msg('simulation.coldShedWinter'), mean: 3, swing: 4, humidity: 0.82, wind: 2 },
  'damp cellar': { name: msg('simulation.dampCellarClimate'), mean: 12, swing: 0.5, humidity: 0.88, wind: 0 },
  'warm room': { name: msg('simulation.warmDryRoom'), mean: 21, swing: 1, humidity: 0.45, wind: 0 },
};

const COLDEST = 5;

/** The air at an hour after a pour at ten in the morning. */
export function dailyAmbient({ mean, swing, humidity, wind }: DailyAmbient, hour: number) {
  const clock = (10 + hour) % 24;
  const warmth = -Math.cos(((clock - COLDEST) / 24) * 2 * Math.PI);
  return {
    temperature: mean + swing * warmth,
    humidity: Math.min(0.98, Math.max(0.1, humidity - 0.02 * swing * warmth)),
    wind: wind * (1 + 0.4 * warmth),
  };
}
