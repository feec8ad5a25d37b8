import { Checker, msg, quantity, type Message, exactly, type Phrase } from '../../foundation/units/index.js';
import { labOf } from './spectrum.js';

/** Kinds of colouring in the mould. */
export const colouringKindNames = ['solid', 'banded', 'marbled', 'swirled', 'splash'] as const;
export type ColouringKind = (typeof colouringKindNames)[number];
/** What the shares of bands are shares of. */
export const bandsBy = ['height', 'volume'] as const;
export type BandsBy = (typeof bandsBy)[number];
export const bandEdges = ['crisp', 'blended'] as const;
export type BandEdge = (typeof bandEdges)[number];

/** A tint with its share of a piece. */
interface ColourPart<T> {
  readonly tint: T;
  readonly share: number;
}

/** How a piece is coloured. Bands stand from the bottom up. */
export interface Colouring<T> {
  readonly kind: ColouringKind;
  readonly parts: readonly ColourPart<T>[];
  /** Of bands. */
  readonly by?: BandsBy;
  readonly edge?: BandEdge;
  /** Of the likeness of a marbling. */
  readonly seed?: number;
}

/** What each kind of colouring is, and how it is done. */
export const colouringKinds: Record<
  ColouringKind,
  { readonly name: Message; readonly how: Message; readonly parts: readonly [least: number, most: number] }
> = {
  solid: { name: msg('tints.solid'), how: msg('tints.solidHow'), parts: [1, 1] },
  banded: { name: msg('tints.banded'), how: msg('tints.bandedHow'), parts: [2, 12] },
  marbled: {
    name: msg('tints.marbled'),
    how: msg('tints.marbledHow'),
    parts: [2, 4],
  },
  swirled: {
    name: msg('tints.swirled'),
    how: msg('tints.swirledHow'),
    parts: [2, 2],
  },
  splash: {
    name: msg('tints.splash'),
    how: msg('tints.splashHow'),
    parts: [2, 3],
  },
};

const SUM = 0.005;

/** Refuses a colouring that cannot be poured. @throws InputError */
export function checkColouring(
  { kind, parts }: Colouring<unknown>,
  path = 'colouring',
  what: Phrase = msg('tints.thePiece'),
): void {
  const check = new Checker();
  const [least, most] = colouringKinds[kind].parts;
  check.expect(
    parts.length >= least && parts.length <= most,
    `${path}.parts`,
    parts.length,
    msg('tints.tintCount', {
      name: colouringKinds[kind].name,
      what,
      least,
      most: least === most ? 'same' : 'more',
      mostTints: most,
      parts: parts.length,
    }),
    msg('tints.changeTints'),
  );
  parts.forEach(({ share }, i) =>
    check.number(`${path}.parts.${i}.share`, share, msg('tints.tintShare', { i: i + 1, what }), { above: 0, max: 1 }),
  );
  const sum = parts.reduce((total, { share }) => total + share, 0);
  check.expect(
    Math.abs(sum - 1) <= SUM || !check.clean,
    `${path}.parts`,
    sum,
    msg('tints.sharesOff', { all: exactly(100, '%'), what, sum: quantity(sum * 100, '%', 0) }),
    msg('tints.changeShares'),
  );
  check.done();
}

/** How light a colour is, CIE L*, 0 to 100. */
export const lightness = (colour: string): number => labOf(colour)[0];

/** What is washed before a colour follows another. */
export function washBetween(before: string, next: string): Message {
  return lightness(next) <= lightness(before) ? msg('tints.rinse') : msg('tints.washAll');
}
