import { defined } from '../../foundation/math/index.js';
import { computed, figure, line, type Figure, msg, type Message } from '../../foundation/units/index.js';
import type { MeasuredBatch, ProposedWay } from '../../mixing/measuring/index.js';
import {
  binderMass,
  BUCKET_SHARE,
  scaleMasses,
  usualOrder,
  potLifeAndSet,
  type BatchMasses,
} from '../../mixing/mixes/index.js';
import { METALLIC_GRADE, washBetween } from '../../mixing/tints/index.js';
import { colourMass, isTinted, massesOfTurn, mixOfTurn, stretchOf, withOwnColour } from './averaged-plan.js';
import { mouldsPerBatch, splitIntoBatches, type BatchLimits } from './batches.js';
import { planLayerWait, type LayerWait } from './layer-waits.js';
import { measuredAs, measuredLine, proposedFor } from './measured-plan.js';
import { WORK_TIMES, type PourPlan, type PourTint } from './plan.js';
import { sheetDoses, type SheetDose } from './sheet-doses.js';
import { sheetLines, type SheetLine } from './sheet-lines.js';
import { measuringWarnings } from './sheet-warnings.js';
import { turnsOf, type Turn } from './tint-order.js';
import { waterPlan, type WaterPlan } from './water-plan.js';

/** What of one kind of mould is filled from a bucketful. */
export interface Filling {
  /** Which of the plan's items, from 0. */
  readonly item: number;
  readonly name: string;
  /** Which layer, from 1 at the bottom; undefined where the piece has none. */
  readonly layer?: number;
  /** mL in each mould; parts of a mould where one wants more than a bucket. */
  readonly each: number;
  /** Which of the item's moulds, from 0. */
  readonly copies: readonly number[];
}

/** One bucket, mixed at once. */
export interface Bucketful {
  /** Which of the plan's bucketfuls, from 0. */
  readonly at: number;
  /** Of a tinted pour. */
  readonly tint?: PourTint;
  readonly volume: Figure;
  readonly lines: readonly SheetLine[];
  readonly doses: readonly SheetDose[];
  /** Of those, g that are strewn in at the end and hardly stirred. */
  readonly late: readonly { readonly name: string; readonly mass: number }[];
  readonly water: WaterPlan;
  /** How its lines are measured, and what that makes. */
  readonly measured: MeasuredBatch;
  readonly fillings: readonly Filling[];
  /** Before it: what to wash, and how long the layer below has to stand. */
  readonly wash?: Message;
  readonly wait?: LayerWait;
  readonly warnings: readonly Message[];
}

/** A mould, or one of its layers, that wants more than the bucket mixes at once. */
export interface BigMould {
  readonly name: string;
  /** mL with the spare, and the most that the bucket mixes. */
  readonly volume: number;
  readonly most: number;
}

/** How a plan is split into bucketfuls. */
export interface Bucketfuls {
  readonly all: readonly Bucketful[];
  /** Whether one mould wants more than a bucketful. */
  readonly shared: boolean;
  /** Moulds that do. */
  readonly big: readonly BigMould[];
  /** Whether each can be placed before it stiffens. */
  readonly inTime: boolean;
  /** How they are measured, and why. */
  readonly way: ProposedWay;
}

/** What of each fill goes into which bucketful, mL. */
interface Deal {
  readonly share: number;
  readonly copy: number;
  readonly volume: number;
}

function dealsOf(plan: PourPlan, { shares }: Turn, limits: BatchLimits) {
  const stretch = stretchOf(plan);
  const fills = shares.flatMap(({ item, volume }, share) =>
    Array.from({ length: item.count }, (_, copy) => ({
      id: `${share}.${copy}`,
      share,
      copy,
      volume: volume * stretch,
      ...(item.split && { split: true }),
    })),
  );
  const inTime = splitIntoBatches(fills, limits);
  const split = inTime ?? defined(splitIntoBatches(fills, { ...limits, moulds: Infinity }));
  const byId = new Map(fills.map((fill) => [fill.id, fill]));
  const deals = split.dealt.map((parts) =>
    parts.map(({ id, volume }): Deal => {
      const { share, copy } = defined(byId.get(id));
      return { share, copy, volume };
    }),
  );
  const big = shares.flatMap(({ item: { name }, volume }): BigMould[] =>
    volume * stretch > limits.volume ? [{ name, volume: volume * stretch, most: limits.volume }] : [],
  );
  return { deals, shared: split.shared, big, inTime: inTime !== undefined };
}

/** The deals of one bucketful, kind of mould by kind of mould. */
function fillingsOf(plan: PourPlan, { shares }: Turn, deals: readonly Deal[]): Filling[] {
  const stretch = stretchOf(plan);
  const found = new Map<string, Filling>();
  for (const { share, copy, volume } of deals) {
    const { item, layer, at } = defined(shares[share]);
    const each = volume / stretch;
    const key = `${share} ${each.toFixed(3)}`;
    const before = found.get(key);
    found.set(key, {
      item: at,
      name: item.name,
      ...(item.colouring?.kind === 'banded' && { layer: layer + 1 }),
      each,
      copies: [...(before?.copies ?? []), copy],
    });
  }
  return [...found.values()];
}

