import { requireNumber, msg } from '../../foundation/units/index.js';
import type { BinderClass } from './strength-share.js';

/** Apparent activation energy over the gas constant, K. */
export const activation: Record<BinderClass, number> = {
  portland: 5000,
  'high-early': 5000,
  patch: 5000,
  lime: 5000,
  'fast-setting': 4200,
  underlayment: 4200,
  gypsum: 3500,
};

const KELVIN = 273.15;
const REFERENCE = 293.15;

/** How fast a binder reacts at a temperature against 20 °C (Arrhenius, ASTM C1074). `q` in K. */
export function rate(temperature: number, q: number): number {
  requireNumber('temperature', temperature, msg('materials.temperature'), { min: -40, max: 90, unit: '°C' });
  return arrhenius(temperature, q);
}

/** The same without a check, for sums over many readings. */
export const arrhenius = (temperature: number, q: number) =>
  Math.exp(-q * (1 / (temperature + KELVIN) - 1 / REFERENCE));
