import { defined } from '@dewpot/core/math';

/** A list with two of its entries in each other's places. */
export const swapped = <T>(list: readonly T[], a: number, b: number): T[] =>
  list.map((one, i) => (i === a ? defined(list[b]) : i === b ? defined(list[a]) : one));
