import { hurriedPotLife, initialSet, potLife, type SettingClass } from '../cure/index.js';
import { figure, handbook, line, type Figure } from '../units/index.js';
import type { Mix } from './mix.js';

/** Whether a mix sets sooner for an accelerator. */
export const isAccelerated = ({ doses = [] }: Mix): boolean =>
  doses.some(({ material, amount }) => material.additive === 'accelerator' && amount > 0);

/** How long a mix can be placed, min, and when it sets, h, at the bench's temperature, °C. */
export interface Workability {
  readonly potLife: Figure;
  readonly initialSet: Figure;
}

/** The clock of a mix at a temperature; an accelerator hurries it. */
export function workability(mix: Mix, setting: SettingClass, temperature: number): Workability {
  const hurried = isAccelerated(mix);
  const life = (hurried ? hurriedPotLife : potLife)(setting, temperature);
  const set = initialSet(setting, temperature, hurried);
  const bench = line('At the bench', temperature, '°C', hurried ? 'with accelerator' : undefined);
  return {
    potLife: figure(life, 'min', handbook, [
      bench,
      line('Workable for', life, 'min', 'pot life at 20 °C ÷ rate at this temperature'),
    ]),
    initialSet: figure(set, 'h', handbook, [
      bench,
      line('Initial set', set, 'h', 'its figure at 20 °C ÷ rate at this temperature'),
    ]),
  };
}
