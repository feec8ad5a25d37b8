import { cementMass, FIRST_WATER, ratioCeiling, SPLASH, type BatchMasses, type Mix } from '../mixes/index.js';
import { figure, handbook, line, type Basis, type Figure } from '../units/index.js';

/** The water of one batch, g. */
export interface WaterPlan {
  /** What goes in from the tap in all. */
  readonly tap: Figure;
  /** Put in at once, the rest held back. */
  readonly first: number;
  readonly splash: number;
  /** Most tap water before the piece turns weak for where it will live. */
  readonly ceiling: number;
  /** Brought by damp materials. */
  readonly brought: number;
}

/** Water of a batch: from the tap comes the total less what damp materials bring. */
export function waterPlan(
  mix: Mix,
  batch: BatchMasses,
  moisture: Readonly<Record<string, number>>,
  basis: Basis = handbook,
): WaterPlan {
  const brought = batch.portions.reduce((sum, { material, mass }) => sum + mass * (moisture[material.id] ?? 0), 0);
  const tap = Math.max(0, batch.totalWater - brought);
  const most = ratioCeiling[mix.exposure] * cementMass(batch.portions) + batch.absorbed - brought;
  return {
    tap: figure(tap, 'g', basis, [
      line('Soaked up by the grains', batch.absorbed, 'g'),
      line('Free water for this consistency', batch.freeWater, 'g', 'demand × grade, material by material'),
      line('Water in all', batch.totalWater, 'g'),
      ...(brought > 0 ? [line('less what the damp sand brings', brought, 'g')] : []),
      line('From the tap', tap, 'g', '1 g is 1 mL'),
    ]),
    first: tap * FIRST_WATER,
    splash: tap * SPLASH,
    ceiling: Math.max(0, most),
    brought,
  };
}
