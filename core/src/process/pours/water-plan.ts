import { figure, handbook, line, type Basis, type Figure, msg } from '../../foundation/units/index.js';
import {
  broughtWater,
  cementMass,
  consistency,
  drySolids,
  FIRST_WATER,
  LAST_POWDER,
  powderRange,
  ratioCeiling,
  SPLASH,
  type BatchMasses,
  type Mix,
  type MixingOrder,
} from '../../mixing/mixes/index.js';

/** The water of one batch, g. */
export interface WaterPlan {
  /** What goes in from the tap in all. */
  readonly tap: Figure;
  /** Put in at once, the rest held back. */
  readonly first: number;
  readonly splash: number;
  /** Most tap water before the piece turns weak for where it will live, or that stands on the bag. */
  readonly ceiling: number;
  /** Least tap water that a ready-made powder takes. */
  readonly floor?: number;
  /** Brought by damp materials and by liquids. */
  readonly brought: number;
  /** Where powder goes into water: the powder held back, while all the water is put in at once. */
  readonly powderHeld?: number;
}

/** How the water of a batch is put in. */
export interface WaterWays {
  readonly moisture: Readonly<Record<string, number>>;
  readonly order: MixingOrder;
  readonly basis?: Basis;
}

/** Water of a batch: from the tap comes the total less what damp materials and liquids bring. */
export function waterPlan(mix: Mix, batch: BatchMasses, { moisture, order, basis = handbook }: WaterWays): WaterPlan {
  const damp = broughtWater(batch, moisture);
  const brought = damp + batch.liquidWater;
  const tap = Math.max(0, batch.totalWater - brought);
  const range = powderRange(drySolids(batch), consistency(mix.grade).factor);
  const cement = cementMass(batch.portions, { withLime: mix.limeCounts });
  const most = range?.high ?? ratioCeiling[mix.exposure] * cement + batch.absorbed;
  const sifted = order === 'powder-to-water';
  const powder = batch.portions.reduce((sum, { mass }) => sum + mass, 0);
  return {
    tap: figure(tap, 'g', basis, [
      line(msg('pours.soakedByGrains'), batch.absorbed, 'g'),
      line(msg('pours.freeForConsistency'), batch.freeWater, 'g', msg('pours.demandTimesGrade')),
      line(msg('pours.waterInAll'), batch.totalWater, 'g'),
      ...(damp > 0 ? [line(msg('pours.lessDampSand'), damp, 'g')] : []),
      ...(batch.liquidWater > 0 ? [line(msg('pours.lessLiquids'), batch.liquidWater, 'g')] : []),
      line(msg('pours.fromTap'), tap, 'g', msg('pours.gramIsMillilitre')),
    ]),
    first: sifted ? tap : tap * FIRST_WATER,
    splash: tap * SPLASH,
    ceiling: Math.max(0, most - brought),
    ...(range && { floor: Math.max(0, range.low - brought) }),
    brought,
    ...(sifted && { powderHeld: powder * LAST_POWDER }),
  };
}
