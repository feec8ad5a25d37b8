import { defined } from '../../foundation/math/index.js';
import {
  distinct,
  computed,
  figure,
  line,
  type Figure,
  msg,
  quantity,
  type Message,
} from '../../foundation/units/index.js';
import { shoppingList, shortagesOf, type ShoppingLine } from '../../mixing/materials/index.js';
import { unmeasured, type ProposedWay } from '../../mixing/measuring/index.js';
import {
  batchCost,
  checkMix,
  goods,
  methodOf,
  calculateMix,
  scaleMasses,
  sumOfBatches,
  usualOrder,
  potLifeAndSet,
  type BatchMasses,
  type Mix,
  type MixFigures,
  type MixingStep,
} from '../../mixing/mixes/index.js';
import { averaged, isColour, isTinted, stretchOf } from './averaged-plan.js';
import { alike, bucketfulsOf, type BigMould, type Bucketful } from './bucketfuls.js';
import { cautionsFor, type Caution } from './cautions.js';
import { evenPlan, type EvenPlan } from './even-plan.js';
import { measuredLine } from './measured-plan.js';
import { pieceFigures, type PieceFigures } from './pieces.js';
import { checkPlan, type PourPlan } from './plan.js';
import { sheetDoses, type SheetDose } from './sheet-doses.js';
import { sheetLines, type SheetLine } from './sheet-lines.js';
import { measuringWarnings, splitWarnings, waterWarnings } from './sheet-warnings.js';
import { waterPlan, type WaterPlan } from './water-plan.js';

/** One batch of a pour on average; where all bucketfuls are alike, each of them. */
interface SheetBatch {
  /** With their measures where all bucketfuls are alike. */
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
  /** Masses of all bucketfuls together, g. */
  readonly whole: BatchMasses;
  /** Every bucket in its turn, with what it fills. */
  readonly bucketfuls: readonly Bucketful[];
  /** Mix left when the moulds are full, as it is measured; below 0 it falls short. */
  readonly leftover: Figure;
  readonly mix: MixFigures;
  readonly potLife: Figure;
  /** Moulds that want more than the bucket mixes at once. */
  readonly big: readonly BigMould[];
  /** Whether a batch can be placed before it stiffens. */
  readonly inTime: boolean;
  readonly cost?: Figure;
  /** Materials of which the store has too little, with what to buy in whole bags. */
  readonly short: readonly ShoppingLine[];
  /** How it is mixed, step by step. */
  readonly method: readonly MixingStep[];
  /** How it is measured, and why. */
  readonly way: ProposedWay;
  /** What near to this plan comes out even, where this does not. */
  readonly even?: EvenPlan;
  readonly cautions: readonly Caution[];
  /** What is off with its measures. */
  readonly warnings: readonly Message[];
}

/** What is left over when the batches are mixed as they are measured (`calculated` mL in all) and the moulds are full. */
function leftoverFigure(plan: PourPlan, pieces: readonly PieceFigures[], calculated: number): Figure {
  const made = calculated * (plan.learnedYield?.factor ?? 1);
  const held = pieces.reduce((sum, piece) => sum + piece.volume.value * piece.count, 0);
  return figure(made - held, 'mL', computed, [
    line(msg('pours.madeAsMeasured'), made, 'mL', msg('pours.madeHow')),
    line(msg('pours.heldByMoulds'), held, 'mL'),
    line(msg('pours.leftOver'), made - held, 'mL'),
  ]);
}

/** The mix of a tinted pour as its method tells of it: whatever the pigments are, they go in alike. */
function mixOfMethod({ mix }: PourPlan, tinted: boolean): Mix {
  const doses = mix.doses ?? [];
  const colour = doses.find(isColour);
  return tinted && colour ? { ...mix, doses: [...doses.filter((dose) => !isColour(dose)), colour] } : mix;
}

