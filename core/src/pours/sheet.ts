import {
  batchCost,
  betterRounding,
  checkMix,
  goods,
  methodOf,
  reckonMix,
  roundToScoops,
  scaleMasses,
  usualOrder,
  workability,
  type BatchMasses,
  type Mix,
  type MixFigures,
  type MixingStep,
} from '../mixes/index.js';
import { shoppingList, shortagesOf, type ShoppingLine } from '../stores/index.js';
import { computed, figure, line, type Figure } from '../units/index.js';
import { averaged, isColour, isTinted, stretchOf } from './averaged.js';
import { alike, bucketfulsOf, type Bucketful } from './bucketfuls.js';
import { cautionsFor, type Caution } from './cautions.js';
import { pieceFigures, type PieceFigures } from './pieces.js';
import { checkPlan, type PourPlan } from './plan.js';
import { sheetDoses, type SheetDose } from './sheet-doses.js';
import { sheetLines, type SheetLine } from './sheet-lines.js';
import { sheetWarnings } from './sheet-warnings.js';

import { waterPlan, type WaterPlan } from './water-plan.js';

/** One batch of a pour on average; where all bucketfuls are alike, each of them. */
export interface SheetBatch {
  readonly lines: readonly SheetLine[];
  readonly doses: readonly SheetDose[];
  readonly water: WaterPlan;
  readonly volume: number;
}

/** The mixing sheet of a pour. */
export interface Sheet {
  readonly pieces: readonly PieceFigures[];
  readonly amount: Figure;
  readonly batches: { readonly count: number; readonly shared: boolean };
  readonly batch: SheetBatch;
  /** Every bucket in its turn, with what it fills. */
  readonly bucketfuls: readonly Bucketful[];
  /** Mix left when the moulds are full, as the scoops are rounded; below 0 it falls short. */
  readonly leftover: Figure;
  readonly mix: MixFigures;
  readonly potLife: Figure;
  readonly cost?: Figure;
  /** Materials of which the store has too little, with what to buy in whole bags. */
  readonly short: readonly ShoppingLine[];
  /** How it is mixed, step by step. */
  readonly method: readonly MixingStep[];
  /** A size near this one at which the scoops come out better: the factor on this one's, and the worst error there. */
  readonly better?: { readonly factor: number; readonly worst: number };
  readonly cautions: readonly Caution[];
  readonly warnings: readonly string[];
}

/** What is left over when the batches are mixed by their rounded scoops (`reckoned` mL in all) and the moulds are full. */
function leftoverFigure(plan: PourPlan, pieces: readonly PieceFigures[], reckoned: number): Figure {
  const made = reckoned * (plan.learnedYield?.factor ?? 1);
  const held = pieces.reduce((sum, piece) => sum + piece.volume.value * piece.count, 0);
  return figure(made - held, 'mL', computed, [
    line('Made by the scoops as rounded', made, 'mL', 'their dry mass, the water as told, and air'),
    line('Held by the moulds', held, 'mL'),
    line('Left over', made - held, 'mL'),
  ]);
}

/** The mix of a tinted pour as its method tells of it: whatever the pigments are, they go in alike. */
function mixOfMethod({ mix }: PourPlan, tinted: boolean): Mix {
  const doses = mix.doses ?? [];
  const colour = doses.find(isColour);
  if (!tinted || !colour) return mix;
  const pigments = { ...colour, material: { ...colour.material, name: 'The pigments of the tint' } };
  return { ...mix, doses: [...doses.filter((dose) => !isColour(dose)), pigments] };
}

function amountFigure(plan: PourPlan, pieces: readonly PieceFigures[]): Figure {
  const held = pieces.reduce((sum, piece) => sum + piece.volume.value * piece.count, 0);
  const { factor = 1, batches = 0 } = plan.learnedYield ?? {};
  const amount = held * stretchOf(plan);
  return figure(amount, 'mL', batches > 0 ? { kind: 'learned', records: batches } : computed, [
    ...pieces.map((piece) => line(`${piece.count} × ${piece.name}`, piece.volume.value * piece.count, 'mL')),
    line('Spare', held * plan.spare, 'mL', `${(plan.spare * 100).toFixed(0)} % so that the last one is not short`),
    ...(batches > 0
      ? [line('÷ what its batches really made', factor, 'ratio', `of ${batches}, against reckoned`)]
      : []),
    line('To mix', amount, 'mL'),
  ]);
}

/** What the store has too little of, and what to buy. */
function shopping(plan: PourPlan, whole: BatchMasses): ShoppingLine[] {
  const wanted = goods(whole).map(({ material: { id, name }, mass }) => ({ materialId: id, name, mass }));
  return shoppingList(shortagesOf(wanted, plan.lots), plan.lots);
}

/** Masses of one batch of a sheet, g. */
export const batchOfSheet = ({ mix: { perPart }, batch }: Sheet): BatchMasses =>
  scaleMasses(perPart, batch.volume / perPart.volume);

/**
 * The mixing sheet of a pour: what each piece takes and weighs, how many batches, scoops, grams and water of each.
 * @throws InputError when a mould, the mix or the plan cannot be poured.
 */
export function reckonSheet(given: PourPlan): Sheet {
  checkPlan(given);
  checkMix(given.mix);
  const plan = averaged(given);
  const mix = reckonMix(plan.mix, plan.conditions);
  const { perPart } = mix;
  const pieces = plan.items.map((item) => pieceFigures(item, perPart));
  const amount = amountFigure(plan, pieces);
  const { potLife } = workability(plan.mix, plan.setting, plan.temperature);
  const { all: bucketfuls, shared, big, inTime } = bucketfulsOf(given);
  const count = bucketfuls.length;
  const whole = scaleMasses(perPart, amount.value / perPart.volume);
  const batch = scaleMasses(whole, 1 / count);
  const tinted = isTinted(given);
  const even = !tinted && alike(bucketfuls).length === 1;
  const told = tinted ? batch : scaleMasses(whole, bucketfuls[0]!.volume.value / amount.value);
  const rows = roundToScoops(batch, plan.moisture, plan.scoop, plan.step);
  const order = plan.ways?.order ?? usualOrder(plan.setting);
  const water = waterPlan(plan.mix, batch, { moisture: plan.moisture, order, basis: mix.ratio.basis });
  const leftover = leftoverFigure(
    plan,
    pieces,
    bucketfuls.reduce((sum, one) => sum + one.made, 0),
  );
  const better = even ? betterRounding(batch, plan.moisture, plan.scoop, plan.step) : undefined;
  // Tints are rounded batch by batch: each turn tells of its own.
  const known = {
    batch: told,
    rows: tinted ? [] : roundToScoops(told, plan.moisture, plan.scoop, plan.step),
    water,
    ratio: mix.ratio.value,
    leftover: leftover.value,
    big,
    inTime,
  };
  return {
    pieces,
    amount,
    batches: { count, shared },
    bucketfuls,
    batch: { lines: sheetLines(plan, rows), doses: sheetDoses(plan, batch), water, volume: batch.volume },
    leftover,
    mix,
    potLife,
    cost: batchCost(whole, plan.lots, 'Materials of this pour'),
    short: shopping(plan, whole),
    method: methodOf(mixOfMethod(plan, tinted), plan.setting, plan.ways),
    ...(better && { better: { factor: better.factor, worst: better.worst } }),
    cautions: cautionsFor(plan, pieces),
    warnings: [...mix.warnings, ...sheetWarnings(plan, known)],
  };
}
