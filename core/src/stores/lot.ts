/** One purchase of a material. Masses in g, price in the workshop's money for the whole lot. */
export interface Lot {
  readonly materialId: string;
  readonly bought: number;
  readonly left: number;
  readonly price: number;
  /** Milliseconds of the day it was bought. */
  readonly boughtAt: number;
}

/** Price of a gram of a material: from the oldest lot that still holds some, else from the newest. Undefined without lots. */
export function pricePerGram(materialId: string, lots: readonly Lot[]): number | undefined {
  const own = lots
    .filter((lot) => lot.materialId === materialId && lot.bought > 0)
    .sort((a, b) => a.boughtAt - b.boughtAt);
  const lot = own.find(({ left }) => left > 0) ?? own[own.length - 1];
  return lot && lot.price / lot.bought;
}

/** What is left of a material over all its lots, g. */
export function inStore(materialId: string, lots: readonly Lot[]): number {
  return lots.reduce((sum, lot) => (lot.materialId === materialId ? sum + lot.left : sum), 0);
}
