import { computed, figure, line, type Figure, msg } from '../../foundation/units/index.js';
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
      line(msg('moulds.form'), solidVolume(form), 'mL'),
      line(msg('moulds.thickness'), thickness, 'mm'),
      line(
        msg('moulds.shell'),
        held,
        'mL',
        side === 'inside' ? msg('moulds.formMinusShrunk') : msg('moulds.grownMinusForm'),
      ),
    ]);
    const mass = figure(held * density, 'g', computed, [
      line(msg('moulds.shell'), held, 'mL'),
      line(msg('moulds.mixDensity'), density, 'kg/L'),
      line(msg('moulds.mass'), held * density, 'g'),
    ]);
    // Inside a small form there may be no room for more.
    const fits = mouldIssues(more).length === 0;
    return { thickness, volume, mass, ...(fits && { fiveMore: (fullVolume(more) - held) * density }) };
  });
}
