/** What each of what one cuts from counts for: its price, or its size where prices are not told of all. */
export function costsOf<Sold extends { readonly price?: number }>(
  sold: readonly Sold[],
  size: (one: Sold) => number,
): number[] {
  const byPrice = sold.every(({ price }) => price !== undefined);
  return sold.map((one) => (byPrice ? (one.price ?? 0) : size(one)));
}
