import {
  remedies,
  type Finding,
  type Harm,
  msg,
  quantity,
  type Message,
  exactly,
} from '../../foundation/units/index.js';
import type { PieceKind } from '../../geometry/moulds/index.js';
import type { PieceUse } from '../sealing/index.js';
import { ANOTHER_MIX, mm, type ItemRule, type JudgedMould, type PlanChange } from './judged.js';

const CEMENT_MIX = { text: msg('judging.cementMix'), change: ANOTHER_MIX };
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
  const why = walked ? 'walked' : wet ? 'outdoors' : 'watered';
  return {
    key: 'wet-binder',
    harm: walked ? 1 : 2,
    text: msg('judging.binderNotLasting', { binder: binderClass, why, item: item.name }),
    reason: binderClass === 'gypsum' ? msg('judging.gypsumWet') : msg('judging.underlaymentWet'), // prettier-ignore
    basis: 'guide',
    remedies: [
      CEMENT_MIX,
      ...remedies(mix.exposure === 'indoors' ? msg('judging.keepForDisplay') : msg('judging.makeForDry')),
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
    text: msg('judging.notForFeet', { value: quantity(strength.value, 'MPa', 0), item: item.name }),
    reason: msg('judging.walkedNeeds', { needed: exactly(25, 'MPa') }),
    basis: 'guide',
    remedies: [
      { text: msg('judging.strongerMix'), change: ANOTHER_MIX },
      ...remedies(msg('judging.lessWater'), msg('judging.noLightGrains')),
    ],
  };
};

interface UseWords {
  readonly harm: Harm;
  readonly text: (name: string) => Message;
  readonly reason: Message;
  readonly remedies: readonly Message[];
}

const usesThatHarm = {
  food: {
    harm: 1,
    text: (name) => msg('judging.forFood', { name }),
    reason: msg('judging.forFoodReason'),
    remedies: [msg('judging.forFoodRemedy'), msg('judging.dryFoodOnly')],
  },
  candle: {
    harm: 1,
    text: (name) => msg('judging.forCandle', { name }),
    reason: msg('judging.forCandleReason'),
    remedies: [msg('judging.forCandleRemedy'), msg('judging.candleInGlass')],
  },
  animals: {
    harm: 1,
    text: (name) => msg('judging.forAnimals', { name }),
    reason: msg('judging.forAnimalsReason'),
    remedies: [msg('judging.soakAndCheck')],
  },
  plants: {
    harm: 3,
    text: (name) => msg('judging.forPlants', { name }),
    reason: msg('judging.leachesWeeks'),
    remedies: [msg('judging.soakBeforePlanting')],
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
    text: msg('judging.letsWaterThrough', { item: item.name }),
    reason: msg('judging.poresMeet'),
    basis: 'guide',
    remedies: [{ text: msg('judging.denseMix'), change: ANOTHER_MIX }, ...remedies(msg('judging.lineOrSeal'))],
  };
};

/** How a mix's note says that a wall is too thin for it, in any of the languages. */
const THINNER_THAN = /(?:under|menos de) (\d+(?:\.\d+)?) mm/;

/** Words by which a mix's note names a kind of piece, in any of the languages. */
const pieceWords: Record<PieceKind, readonly string[]> = {
  'small-pot': ['small pot', 'jar', 'maceta pequeña', 'tarro'],
  pot: ['pot', 'maceta'],
  'hypertufa-pot': ['hypertufa'],
  trough: ['trough', 'pila'],
  slab: ['slab', 'stepping', 'step', 'ground', 'walked', 'paver', 'losa', 'escal', 'suelo', 'pisa'],
  lamp: ['lamp', 'shade', 'lámpara', 'pantalla'],
  dish: ['dish', 'bowl', 'tray', 'plato', 'cuenco', 'bandeja'],
  leaf: ['leaf', 'hoja'],
  panel: ['panel'],
  ornament: ['ornament', 'detail', 'adorno', 'detalle'],
};
const useWords: Partial<Record<PieceUse, readonly string[]>> = {
  water: ['holding water', 'the wet', 'contener agua', 'la humedad'],
  food: ['food', 'los alimentos'],
  candle: ['candle', 'velas?'],
  frost: ['frost', 'helada'],
  outdoors: ['outdoors', 'garden', 'the wet', 'exterior', 'jardín', 'la humedad'],
};

/** Whether a phrase of a mix's note speaks of this piece, where it lives and how thick it is. */
function speaksOf(phrase: string, { item, way, gap, plan, context: { uses = [] } }: JudgedMould): boolean {
  const has = (words: readonly string[] = []) => words.some((word) => new RegExp(`\\b${word}`, 'i').test(phrase));
  const under = THINNER_THAN.exec(phrase);
  if (under) return gap !== undefined && gap < Number(under[1]);
  const lives = plan.mix.exposure === 'indoors' ? uses : [...uses, plan.mix.exposure];
  return (
    has(pieceWords[item.piece]) ||
    (way.startsWith('poured') && has(['pouring', 'verter'])) ||
    lives.some((use) => has(useWords[use]))
  );
}

/** What the mix's own note says it is not for, where that names this piece. */
export const ownNoteRule: ItemRule = (judged) => {
  const { item, gap, context: { unfit } } = judged; // prettier-ignore
  const phrase = unfit?.split(/[,;]/).find((one) => speaksOf(one, judged));
  if (phrase === undefined) return undefined;
  const thin = gap !== undefined && THINNER_THAN.test(phrase);
  return {
    key: 'own-note',
    harm: 3,
    text: msg('judging.noteAgainst', {
      phrase: phrase.trim(),
      item: item.name,
      wall: thin ? 'some' : 'none',
      gap: mm(gap ?? 0),
    }),
    reason: msg('judging.noteReason'),
    basis: 'record',
    remedies: [{ text: msg('judging.anotherMix'), change: ANOTHER_MIX }],
  };
};
