import { Checker, msg } from '../../foundation/units/index.js';

/** What is sent up to a mass, g, for a price. */
export interface MassBand {
  readonly upTo: number;
  readonly price: number;
}

/** How a piece is packed: a share of its mass, and so many grams at the least. */
export interface Packing {
  readonly share: number;
  readonly least: number;
}

export const usualPacking: Packing = { share: 0.12, least: 150 };

/** A piece as it is sent. */
export interface Sent {
  /** g */
  readonly packed: number;
  /** Undefined where it is heavier than all bands. */
  readonly price?: number;
  /** How much lighter the piece must be to fall into the band below, and what that saves. */
  readonly lighter?: { readonly mass: number; readonly share: number; readonly saves: number };
}

const MOST = 1e7;

/** What a piece of a mass weighs packed, g. */
const packedMass = (mass: number, { share, least }: Packing): number => mass + Math.max(least, mass * share);

/** The heaviest piece whose packed mass is at most so many grams. */
const bareMass = (packed: number, { share, least }: Packing): number => Math.min(packed - least, packed / (1 + share));

/**
 * What a piece of so many grams costs to send, by a table of mass bands, and what it would save to be lighter. Handbook 21.
 * @throws InputError
 */
export function sending(mass: number, bands: readonly MassBand[], packing: Packing = usualPacking): Sent {
  const check = new Checker();
  check.number('mass', mass, msg('money.mass'), { above: 0, max: MOST, unit: 'g' });
  check.number('packing.share', packing.share, msg('money.packingShare'), { min: 0, max: 2 });
  check.number('packing.least', packing.least, msg('money.packingLeast'), { min: 0, max: MOST, unit: 'g' });
  bands.forEach(({ upTo, price }, i) => {
    check.number(`bands.${i}.upTo`, upTo, msg('money.bandMass'), { above: 0, max: MOST, unit: 'g' });
    check.number(`bands.${i}.price`, price, msg('money.bandPrice'), { min: 0, max: MOST });
  });
  check.done();
  const sorted = [...bands].sort((a, b) => a.upTo - b.upTo);
  const packed = packedMass(mass, packing);
  const at = sorted.findIndex(({ upTo }) => packed <= upTo);
  const [band, below] = [sorted[at], sorted[at - 1]];
  const wanted = below && bareMass(below.upTo, packing);
  const lighter = band && below && wanted !== undefined && wanted > 0 && below.price < band.price && { mass: mass - wanted, share: 1 - wanted / mass, saves: band.price - below.price };
  return { packed, ...(band && { price: band.price }), ...(lighter && { lighter }) };
} // prettier-ignore
