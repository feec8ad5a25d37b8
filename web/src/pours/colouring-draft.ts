import { defined } from '@dewpot/core/math';
import { colouringKinds, type ColouringKind } from '@dewpot/core/tints';
import type { ColouringInput, TintView } from '@dewpot/contract';

type Parts = ColouringInput['parts'];

const even = (parts: Parts): Parts => parts.map((part) => ({ ...part, share: 1 / parts.length }));

/** Shares of a body and of what is only a little of it. */
const LITTLE = 0.15;

/** A colouring of another kind that keeps as many of the tints as that takes. */
export function ofKind(
  kind: ColouringKind,
  before: ColouringInput | undefined,
  tints: readonly TintView[],
): ColouringInput {
  const [least, most] = colouringKinds[kind].parts;
  const known = before?.parts.map(({ tint }) => tint) ?? [];
  const wanted = Math.max(least, Math.min(most, known.length));
  const ids = Array.from({ length: wanted }, (_, i) => known[i] ?? defined(tints[i % tints.length]).id);
  const parts = even(ids.map((tint) => ({ tint, share: 1 })));
  const little = kind === 'swirled' || kind === 'splash';
  return {
    kind,
    parts: little
      ? parts.map((part, i) => ({ ...part, share: i === 0 ? 1 - LITTLE * (parts.length - 1) : LITTLE }))
      : parts,
    ...(kind === 'banded' && { by: before?.by ?? 'height', edge: before?.edge ?? 'crisp' }),
    ...(kind !== 'solid' && kind !== 'banded' && { seed: before?.seed ?? 1 }),
  };
}

/** The colouring with one part more, all shares made even. */
export const withMore = (colouring: ColouringInput, tint: string): ColouringInput => ({
  ...colouring,
  parts: even([...colouring.parts, { tint, share: 1 }]),
});

/** The colouring without one of its parts; the others take its share by theirs. */
export function without(colouring: ColouringInput, at: number): ColouringInput {
  const left = colouring.parts.filter((_, i) => i !== at);
  const sum = left.reduce((total, { share }) => total + share, 0);
  return { ...colouring, parts: left.map((part) => ({ ...part, share: part.share / sum })) };
}

/** The colouring with its shares made even. */
export const evened = (colouring: ColouringInput): ColouringInput => ({ ...colouring, parts: even(colouring.parts) });
