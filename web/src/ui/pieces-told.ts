/** Pieces by their names, as “3 × Thimble pot, 2 × Candle dish”; those of which there are none are left out. */
export const piecesTold = (pieces: readonly { readonly name: string; readonly count: number }[]): string =>
  pieces.flatMap(({ name, count }) => (count > 0 ? [`${count} × ${name}`] : [])).join(', ');
