/** One purchase of a material. Masses in g, price in the workshop's money for the whole lot. */
export interface Lot {
  readonly materialId: string;
  readonly bought: number;
  readonly left: number;
  readonly price: number;
  /** Milliseconds of the day it was bought. */
  readonly boughtAt: number;
  /** Milliseconds of the day its first bag was opened; unopened where left out. */
  readonly openedAt?: number;
  /** How many bags it was; one where left out. */
  readonly bags?: number;
  /** Lumps in it do not crush between fingers: not to be used. */
  readonly lumpy?: boolean;
}

const MONTH = (365.25 / 12) * 24 * 3_600_000;

const ofMaterial = (materialId: string, lots: readonly Lot[]) =>
  lots.filter((lot) => lot.materialId === materialId && lot.bought > 0).sort((a, b) => a.boughtAt - b.boughtAt);

/** The lot of a material that is used next: the oldest sound one that still holds some. */
export const lotInUse = (materialId: string, lots: readonly Lot[]): Lot | undefined =>
  ofMaterial(materialId, lots).find(({ left, lumpy }) => left > 0 && !lumpy);

/** Price of a gram of a material: from the lot in use, else from the newest. Undefined without lots. */
export function pricePerGram(materialId: string, lots: readonly Lot[]): number | undefined {
  const lot = lotInUse(materialId, lots) ?? ofMaterial(materialId, lots).at(-1);
  return lot && lot.price / lot.bought;
}

/** What is left of a material over all its sound lots, g. */
export function inStore(materialId: string, lots: readonly Lot[]): number {
  return lots.reduce((sum, lot) => (lot.materialId === materialId && !lot.lumpy ? sum + lot.left : sum), 0);
}

/** Months for which a lot has stood open at `now` (ms); from the purchase where its opening was not noted. */
export const lotMonths = ({ openedAt, boughtAt }: Lot, now: number): number =>
  Math.max(0, (now - (openedAt ?? boughtAt)) / MONTH);
