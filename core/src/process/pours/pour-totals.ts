import { msg, type Figure } from '../../foundation/units/index.js';
import { shoppingList, shortagesOf, type ShoppingLine } from '../../mixing/materials/index.js';
import { batchCost, goods, type BatchMasses, type Portion } from '../../mixing/mixes/index.js';
import type { PourPlan } from './plan.js';
import type { Sheet } from './sheet.js';

/** What of a pour is made of one mix. */
export interface CalculatedPart {
  readonly plan: PourPlan;
  readonly sheet: Sheet;
}

/** Masses of all batches of a part, g. */
const massesOfPart = ({ sheet }: Pick<CalculatedPart, 'sheet'>): BatchMasses => sheet.whole;

/** Everything that the mixes of a pour take together but water, g dry. */
export function goodsOf(parts: readonly CalculatedPart[]): Portion[] {
  const found = new Map<string, Portion>();
  for (const { material, mass } of parts.flatMap((part) => goods(massesOfPart(part))))
    found.set(material.id, { material, mass: mass + (found.get(material.id)?.mass ?? 0) });
  return [...found.values()];
}

const lotsOf = (parts: readonly CalculatedPart[]) => parts[0]?.plan.lots ?? [];

/** What the store has too little of for all mixes of a pour together, and what to buy in whole bags. */
export function pourShopping(parts: readonly CalculatedPart[]): ShoppingLine[] {
  const wanted = goodsOf(parts).map(({ material: { id, name }, mass }) => ({ materialId: id, name, mass }));
  return shoppingList(shortagesOf(wanted, lotsOf(parts)), lotsOf(parts));
}

/** What the materials of all mixes of a pour cost; undefined where no lot has a price. */
export const pourCost = (parts: readonly CalculatedPart[]): Figure | undefined =>
  batchCost({ portions: goodsOf(parts), doses: [] }, lotsOf(parts), msg('pours.pourMaterials'));
