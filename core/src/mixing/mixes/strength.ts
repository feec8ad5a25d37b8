import { interpolate, type Points } from '../../foundation/math/index.js';
import { PIGMENT_CEILING } from '../materials/index.js';

/** 28-day strength of a normal-weight mix, MPa: 124·exp(−2.68·w/c), from the table of ACI 211.1; w/c taken not under 0.35. */
export function strengthOfRatio(ratio: number): number {
  return 124 * Math.exp(-2.68 * Math.max(0.35, ratio));
}

/** Half-width of the band on a strength, as a share. */
const STRENGTH_DOUBT = 0.25;

export interface StrengthInputs {
  readonly ratio: number;
  /** Share of fresh volume taken by lightweight and organic grains. */
  readonly lightShare: number;
  /** Air, share of volume. */
  readonly air: number;
  /** Factor for the age of the cement, 0.6–1. */
  readonly ageFactor?: number;
  /** All that colours the mix, share of the binder. */
  readonly pigment?: number;
}

/** Share of strength lost for each share of pigment over its ceiling: 2 % for each per cent. */
const LOSS_TO_PIGMENT = 2;

/** Strength with what lightens or weakens the mix, MPa. */
export function mixStrength({ ratio, lightShare, air, ageFactor = 1, pigment = 0 }: StrengthInputs): number {
  const coloured = 1 - LOSS_TO_PIGMENT * Math.max(0, pigment - PIGMENT_CEILING);
  return strengthOfRatio(ratio) * (1 - lightShare) ** 2.5 * airFactor(air) * ageFactor * coloured;
}

/** Loss of strength to air above 2 %: 5 % of it for each per cent, down to 0.4. */
function airFactor(air: number): number {
  return Math.min(1, Math.max(0.4, 1 - 0.05 * (air * 100 - 2)));
}

/** Low and high end of a strength, ±25 %. */
export function strengthBand(strength: number): [number, number] {
  return [strength * (1 - STRENGTH_DOUBT), strength * (1 + STRENGTH_DOUBT)];
}

/** What a strength is good for, in a word. Never a design strength. */
export function useWord(strength: number): 'display' | 'garden' | 'foot traffic' {
  if (strength >= 25) return 'foot traffic';
  return strength >= 12 ? 'garden' : 'display';
}

/** Age of cement in months against the strength that is left. */
const ageing: Points = [
  [0, 1],
  [3, 1],
  [6, 0.8],
  [12, 0.7],
  [24, 0.6],
];

/** Share of strength that cement keeps `months` after opening, kept dry; 0.6 from two years on. */
export const cementAgeFactor = (months: number): number => interpolate(ageing, months);
