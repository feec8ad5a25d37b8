import { computed, figure, handbook, line, requireNumber, type Figure } from '../units/index.js';
import { displacedVolume } from './cavity.js';
import type { MouldShape } from './mould.js';
import { solidVolume } from './solid.js';

const SAFETY = 1.2;
/** Loose dry sand as it is poured into a core, kg/L. */
const BALLAST_SAND = 1.55;
const GRAVITY = 9.81;

/** What holds a core down in fluid mix. */
export interface Ballast {
  /** Mass to put into or onto the cores, g. */
  readonly mass: Figure;
  /** The same as dry sand, mL. */
  readonly sand: Figure;
  /** Whether that sand fits inside the cores. */
  readonly fits: boolean;
  /** What to do, in a sentence. */
  readonly advice: string;
}

/**
 * Ballast for the cores of a mould: 1.2·ρ·V_displaced − m_core, with V_displaced above a set first lift.
 * `density` of the fresh mix in kg/L (0.3–4), `coreMass` in g, `setLift` in mm. No cores: undefined.
 * @throws InputError on numbers out of range.
 */
export function ballast(shape: MouldShape, density: number, coreMass = 0, setLift = 0): Ballast | undefined {
  requireNumber('density', density, 'The density of the fresh mix', { min: 0.3, max: 4, unit: 'kg/L' });
  requireNumber('coreMass', coreMass, 'The mass of the core', { min: 0, unit: 'g' });
  requireNumber('setLift', setLift, 'The height of the set lift', { min: 0, max: shape.outer.height, unit: 'mm' });
  if (shape.cores.length === 0) return undefined;
  const displaced = displacedVolume(shape, 'cores', setLift);
  const needed = Math.max(0, SAFETY * density * displaced - coreMass);
  const room = shape.cores.reduce((sum, core) => sum + solidVolume(core.solid), 0);
  const sandVolume = needed / BALLAST_SAND;
  const fits = sandVolume <= room;
  const mass = figure(needed, 'g', computed, [
    line(
      'Mix pushed aside by the core',
      displaced,
      'mL',
      setLift > 0 ? `above the set lift of ${setLift} mm` : 'filled to the rim',
    ),
    line('Density of the fresh mix', density, 'kg/L'),
    line('Mass of the empty core', coreMass, 'g'),
    line('Ballast', needed, 'g', '1.2 × density × volume − mass of the core'),
  ]);
  const sand = figure(sandVolume, 'mL', handbook, [
    line('Ballast', needed, 'g'),
    line('Loose dry sand', BALLAST_SAND, 'kg/L', 'handbook'),
    line('Room inside the core', room, 'mL'),
  ]);
  const advice = fits
    ? 'Fill the core with dry sand up to this weight before you pour.'
    : 'That much sand does not fit inside the core: lay a bar across and clamp it down, or pour in lower lifts.';
  return { mass, sand, fits, advice };
}

/** Pressure of fluid mix on the wall at the bottom, kPa: density (kg/L) · g · height (mm). */
export function wallPressure(shape: MouldShape, density: number): number {
  return (density * GRAVITY * shape.outer.height) / 1000;
}
