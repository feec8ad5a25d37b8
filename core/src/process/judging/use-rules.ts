import { remedies, type Finding, type Harm } from '../../foundation/units/index.js';
import type { PieceKind } from '../../geometry/moulds/index.js';
import type { PieceUse } from '../sealing/index.js';
import { ANOTHER_MIX, mm, type ItemRule, type JudgedMould, type PlanChange } from './judged.js';

const CEMENT_MIX = { text: 'Choose a cement mix for it.', change: ANOTHER_MIX };
const POTS: readonly PieceKind[] = ['pot', 'hypertufa-pot', 'trough'];

/** Whether a piece will stand where it gets wet: by its mix, or by what it is for. */
const outdoors = ({ plan, context: { uses = [] } }: JudgedMould) =>
  plan.mix.exposure !== 'indoors' || uses.includes('outdoors') || uses.includes('frost');

/** Gypsum and underlayment, which water softens: never outdoors, under feet, or with wet soil. */
export const wetBinderRule: ItemRule = (judged) => {
  const { item, plan: { binderClass, mix } } = judged; // prettier-ignore
  if (binderClass !== 'gypsum' && binderClass !== 'underlayment') return undefined;
  const wet = outdoors(judged);
  const walked = item.piece === 'slab';
  const watered = POTS.includes(item.piece) || (judged.context.uses ?? []).some((use) => use === 'plants' || use === 'water'); // prettier-ignore
  if (!wet && !walked && !watered) return undefined;
  const binder = binderClass === 'gypsum' ? 'Gypsum' : 'Underlayment';
  const why = walked ? 'under feet' : wet ? 'outdoors' : 'with wet soil or water in it';
  return {
    key: 'wet-binder',
    harm: walked ? 1 : 2,
    text: `${binder} does not last ${why}: ${item.name} softens and breaks.`,
    reason: binderClass === 'gypsum' ? 'Gypsum is as strong as it is dry: it halves when it is wet, and dissolves slowly.' : 'It is made to lie under a floor, in a dry room.', // prettier-ignore
    basis: 'guide',
    remedies: [
      CEMENT_MIX,
      ...remedies(mix.exposure === 'indoors' ? 'Keep it for display in a dry room.' : 'Make it for a dry room.'),
    ],
  };
};

/** What is walked on wants 25 MPa; what is carried about outdoors wants 12. */
export const strengthRule: ItemRule = ({ item, plan: { binderClass }, mix: { strength, use } }) => {
  if (item.piece !== 'slab' || binderClass === 'gypsum' || binderClass === 'underlayment' || use === 'foot traffic')
    return undefined;
  return {
    key: 'strength',
    harm: 1,
    text: `At 28 days this mix reaches about ${strength.value.toFixed(0)} MPa: not for feet, and ${item.name} is a slab.`,
    reason: 'What is walked on wants 25 MPa. Where people depend on it, local codes and an engineer decide.',
    basis: 'guide',
    remedies: [
      { text: 'Choose a stronger mix.', change: ANOTHER_MIX },
      ...remedies('Use less water, a plasticiser, or more cement.', 'Leave lightweight grains out.'),
    ],
  };
};

interface UseWords {
  readonly harm: Harm;
  readonly text: (name: string) => string;
  readonly reason: string;
  readonly remedies: readonly string[];
}

const usesThatHarm = {
  food: {
    harm: 1,
    text: (name) => `${name} is for food: bare, it is never clean, and its binder and pigments are not made for it.`,
    reason: 'Only a sealer whose own label names food makes a dish of it, and for dry food.',
    remedies: ['Plan a sealer whose label names food.', 'Put dry or wrapped food in it only.'],
  },
  candle: {
    harm: 1,
    text: (name) => `${name} is for a candle: a porous wall drinks wax, and a thin one cracks in the heat.`,
    reason: 'Only a vessel that was tested by burning, watched, is given away as one.',
    remedies: ['Seal it inside, dry it whole, and test it by burning.', 'Put the candle in a glass inside it.'],
  },
  animals: {
    harm: 1,
    text: (name) => `${name} is for animals: fresh cement makes water caustic.`,
    reason: 'Lime leaches for weeks; the water is safe at pH 8.5 or lower.',
    remedies: ['Soak it three times for a day or two, with changes, and check the pH.'],
  },
  plants: {
    harm: 3,
    text: (name) => `${name} is planted: lime from fresh cement harms roots that like it sour.`,
    reason: 'It leaches for weeks.',
    remedies: ['Soak it three times for a day or two, with changes, before it is planted.'],
  },
} satisfies Partial<Record<PieceUse, UseWords>>;

