import { defined } from '../../foundation/math/index.js';
import type { BinderClass } from '../binders/index.js';
import { isBinder, type BinderFamily } from '../materials/index.js';
import { dryMassesPerPart, type Mix } from './mix.js';

/** How a binder of each family sets; a ready-made powder of Portland cement sets as its product does. */
const byFamily: Record<Exclude<BinderFamily, 'pozzolan'>, BinderClass> = {
  portland: 'portland',
  'high-early': 'high-early',
  sulfoaluminate: 'fast-setting',
  gypsum: 'gypsum',
  lime: 'lime',
};

/** How a mix sets by the binder that there is most of; undefined where that does not tell. */
export function usualBinderClass(mix: Mix): BinderClass | undefined {
  const masses = dryMassesPerPart(mix);
  const binders = mix.lines.flatMap(({ material }, i) =>
    isBinder(material) ? [{ material, mass: defined(masses[i]) }] : [],
  );
  if (binders.length === 0) return undefined;
  const { material } = binders.reduce((most, one) => (one.mass > most.mass ? one : most));
  const { family, powder } = material;
  if (family === undefined || family === 'pozzolan' || (family === 'portland' && powder)) return undefined;
  return byFamily[family];
}
