import { computed, figure, line, type Figure, msg } from '../../foundation/units/index.js';
import { bodyOf } from './body-of.js';
import { checkSolid } from './check-solid.js';
import type { Solid } from './solid.js';

const ML = 1e-3;

/** Volume of a solid that was checked, mL. */
export const solidVolume = (solid: Solid) => bodyOf(solid).whole.volume * ML;

/** Volume of a solid, mL, by its closed form where it has one, with its working. @throws InputError */
export function volumeFigure(solid: Solid): Figure {
  checkSolid(solid);
  const { how, steps = [] } = bodyOf(solid).whole;
  const held = solidVolume(solid);
  return figure(held, 'mL', computed, [...steps, line(msg('solids.volume'), held, 'mL', how)]);
}
