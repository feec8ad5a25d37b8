import { msg, quantity, type Message } from '../../foundation/units/index.js';
/** What a piece should weigh now, g, and how sure that is (a standard deviation). */
export interface ExpectedNow {
  readonly code: string;
  readonly mass: number;
  readonly sd: number;
}

/** What a weighing says about which piece lies on the scale. */
export type LikelyPiece =
  | { readonly piece: 'as said' }
  | { readonly piece: 'another'; readonly code: string; readonly told: Message }
  | { readonly piece: 'none'; readonly told: Message };

const BELONGS = 3;
const FAR = 5;

const masses = (mass: number) => quantity(mass, 'g', mass < 1000 ? 0 : 2);

/**
 * Whether a mass, g, is that of the piece it is put down to: far from what that should weigh now, it is another's if it fits just one
 * of the others. Nothing is refused by it: the caster is asked.
 */
export function likelyPiece(mass: number, said: ExpectedNow, others: readonly ExpectedNow[]): LikelyPiece {
  const off = (one: ExpectedNow) => Math.abs(mass - one.mass) / one.sd;
  if (off(said) <= FAR) return { piece: 'as said' };
  const read = { mass: masses(mass), code: said.code, expected: masses(said.mass) };
  const fits = others.filter((one) => off(one) <= BELONGS);
  const [only] = fits;
  if (only && fits.length === 1)
    return {
      piece: 'another',
      code: only.code,
      told: msg('sealing.scaleOther', { ...read, other: only.code, otherMass: masses(only.mass) }),
    };
  return { piece: 'none', told: msg('sealing.scaleOff', read) };
}
