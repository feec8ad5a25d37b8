import {
  computed,
  figure,
  handbook,
  line,
  requireNumber,
  type Figure,
  msg,
  quantity,
  type Message,
  type Phrase,
} from '../../foundation/units/index.js';
import { solidVolume } from '../solids/index.js';
import { cavityOf, rimOf } from './cavity.js';
import { displacedVolume } from './fill.js';
import type { MouldShape } from './mould.js';

const SAFETY = 1.2;
/** Loose dry sand that is poured into a core: its name and its loose density, kg/L. */
export interface BallastSand {
  readonly name: Phrase;
  readonly bulk: number;
}

/** Taken where nobody chose one: the bulkier of the usual sands, so that what fits with it fits with any. */
export const usualBallastSand: BallastSand = { name: msg('materials.nameFineSand'), bulk: 1.5 };
const GRAVITY = 9.81;

/** What holds a core down in fluid mix. */
export interface Ballast {
  /** Mass to put into or onto the cores, g. */
  readonly mass: Figure;
  /** The same as dry sand, mL. */
  readonly sand: Figure;
  /** Which sand that is. */
  readonly sandName: Phrase;
  /** Whether that sand fits inside the cores. */
  readonly fits: boolean;
  /** What to do. */
  readonly advice: Message;
}

/** What a core is held down against, and with what. */
export interface BallastOptions {
  /** Of the empty cores, g. */
  readonly coreMass?: number;
  /** Height of the set lift that is poured on, and of the fluid, mm: from the bottom to the rim where left out. */
  readonly from?: number;
  readonly to?: number;
  readonly sand?: BallastSand;
}

/** What is poured at once: from the set lift to a height, mm. */
interface Lift {
  readonly from: number;
  readonly to: number;
}

/**
 * Ballast for the cores of a mould: 1.2·ρ·V_displaced − m_core, with V_displaced above a set lift and below the top of the fluid.
 * `density` of the fresh mix in kg/L (0.3–4), `coreMass` in g. No cores, or a pressed shell (nothing floats): undefined.
 * @throws InputError on numbers out of range.
 */
export function ballast(shape: MouldShape, density: number, options: BallastOptions = {}): Ballast | undefined {
  const rim = rimOf(shape);
  const { coreMass = 0, from = 0, to = rim, sand: { name, bulk } = usualBallastSand } = options;
  requireNumber('sand.bulk', bulk, msg('moulds.sandBulk', { name }), { min: 0.3, max: 5, unit: 'kg/L' });
  requireNumber('density', density, msg('moulds.freshDensity'), { min: 0.3, max: 4, unit: 'kg/L' });
  requireNumber('coreMass', coreMass, msg('moulds.coreMass'), { min: 0, unit: 'g' });
  requireNumber('lift.from', from, msg('moulds.setLiftHeight'), { min: 0, max: rim, unit: 'mm' });
  requireNumber('lift.to', to, msg('moulds.fluidHeight'), { min: from, max: rim, unit: 'mm' });
  const { cores } = cavityOf(shape);
  if (cores.length === 0 || shape.pressed) return undefined;
  const displaced = displacedVolume(shape, 'cores', from, to);
  const needed = Math.max(0, SAFETY * density * displaced - coreMass);
  const room = cores.reduce((sum, { solid }) => sum + solidVolume(solid), 0);
  const sandVolume = needed / bulk;
  const fits = sandVolume <= room;
  const mass = figure(needed, 'g', computed, [
    line(
      msg('moulds.displacedByCore'),
      displaced,
      'mL',
      from > 0
        ? msg('moulds.aboveSetLift', { from: quantity(from, 'mm', 0) })
        : to < rim
          ? msg('moulds.filledTo', { to: quantity(to, 'mm', 0) })
          : msg('moulds.filledToRim'),
    ),
    line(msg('moulds.densityOfFreshMix'), density, 'kg/L'),
    line(msg('moulds.emptyCoreMass'), coreMass, 'g'),
    line(msg('moulds.ballast'), needed, 'g', msg('moulds.ballastFormula')),
  ]);
  const sand = figure(sandVolume, 'mL', handbook, [
    line(msg('moulds.ballast'), needed, 'g'),
    line(msg('moulds.looseAndDry', { name }), bulk, 'kg/L'),
    line(msg('moulds.roomInCore'), room, 'mL'),
  ]);
  return { mass, sand, sandName: name, fits, advice: adviceOn(fits) };
}

const adviceOn = (fits: boolean) => (fits ? msg('moulds.fillCoreWithSand') : msg('moulds.sandDoesNotFit'));

/** A lift of a pour with the ballast that it asks for, the lifts below it set. */
export interface LiftBallast extends Lift {
  readonly ballast: Ballast;
}

/** Ballast lift by lift, for `lifts` even ones (1–12), each poured on set ones. @throws InputError */
export function ballastByLift(
  shape: MouldShape,
  density: number,
  lifts: number,
  options: Pick<BallastOptions, 'coreMass' | 'sand'> = {},
): LiftBallast[] {
  requireNumber('lifts', lifts, msg('moulds.lifts'), { min: 1, max: 12 });
  const rim = rimOf(shape);
  return Array.from({ length: Math.round(lifts) }, (_, i) => ({
    from: (rim * i) / lifts,
    to: Math.min(rim, (rim * (i + 1)) / lifts),
  })).flatMap((lift) => {
    const held = ballast(shape, density, { ...options, ...lift });
    return held ? [{ ...lift, ballast: held }] : [];
  });
}

/** Fewest even lifts, each on set ones, at which sand alone holds the cores down; undefined where none does. */
export function liftsThatFit(
  shape: MouldShape,
  density: number,
  options: Pick<BallastOptions, 'coreMass' | 'sand'> = {},
): number | undefined {
  return [1, 2, 3, 4, 5, 6].find((lifts) =>
    ballastByLift(shape, density, lifts, options).every((one) => one.ballast.fits),
  );
}

/** Pressure of fluid mix on the wall at the bottom, kPa: density (kg/L) · g · height (mm). */
export function wallPressure(shape: MouldShape, density: number): number {
  return (density * GRAVITY * rimOf(shape)) / 1000;
}
