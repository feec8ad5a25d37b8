import { computed, figure, InputError, line, requireNumber, type Figure } from '../../foundation/units/index.js';
import type { Material } from '../materials/index.js';
import type { BatchMasses } from './batch.js';
import { solidsOf } from './dose.js';
import { wettest } from './sand-moisture.js';

/** Water brought into a batch by its damp materials, g. `moisture`: share of dry mass by material id, up to what each can hold. @throws InputError */
export function broughtWater(
  { portions }: Pick<BatchMasses, 'portions'>,
  moisture: Readonly<Record<string, number>>,
): number {
  return portions.reduce((sum, { material, mass }) => {
    const share = moisture[material.id] ?? 0;
    if (share !== 0)
      requireNumber(`moisture.${material.id}`, share, `The moisture of ${material.name.toLowerCase()}`, {
        min: 0,
        max: wettest(material),
      });
    return sum + mass * share;
  }, 0);
}

/** What is put to a batch that came out too wet. */
export interface TooWet {
  /** Share of every dry ingredient that is added. */
  readonly share: Figure;
  /** Each as damp as it is, g. Never cement or sand alone: the ratio stays. */
  readonly add: readonly { readonly material: Material; readonly mass: number }[];
}

/**
 * What to add, dry and in ratio, to a batch into which `really` g of water went in all, where it wanted its own:
 * every dry ingredient × (really in − wanted) ÷ (wanted − brought by damp materials).
 * @throws InputError where it is not too wet, or its damp materials bring all the water that it wants.
 */
export function tooWet(batch: BatchMasses, really: number, moisture: Readonly<Record<string, number>>): TooWet {
  const brought = broughtWater(batch, moisture);
  const wanted = batch.totalWater;
  requireNumber('really', really, 'The water that went in', { above: wanted, max: 1e7, unit: 'g' });
  if (wanted <= brought)
    throw new InputError([
      {
        field: 'moisture',
        value: brought,
        message: 'The damp materials alone bring all the water that it wants: adding them cannot dry it.',
        remedy: 'Add dry sand and cement from another bag, in ratio.',
      },
    ]);
  const share = (really - wanted) / (wanted - brought);
  const powders = batch.doses.filter(({ dose: { material } }) => solidsOf(material) === 1);
  return {
    share: figure(share, 'ratio', computed, [
      line('Water that went in', really, 'g'),
      line('Water that it wants', wanted, 'g'),
      line('Brought by its damp materials', brought, 'g'),
      line('Of every dry ingredient', share, 'ratio', '(went in − wanted) ÷ (wanted − brought)'),
    ]),
    add: [
      ...batch.portions.map(({ material, mass }) => ({
        material,
        mass: mass * (1 + (moisture[material.id] ?? 0)) * share,
      })),
      ...powders.map(({ dose: { material }, mass }) => ({ material, mass: mass * share })),
    ],
  };
}