function volumeFigure(plan: PourPlan, fillings: readonly Filling[], { batch, factor }: MeasuredBatch): Figure {
  return figure(batch.volume, 'mL', computed, [
    ...fillings.map(({ name, layer, each, copies }) =>
      line(
        msg(layer ? 'pours.copiesOfLayer' : 'pours.copiesOf', { copies: copies.length, name, ...(layer && { layer }) }),
        each * copies.length,
        'mL',
      ),
    ),
    line(msg('pours.stretch'), stretchOf(plan), 'ratio'),
    ...measuredLine(factor),
    line(msg('pours.toMix'), batch.volume, 'mL'),
  ]);
}

function turnWarnings(plan: PourPlan, { tint, shares }: Turn): Message[] {
  const found: Message[] = [];
  const metallic = tint.doses.find(({ material }) => material.tinting?.metallic);
  if (metallic && plan.mix.grade < METALLIC_GRADE)
    found.push(msg('pours.metallicThin', { material: metallic.material.name }));
  for (const { item } of shares)
    if (item.colouring?.kind === 'marbled' && plan.mix.grade < 5)
      found.push(msg('pours.tooStiffToMarble', { item: item.name }));
  return [...new Set(found)];
}

/** The wait before a turn: of the layer that lies on another. */
function waitOf(plan: PourPlan, { shares }: Turn): LayerWait | undefined {
  const upon = shares.find(({ item, layer }) => item.colouring?.kind === 'banded' && layer > 0);
  if (!upon) return undefined;
  return planLayerWait(plan, upon.item.colouring?.edge ?? 'crisp');
}

/** Measures, grams and water of one bucketful of a turn. */
function recipeOf(plan: PourPlan, turn: Turn, asked: BatchMasses, { way }: ProposedWay) {
  const mix = mixOfTurn(plan, turn);
  const own = { ...plan, mix };
  const measured = measuredAs(own, asked, way);
  const { batch } = measured;
  const order = plan.ways?.order ?? usualOrder(plan.binderClass);
  return {
    measured,
    lines: sheetLines(own, measured),
    doses: sheetDoses(plan, batch),
    late: (turn.tint.late ?? []).map((dose) => ({
      name: dose.material.name,
      mass: colourMass(dose, binderMass(batch.portions)),
    })),
    water: waterPlan(mix, batch, { moisture: plan.moisture, order, basis: computed }),
    warnings: measuringWarnings(own, measured),
  };
}

/** What bounds a bucketful of a plan: two thirds of the bucket, and what can be placed before it stiffens. */
export function batchLimits(plan: PourPlan): BatchLimits {
  const { potLife } = potLifeAndSet(plan.mix, plan.binderClass, plan.temperature);
  const { mixing, filling } = plan.times ?? WORK_TIMES[plan.binderClass];
  return { volume: plan.bucket * BUCKET_SHARE, moulds: mouldsPerBatch(potLife.value, mixing, filling) };
}

/** The bucketfuls of a plan in their order: turn by turn, each within the bucket and, where it can be, in time. @throws InputError */
export function bucketfulsOf(plan: PourPlan): Bucketfuls {
  const turns = turnsOf(withOwnColour(plan));
  const tinted = isTinted(plan);
  const limits = batchLimits(plan);
  const all: Bucketful[] = [];
  const big: BigMould[] = [];
  let [shared, inTime] = [false, true];
  let way: ProposedWay | undefined;
  turns.forEach((turn, i) => {
    const whole = massesOfTurn(plan, turn);
    const split = dealsOf(plan, turn, limits);
    shared ||= split.shared;
    inTime &&= split.inTime;
    big.push(...split.big);
    const recipes = new Map<string, ReturnType<typeof recipeOf>>();
    const wait = waitOf(plan, turn);
    const before = turns[i - 1]?.tint;
    split.deals.forEach((deals, n) => {
      const volume = deals.reduce((sum, deal) => sum + deal.volume, 0);
      const key = volume.toFixed(6);
      const asked = scaleMasses(whole, volume / whole.volume);
      way ??= proposedFor({ ...plan, mix: mixOfTurn(plan, turn) }, asked);
      const recipe = recipes.get(key) ?? recipeOf(plan, turn, asked, way);
      recipes.set(key, recipe);
      const fillings = fillingsOf(plan, turn, deals);
      const { warnings, ...told } = recipe;
      const washed = n === 0 && before && before.id !== turn.tint.id;
      all.push({
        at: all.length,
        ...(tinted && { tint: turn.tint }),
        volume: volumeFigure(plan, fillings, recipe.measured),
        ...told,
        fillings,
        ...(washed && { wash: washBetween(before.colour, turn.tint.colour) }),
        ...(wait && { wait }),
        warnings: [...turnWarnings(plan, turn), ...(tinted ? warnings : [])],
      });
    });
  });
  return { all, shared, big, inTime, way: defined(way) };
}

/** Bucketfuls that are alike, one after another, with how many there are: the sheet tells one for all. */
export function alike(all: readonly Bucketful[]): { readonly one: Bucketful; readonly times: number }[] {
  const word = ({ tint, fillings, wait }: Bucketful) =>
    JSON.stringify([
      tint?.id,
      wait?.edge,
      fillings.map(({ item, layer, each, copies }) => [item, layer, each.toFixed(3), copies.length]),
    ]);
  const found: { one: Bucketful; times: number }[] = [];
  for (const one of all) {
    const last = found.at(-1);
    if (last && word(last.one) === word(one)) last.times += 1;
    else found.push({ one, times: 1 });
  }
  return found;
}
