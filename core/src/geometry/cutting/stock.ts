import type { Stick } from './cut-lengths.js';
import type { Sheet } from './sheets.js';

export const stockKinds = ['stick', 'sheet', 'mesh'] as const;
export type StockKind = (typeof stockKinds)[number];

/** Sticks, sheets or mesh of a size that one has or can buy, mm. The grain runs along the length. */
export interface Stock {
  readonly kind: StockKind;
  readonly length: number;
  readonly width: number;
  readonly thickness: number;
  readonly count: number;
  /** Of one, in the workshop's money. */
  readonly price?: number;
}

/** Stock with the key it is kept by. */
export type KeyedStock = Stock & { readonly id: string };

/** Boards differ by so much from the thickness they are sold as, mm. */
const AS_SOLD = 0.6;

const suits = ({ thickness, count }: Stock, wanted: number): boolean =>
  count > 0 && Math.abs(thickness - wanted) <= AS_SOLD;

/** The sheets that parts of a thickness (mm) can be cut from; of mesh any. */
export const sheetsOf = (stock: readonly KeyedStock[], thickness: number, kind: 'sheet' | 'mesh' = 'sheet'): Sheet[] =>
  stock
    .filter((one) => one.kind === kind && suits(one, kind === 'mesh' ? one.thickness : thickness))
    .map(({ id: key, length, width, count, price }) => ({ key, length, width, count, ...(price !== undefined && { price }) })); // prettier-ignore

/** The sticks that parts of a thickness and at most a width (mm) can be cut from. */
export const sticksOf = (stock: readonly KeyedStock[], thickness: number, width: number): Stick[] =>
  stock
    .filter((one) => one.kind === 'stick' && suits(one, thickness) && one.width >= width - AS_SOLD)
    .map(({ id: key, length, count, price }) => ({ key, length, count, ...(price !== undefined && { price }) }));
