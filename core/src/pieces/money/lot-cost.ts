/** A lot as far as its price goes: masses in g, its price for the whole lot. */
export interface PricedLot {
  readonly bought: number;
  readonly left: number;
  readonly price: number;
  /** ms */
  readonly boughtAt: number;
}

/**
 * What a mass of a material costs out of its lots, first in first out, each at its own price. What they do not hold is taken at the price of the newest;
 * without lots nothing is known of it, and `unpriced` tells how much, g. Handbook 21.
 */
export function lotCost(
  mass: number,
  lots: readonly PricedLot[],
): { readonly cost: number; readonly unpriced: number } {
  const priced = lots.filter(({ bought }) => bought > 0).sort((a, b) => a.boughtAt - b.boughtAt);
  let [cost, wanted] = [0, mass];
  for (const { left, price, bought } of priced) {
    const taken = Math.min(wanted, Math.max(0, left));
    cost += (taken * price) / bought;
    wanted -= taken;
  }
  const newest = priced.at(-1);
  return newest ? { cost: cost + (wanted * newest.price) / newest.bought, unpriced: 0 } : { cost, unpriced: wanted };
}
