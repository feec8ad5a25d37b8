import { computed, figure, line, type Figure } from '../../foundation/units/index.js';
import { solidVolume, type ShellSide, type Solid } from '../solids/index.js';
import { checkMould, mouldIssues } from './check-mould.js';
import { fullVolume } from './fill.js';
import type { MouldShape } from './mould.js';

/** What a pressed shell takes at one thickness. */
export interface ShellAt {
  /** mm */
  readonly thickness: number;
  readonly volume: Figure;
  readonly mass: Figure;
  /** Mass that 5 mm more would cost, g; left out where there is no room for it. */
  readonly fiveMore?: number;
}

const STEP = 5;

/** How the amount of a pressed shell follows its thickness (mm). `density` of the mix in kg/L. @throws InputError */
export function calculateShells(form: Solid, side: ShellSide, thicknesses: readonly number[], density = 2): ShellAt[] {
  const shell = (thickness: number): MouldShape => ({
    outer: form,
    cores: [],
    inserts: [],
    pressed: { side, thickness },
  });
  return thicknesses.map((thickness) => {
    checkMould(shell(thickness));
    const held = fullVolume(shell(thickness));
    const more = shell(thickness + STEP);
    const volume = figure(held, 'mL', computed, [
      line('The form', solidVolume(form), 'mL'),
      line('Thickness', thickness, 'mm'),
      line('Shell', held, 'mL', side === 'inside' ? 'form − form shrunk' : 'form grown − form'),
    ]);
    const mass = figure(held * density, 'g', computed, [
      line('Shell', held, 'mL'),
      line('Density of the mix', density, 'kg/L'),
      line('Mass', held * density, 'g'),
    ]);
    // Inside a small form there may be no room for more.
    const fits = mouldIssues(more).length === 0;
    return { thickness, volume, mass, ...(fits && { fiveMore: (fullVolume(more) - held) * density }) };
  });
}
