import { PIGMENT_CEILING, PIGMENT_STOP } from '../mixes/index.js';
import { requireNumber } from '../units/index.js';
import type { Spectrum } from './bands.js';
import { tintedBase, type Colourant } from './colouring.js';
import { colourDifference } from './spectrum.js';

/** A pigment on the shelf, by its key; its price is for a gram, where it is known. */
export interface ShelfPigment {
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

/** Best doses of some pigments: each in turn by ever finer steps, from several beginnings. */
function bestDoses(
  wish: ColourWish,
  chosen: readonly ShelfPigment[],
  ceiling: number,
): { doses: number[]; away: number } {
  const off = (doses: readonly number[]) =>
    colourDifference(
      tintedBase(
        wish.base,
        chosen.map(({ colourant }, i) => ({ colourant, dose: doses[i]! })),
      ),
      wish.wanted,
    );
  let best = { doses: chosen.map(() => 0), away: Infinity };
  for (const start of [0.1, 0.4, 1.5]) {
    let doses = chosen.map(() => Math.min(start, ceiling / chosen.length));
    let away = off(doses);
    for (let step = 1.8; step > 1.002; step = 1 + (step - 1) * 0.6) {
      for (let round = 0, moved = true; moved && round < 12; round++) {
        moved = false;
        for (let i = 0; i < doses.length; i++) {
          for (const by of [step, 1 / step]) {
            const next = doses.map((dose, k) => (k === i ? dose * by : dose));
            if (next.reduce((sum, dose) => sum + dose, 0) > ceiling) continue;
            const there = off(next);
            if (there < away - 1e-9) [doses, away, moved] = [next, there, true];
          }
        }
      }
    }
    if (away < best.away) best = { doses, away };
  }
  return best;
}

/**
 * Up to three recipes that come nearest to a wanted dry colour, nearest first; the ceiling holds for all pigment together.
 * @throws InputError on an empty or overfull shelf, or a ceiling past the hard stop
 */
export function searchTints(wish: ColourWish, { progress, stopped }: SearchTask = {}): FoundTint[] {
  const { pigments, ceiling = PIGMENT_CEILING * 100 } = wish;
  requireNumber('pigments', pigments.length, 'The number of pigments', { min: 1, max: MOST_ON_SHELF });
  requireNumber('ceiling', ceiling, 'The ceiling', { above: 0, max: PIGMENT_STOP * 100, unit: '%' });
  const all = subsets(pigments.length);
  const found: FoundTint[] = [];
  for (const [i, subset] of all.entries()) {
    if (stopped?.()) break;
    const chosen = subset.map((at) => pigments[at]!);
    const { doses } = bestDoses(wish, chosen, ceiling);
    const used = chosen.map((pigment, k) => ({ pigment, dose: doses[k]! })).filter(({ dose }) => dose > LEAST_DOSE);
    if (used.length === chosen.length) found.push(tintOf(wish, used));
    progress?.((i + 1) / all.length);
  }
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
