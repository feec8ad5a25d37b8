import { computed, figure, line, type Figure, msg } from '../../foundation/units/index.js';
import { isBinder, lotInUse } from '../../mixing/materials/index.js';
import { scaleMasses } from '../../mixing/mixes/index.js';
import type { CalculatedPart } from './pour-totals.js';

/** A mould that may take what is left over. */
export interface CatchMould {
  readonly id: string;
  readonly name: string;
  /** mL it takes. */
  readonly volume: number;
}

/** Less than this is no leftover to speak of, mL. */
const LEAST = 60;
/** Mould by mould, most catch moulds that one leftover fills. */
const MOST = 3;

/** Moulds that take what is left over, the best first: nearest without exceeding, then what fits into the rest. */
export function catchMoulds(leftover: number, moulds: readonly CatchMould[]): CatchMould[] {
  const found: CatchMould[] = [];
  let rest = leftover;
  for (let n = 0; n < MOST && rest >= LEAST; n++) {
    const fits = moulds.filter((mould) => mould.volume <= rest && !found.includes(mould));
    if (fits.length === 0) break;
    const best = fits.reduce((a, b) => (b.volume > a.volume ? b : a));
    found.push(best);
    rest -= best.volume;
  }
  return found;
}

/** By how much all amounts may be less so that nothing is left: the share of what is made; 0 where nothing is left over. */
export function scaleDown({ sheet: { bucketfuls, leftover } }: CalculatedPart): number {
  const made = bucketfuls.reduce((sum, one) => sum + one.measured.made, 0);
  return made > 0 ? Math.max(0, leftover.value / made) : 0;
}

/** What one whole bag of a mix's binder comes to. */
export interface BagFills {
  readonly binder: string;
  /** Mass of the bag, g. */
  readonly bag: number;
  readonly volume: Figure;
  /** How many of each piece of the plan that fills by itself, whole ones. */
  readonly pieces: readonly { readonly name: string; readonly count: number }[];
}

/** What a whole bag of the binder, as it was bought, makes and fills; undefined where no lot of it is known. */
export function bagFills({ plan, sheet }: CalculatedPart): BagFills | undefined {
  const { perPart } = sheet.mix;
  const portion = perPart.portions.find(({ material }) => isBinder(material));
  const lot = portion && lotInUse(portion.material.id, plan.lots);
  if (!portion || !lot || portion.mass <= 0) return undefined;
  const bag = lot.bought / (lot.bags ?? 1);
  const made = scaleMasses(perPart, bag / portion.mass).volume * (plan.learnedYield?.factor ?? 1);
  const volume = figure(made, 'mL', computed, [
    line(msg('pours.wholeBag'), bag, 'g'),
    line(msg('pours.inLitre', { material: portion.material.name }), (portion.mass / perPart.volume) * 1000, 'g'),
    line(msg('pours.itMakes'), made, 'mL'),
  ]);
  const kinds = new Map(sheet.pieces.map((piece) => [piece.mouldId, piece]));
  return {
    binder: portion.material.name,
    bag,
    volume,
    pieces: [...kinds.values()].map((piece) => ({
      name: piece.name,
      count: Math.floor(made / piece.volume.value + 1e-9),
    })),
  };
}