const hasCaution = (use: PieceUse): use is keyof typeof usesThatHarm => use in usesThatHarm;

/** Food, candle, animals and plants, each with its caution. */
export const usesRule: ItemRule = ({ item, plan: { binderClass }, context: { uses = [] } }) =>
  uses.flatMap((use): Finding<PlanChange>[] => {
    // Gypsum with soil in it is told of as gypsum.
    if (!hasCaution(use) || (use === 'plants' && binderClass === 'gypsum')) return [];
    const words: UseWords = usesThatHarm[use];
    return [
      {
        key: `use-${use}`,
        harm: words.harm,
        text: words.text(item.name),
        reason: words.reason,
        basis: 'guide',
        remedies: remedies(...words.remedies),
      },
    ];
  });

/** A piece that is to hold water, in a mix that water runs through. */
export const holdsWaterRule: ItemRule = ({ item, plan: { mix }, light, context: { uses = [] } }) => {
  const porous = light || mix.lines.some(({ material }) => material.kind === 'organic');
  if (!uses.includes('water') || !porous) return undefined;
  return {
    key: 'use-water',
    harm: 2,
    text: `${item.name} is to hold water, and this mix lets it through.`,
    reason: 'Peat, coir and light grains are full of pores that meet.',
    basis: 'guide',
    remedies: [
      { text: 'Choose a dense mix.', change: ANOTHER_MIX },
      ...remedies('Line it, or seal it inside in several coats.'),
    ],
  };
};

/** Words by which a mix's note names a kind of piece. */
const pieceWords: Record<PieceKind, readonly string[]> = {
  'small-pot': ['small pot', 'jar'],
  pot: ['pot'],
  'hypertufa-pot': ['hypertufa'],
  trough: ['trough'],
  slab: ['slab', 'stepping', 'step', 'ground', 'walked', 'paver'],
  lamp: ['lamp', 'shade'],
  dish: ['dish', 'bowl', 'tray'],
  leaf: ['leaf'],
  panel: ['panel'],
  ornament: ['ornament', 'detail'],
};
const useWords: Partial<Record<PieceUse, readonly string[]>> = {
  water: ['holding water', 'the wet'],
  food: ['food'],
  candle: ['candle'],
  frost: ['frost'],
  outdoors: ['outdoors', 'garden', 'the wet'],
};

/** Whether a phrase of a mix's note speaks of this piece, where it lives and how thick it is. */
function speaksOf(phrase: string, { item, way, gap, plan, context: { uses = [] } }: JudgedMould): boolean {
  const has = (words: readonly string[] = []) => words.some((word) => new RegExp(`\\b${word}`, 'i').test(phrase));
  const under = /under (\d+(?:\.\d+)?) mm/.exec(phrase);
  if (under) return gap !== undefined && gap < Number(under[1]);
  const lives = plan.mix.exposure === 'indoors' ? uses : [...uses, plan.mix.exposure];
  return (
    has(pieceWords[item.piece]) ||
    (way.startsWith('poured') && has(['pouring'])) ||
    lives.some((use) => has(useWords[use]))
  );
}

/** What the mix's own note says it is not for, where that names this piece. */
export const ownNoteRule: ItemRule = (judged) => {
  const { item, gap, context: { unfit } } = judged; // prettier-ignore
  const phrase = unfit?.split(/[,;]/).find((one) => speaksOf(one, judged));
  if (phrase === undefined) return undefined;
  const wall = gap !== undefined && /under/.test(phrase) ? `, and its narrowest place is ${mm(gap)}` : '';
  return {
    key: 'own-note',
    harm: 3,
    text: `The note of this mix says that it is not for ${phrase.trim()}; ${item.name} is that${wall}.`,
    reason: 'The note stands with the mix.',
    basis: 'record',
    remedies: [{ text: 'Choose another mix.', change: ANOTHER_MIX }],
  };
};