function amountFigure(plan: PourPlan, pieces: readonly PieceFigures[], amount: number): Figure {
  const held = pieces.reduce((sum, piece) => sum + piece.volume.value * piece.count, 0);
  const { factor: learned = 1, batches = 0 } = plan.learnedYield ?? {};
  return figure(amount, 'mL', batches > 0 ? { kind: 'learned', records: batches } : computed, [
    ...pieces.map((piece) =>
      line(msg('pours.copiesOf', { copies: piece.count, name: piece.name }), piece.volume.value * piece.count, 'mL'),
    ),
    line(
      msg('pours.wasteAllowance'),
      held * plan.spare,
      'mL',
      msg('pours.wasteHow', { spare: quantity(plan.spare * 100, '%', 0) }),
    ),
    ...(batches > 0 ? [line(msg('pours.dividedByYield'), learned, 'ratio', msg('pours.ofBatches', { batches }))] : []),
    ...measuredLine(amount / (held * stretchOf(plan))),
    line(msg('pours.toMix'), amount, 'mL'),
  ]);
}

/** What the store has too little of, and what to buy. */
function shopping(plan: PourPlan, whole: BatchMasses): ShoppingLine[] {
  const wanted = goods(whole).map(({ material: { id, name }, mass }) => ({ materialId: id, name, mass }));
  return shoppingList(shortagesOf(wanted, plan.lots), plan.lots);
}

/** Masses of one batch of a sheet on average, g. */
export const batchOfSheet = ({ whole, batches }: Sheet): BatchMasses => scaleMasses(whole, 1 / batches.count);

/** How its mix is mixed; tints are named as one. */
const methodFor = (plan: PourPlan, tinted: boolean) =>
  methodOf(mixOfMethod(plan, tinted), plan.binderClass, {
    ...plan.ways,
    ...(tinted && { colourName: msg('pours.tintPigments') }),
  });

/** What speaks against how its buckets are measured. Tints are measured batch by batch: each turn tells of its own. */
const measuringOf = (plan: PourPlan, bucketfuls: readonly Bucketful[], tinted: boolean) =>
  tinted ? [] : distinct(alike(bucketfuls).flatMap(({ one: { measured } }) => measuringWarnings(plan, measured)));

/**
 * The mixing sheet of a pour: what each piece takes and weighs, how many batches, scoops, grams and water of each.
 * @throws InputError when a mould, the mix or the plan cannot be poured.
 */
export function calculateSheet(given: PourPlan): Sheet {
  checkPlan(given);
  checkMix(given.mix);
  const plan = averaged(given);
  const mix = calculateMix(plan.mix, plan.conditions);
  const { perPart } = mix;
  const pieces = plan.items.map((item) => pieceFigures(item, perPart));
  const { all: bucketfuls, shared, big, inTime, way } = bucketfulsOf(given);
  const count = bucketfuls.length;
  const { potLife } = potLifeAndSet(plan.mix, plan.binderClass, plan.temperature);
  const whole = sumOfBatches(
    bucketfuls.map(({ measured }) => measured.batch),
    plan.mix,
  );
  const amount = amountFigure(plan, pieces, whole.volume);
  const batch = scaleMasses(whole, 1 / count);
  const tinted = isTinted(given);
  const one = defined(bucketfuls[0]);
  const even = !tinted && alike(bucketfuls).length === 1;
  const order = plan.ways?.order ?? usualOrder(plan.binderClass);
  const water = waterPlan(plan.mix, batch, { moisture: plan.moisture, order, basis: mix.ratio.basis });
  const made = bucketfuls.reduce((sum, { measured }) => sum + measured.made, 0);
  const cost = batchCost(whole, plan.lots, msg('pours.pourMaterials'));
  const nearby = even ? evenPlan(plan, one.measured) : undefined;
  return {
    pieces,
    amount,
    batches: { count, shared },
    bucketfuls,
    whole,
    batch: {
      lines: even ? one.lines : sheetLines(plan, unmeasured(batch, plan.moisture)),
      doses: sheetDoses(plan, batch),
      water,
      volume: batch.volume,
    },
    leftover: leftoverFigure(plan, pieces, made),
    mix,
    potLife,
    big,
    inTime,
    ...(cost && { cost }),
    short: shopping(plan, whole),
    method: methodFor(plan, tinted),
    way,
    ...(nearby && { even: nearby }),
    cautions: cautionsFor(plan, pieces),
    warnings: [...measuringOf(plan, bucketfuls, tinted), ...waterWarnings(water), ...splitWarnings(given, bucketfuls)],
  };
}
