import { Checker } from '../../foundation/units/index.js';
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
  { readonly name: string; readonly how: string; readonly parts: readonly [least: number, most: number] }
> = {
  solid: { name: 'One tint', how: 'The whole piece from one tint.', parts: [1, 1] },
  banded: { name: 'Bands', how: 'Layer upon layer, each with its wait.', parts: [2, 12] },
  marbled: {
    name: 'Marbled',
    how: 'All tints at the same consistency, poured together in one thin stream, wet on wet; do not stir and tap little.',
    parts: [2, 4],
  },
  swirled: {
    name: 'Swirled pigment',
    how: 'Mix the body; strew the second pigment over it at the end and give it two or three turns, no more.',
    parts: [2, 2],
  },
  splash: {
    name: 'Splashed',
    how: 'Flick the second tint, thin, against the mould’s wall; when it no longer runs, fill up with the body.',
    parts: [2, 3],
  },
};

const SUM = 0.005;

/** Refuses a colouring that cannot be poured. @throws InputError */
export function checkColouring({ kind, parts }: Colouring<unknown>, path = 'colouring', what = 'the piece'): void {
  const check = new Checker();
  const [least, most] = colouringKinds[kind].parts;
  check.expect(
    parts.length >= least && parts.length <= most,
    `${path}.parts`,
    parts.length,
    `${colouringKinds[kind].name} on ${what} ${least === most ? `takes ${least}` : `takes ${least} to ${most}`} tints, not ${parts.length}.`,
    'Add or leave out a tint, or choose another kind of colouring.',
  );
  parts.forEach(({ share }, i) =>
    check.number(`${path}.parts.${i}.share`, share, `The share of tint ${i + 1} of ${what}`, { above: 0, max: 1 }),
  );
  const sum = parts.reduce((total, { share }) => total + share, 0);
  check.expect(
    Math.abs(sum - 1) <= SUM || !check.clean,
    `${path}.parts`,
    sum,
    `The shares on ${what} come to ${(sum * 100).toFixed(0)} %, not to 100.`,
    'Change one of them, or share the rest evenly.',
  );
  check.done();
}

/** How light a colour is, CIE L*, 0 to 100. */
export const lightness = (colour: string): number => labOf(colour)[0];

/** What is washed before a colour follows another. */
export function washBetween(before: string, next: string): string {
  return lightness(next) <= lightness(before)
    ? 'A rinse of bowl and tools is enough: the next is darker.'
    : 'Wash bowl, tools and gloves until the water stays clear: the next is paler, and every trace shows.';
}
