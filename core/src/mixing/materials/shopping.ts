import { inStore, type Lot } from './lot.js';

/** A material of which there is too little, g missing. */
export interface Shortage {
  readonly materialId: string;
  readonly name: string;
  readonly missing: number;
}

/** What to buy of a material, in whole bags as it was bought before. */
export interface ShoppingLine extends Shortage {
  /** Bags to buy, g in each, and what they cost; undefined where it was never bought. */
  readonly bags?: number;
  readonly bag?: number;
  readonly cost?: number;
}

/** What is wanted beyond what lies in the store, g by material. */
export function shortagesOf(
  wanted: readonly { readonly materialId: string; readonly name: string; readonly mass: number }[],
  lots: readonly Lot[],
): Shortage[] {
  return wanted
    .map(({ materialId, name, mass }) => ({ materialId, name, missing: mass - inStore(materialId, lots) }))
    .filter(({ missing }) => missing > 1e-6);
}

/** A shopping list in whole bags of the size and price that were bought last. */
export function shoppingList(short: readonly Shortage[], lots: readonly Lot[]): ShoppingLine[] {
  return short.map((shortage) => {
    const known = lots.filter(({ materialId, bought }) => materialId === shortage.materialId && bought > 0);
    if (known.length === 0) return shortage;
    const last = known.reduce((newest, lot) => (lot.boughtAt > newest.boughtAt ? lot : newest));
    const { bags: count = 1 } = last;
    const bag = last.bought / count;
    const bags = Math.ceil(shortage.missing / bag - 1e-9);
    return { ...shortage, bags, bag, cost: (bags * last.price) / count };
  });
}
