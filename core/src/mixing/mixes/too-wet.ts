import { computed, figure, InputError, line, requireNumber, type Figure, msg } from '../../foundation/units/index.js';
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
      requireNumber(`moisture.${material.id}`, share, msg('mixes.moistureOf', { material: material.name }), {
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
  requireNumber('really', really, msg('mixes.waterWentIn'), { above: wanted, max: 1e7, unit: 'g' });
  if (wanted <= brought)
    throw new InputError([
      {
        field: 'moisture',
        value: brought,
        message: msg('mixes.dampBringsAll'),
        remedy: msg('mixes.addDry'),
      },
    ]);
  const share = (really - wanted) / (wanted - brought);
  const powders = batch.doses.filter(({ dose: { material } }) => solidsOf(material) === 1);
  return {
    share: figure(share, 'ratio', computed, [
      line(msg('mixes.waterThatWentIn'), really, 'g'),
      line(msg('mixes.waterNeeded'), wanted, 'g'),
      line(msg('mixes.broughtByDamp'), brought, 'g'),
      line(msg('mixes.ofEveryDry'), share, 'ratio', msg('mixes.tooWetFormula')),
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
