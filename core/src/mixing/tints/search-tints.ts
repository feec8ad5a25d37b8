import { requireNumber, msg } from '../../foundation/units/index.js';
import { PIGMENT_CEILING, PIGMENT_STOP } from '../materials/index.js';
import type { Spectrum } from './bands.js';
import { tintedBase, tinter, type Colourant } from './colouring.js';
import { colourDifference, labDifference, labOf, type Lab } from './spectrum.js';

/** A pigment on the shelf, by its key; its price is for a gram, where it is known. */
interface ShelfPigment {
  readonly id: string;
  readonly colourant: Colourant;
  readonly price?: number;
}

/** Doses that come near a wanted colour. */
export interface FoundTint {
  readonly doses: readonly { readonly id: string; readonly dose: number }[];
  /** The colour that they make, dry. */
  readonly spectrum: Spectrum;
  /** How far it is from the wanted one, ΔE00. */
  readonly away: number;
  /** Of the pigment for a kilogram of binder; undefined where a price is not known. */
  readonly cost?: number;
}

/** How a search tells of itself, and is stopped. */
export interface SearchTask {
  readonly progress?: (share: number) => void;
  readonly stopped?: () => boolean;
}

export interface ColourWish {
  readonly base: Spectrum;
  /** #rrggbb */
  readonly wanted: string;
  readonly pigments: readonly ShelfPigment[];
  /** Most pigment in all, per cent of the binder. */
  readonly ceiling?: number;
}

/** Most pigments in one recipe, and most on the shelf that are looked through. */
const MOST_IN_ONE = 3;
const MOST_ON_SHELF = 12;
const MOST_FOUND = 3;
/** Doses under this share of a per cent are left out. */
const LEAST_DOSE = 0.02;
const GRAMS_IN_PER_CENT = 10;

function subsets(count: number): number[][] {
  const all: number[][] = [];
  for (let a = 0; a < count; a++) {
    all.push([a]);
    for (let b = a + 1; b < count; b++) {
      all.push([a, b]);
      for (let c = b + 1; c < count; c++) all.push([a, b, c]);
    }
  }
  return all.filter(({ length }) => length <= MOST_IN_ONE);
}

/** Doses of some pigments, and how far their colour is from the wanted one. */
interface Try {
  readonly chosen: readonly ShelfPigment[];
  readonly off: (doses: readonly number[]) => number;
  readonly doses: readonly number[];
  readonly away: number;
}

/** Steps by which doses are changed: coarse for every set of pigments, fine for those that come near. */
const COARSE = { from: 1.9, to: 1.15 };
const FINE = { from: 1.15, to: 1.002 };
const ROUNDS = 12;
const BEGINNINGS = [0.1, 0.8] as const;
/** Sets of pigments that are looked at finely. */
const MOST_REFINED = 12;

/** Each dose in turn by ever finer steps, as long as that comes nearer. */
function nearer(tried: Try, ceiling: number, { from, to }: { from: number; to: number }): Try {
  let { doses, away } = tried;
  for (let step = from; step > to; step = 1 + (step - 1) * 0.6) {
    for (let round = 0, moved = true; moved && round < ROUNDS; round++) {
      moved = false;
      for (let i = 0; i < doses.length; i++) {
        for (const by of [step, 1 / step]) {
          const next = doses.map((dose, k) => (k === i ? dose * by : dose));
          if (next.reduce((sum, dose) => sum + dose, 0) > ceiling) continue;
          const there = tried.off(next);
          if (there < away - 1e-9) [doses, away, moved] = [next, there, true];
        }
      }
    }
  }
  return { ...tried, doses, away };
}

/** A set of pigments at the better of two beginnings, by coarse steps. */
function begin(wish: ColourWish, wanted: Lab, chosen: readonly ShelfPigment[], ceiling: number): Try {
  const tint = tinter(
    wish.base,
    chosen.map(({ colourant }) => colourant),
  );
  const off = (doses: readonly number[]) => labDifference(labOf(tint(doses)), wanted);
  const tries = BEGINNINGS.map((start) => {
    const doses = chosen.map(() => Math.min(start, ceiling / chosen.length));
    return nearer({ chosen, off, doses, away: off(doses) }, ceiling, COARSE);
  });
  return tries.reduce((best, one) => (one.away < best.away ? one : best));
}

/**
 * Up to three recipes that come nearest to a wanted dry colour, nearest first; the ceiling holds for all pigment together.
 * @throws InputError on an empty or overfull shelf, or a ceiling past the hard stop
 */
export function searchTints(wish: ColourWish, { progress, stopped }: SearchTask = {}): FoundTint[] {
  const { pigments, ceiling = PIGMENT_CEILING * 100 } = wish;
  requireNumber('pigments', pigments.length, msg('tints.pigmentCount'), { min: 1, max: MOST_ON_SHELF });
  requireNumber('ceiling', ceiling, msg('tints.ceiling'), { above: 0, max: PIGMENT_STOP * 100, unit: '%' });
  const all = subsets(pigments.length);
  const wanted = labOf(wish.wanted);
  const coarse: Try[] = [];
  for (const [i, subset] of all.entries()) {
    if (stopped?.()) return [];
    coarse.push(
      begin(
        wish,
        wanted,
        subset.map((at) => pigments[at]!),
        ceiling,
      ),
    );
    progress?.((i + 1) / all.length);
  }
  const near = coarse.sort((a, b) => a.away - b.away).slice(0, MOST_REFINED);
  const found = near.flatMap((one) => {
    const { chosen, doses } = nearer(one, ceiling, FINE);
    const used = chosen.map((pigment, k) => ({ pigment, dose: doses[k]! })).filter(({ dose }) => dose > LEAST_DOSE);
    return used.length === chosen.length ? [tintOf(wish, used)] : [];
  });
  // A recipe of more pigments that comes no nearer is no other answer.
  const byPigments = [...found].sort((a, b) => a.doses.length - b.doses.length || a.away - b.away);
  const worth = byPigments.filter(
    (one, i) =>
      !byPigments.slice(0, i).some((other) => other.doses.length < one.doses.length && other.away <= one.away + 0.1),
  );
  return worth.sort((a, b) => a.away - b.away).slice(0, MOST_FOUND);
}

function tintOf(
  { base, wanted }: ColourWish,
  used: readonly { readonly pigment: ShelfPigment; readonly dose: number }[],
): FoundTint {
  const spectrum = tintedBase(
    base,
    used.map(({ pigment: { colourant }, dose }) => ({ colourant, dose })),
  );
  const cost = used.reduce((sum, { pigment: { price = NaN }, dose }) => sum + price * dose * GRAMS_IN_PER_CENT, 0);
  return {
    doses: used.map(({ pigment: { id }, dose }) => ({ id, dose })),
    spectrum,
    away: colourDifference(spectrum, wanted),
    ...(Number.isFinite(cost) && { cost }),
  };
}
