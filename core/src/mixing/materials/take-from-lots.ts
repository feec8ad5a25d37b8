/** A lot as far as taking from it goes. */
interface Stock {
  readonly id: string;
  readonly left: number;
  readonly boughtAt: number;
  readonly lumpy?: boolean;
}

/**
 * Takes `mass` g from lots, oldest first, and answers what is then left in each lot that was touched.
 * What the lots do not hold is passed over: a store that was not kept up does not stop a pour.
 */
export function takeFromLots(lots: readonly Stock[], mass: number): { id: string; left: number }[] {
  let wanted = mass;
  const touched: { id: string; left: number }[] = [];
  for (const lot of lots.filter(({ lumpy }) => !lumpy).sort((a, b) => a.boughtAt - b.boughtAt)) {
    if (wanted <= 0) break;
    const taken = Math.min(lot.left, wanted);
    if (taken > 0) touched.push({ id: lot.id, left: lot.left - taken });
    wanted -= taken;
  }
  return touched;
}
