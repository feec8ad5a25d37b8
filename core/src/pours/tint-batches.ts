import {
  binderMass,
  doseMass,
  isAccelerated,
  isPigment,
  reckonMix,
  roundToScoops,
  scaleMasses,
  usualOrder,
  BUCKET_SHARE,
  type BatchMasses,
  type Dose,
  type Mix,
} from '../mixes/index.js';
import { METALLIC_GRADE, washBetween } from '../tints/index.js';
import { computed, figure, line, type Figure } from '../units/index.js';
import { layerWait, type LayerWait } from './layer-waits.js';
import type { PourPlan, PourTint } from './plan.js';
import { sheetDoses, type SheetDose } from './sheet-doses.js';
import { sheetLines, type SheetLine } from './sheet-lines.js';
import { roundingWarnings } from './sheet-warnings.js';
import { scoopedVolume } from './scooped.js';
import { turnsOf, type Turn, type TurnShare } from './tint-order.js';
import { waterPlan, type WaterPlan } from './water-plan.js';

/** What is filled from one tint's batch. */
export interface TintFilling {
  readonly mouldId: string;
  readonly name: string;
  readonly count: number;
  /** Which layer, from 1 at the bottom; undefined where the piece has none. */
  readonly layer?: number;
  /** mL in each mould. */
  readonly each: number;
}

/** One tint's turn on the sheet: its own batch, with what is filled from it. */
export interface TintBatch {
  readonly tint: PourTint;
  readonly volume: Figure;
  /** Bucketfuls that it takes. */
  readonly buckets: number;
  readonly lines: readonly SheetLine[];
  readonly doses: readonly SheetDose[];
  /** Of those, g that are strewn in at the end and hardly stirred. */
  readonly late: readonly { readonly name: string; readonly mass: number }[];
  readonly water: WaterPlan;
  /** What the scoops as rounded really make, over all bucketfuls, mL. */
  readonly made: number;
  readonly fillings: readonly TintFilling[];
  /** Before it: what to wash, and how long the layer below has to stand. */
  readonly wash?: string;
  readonly wait?: LayerWait;
  readonly warnings: readonly string[];
}

/** Whether a dose colours. */
export const isColour = ({ material }: Dose) => isPigment(material);

/** A mix with a tint's pigments in place of its own. */
export const tintedMix = (mix: Mix, doses: readonly Dose[]): Mix => ({
  ...mix,
  doses: [...(mix.doses ?? []).filter((dose) => !isColour(dose)), ...doses],
});

/** g of a colour in a batch with that much binder (g): colours are dosed on the binder alone. */
const colourMass = (dose: Dose, binder: number) => doseMass(dose, { binder, cement: 0, volume: 0 });

/** How much more is made than the moulds take: the spare, and what the mix's batches taught. */
export const stretchOf = ({ spare, learnedYield }: PourPlan): number => (1 + spare) / (learnedYield?.factor ?? 1);

const turnVolume = ({ shares }: Turn) => shares.reduce((sum, { item, volume }) => sum + volume * item.count, 0);

const massesOf = (plan: PourPlan, turn: Turn): BatchMasses => {
  const { perPart } = reckonMix(tintedMix(plan.mix, turn.tint.doses), plan.conditions);
  return scaleMasses(perPart, (turnVolume(turn) * stretchOf(plan)) / perPart.volume);
};

/** Whether any piece of a plan is coloured by tints. */
export const isTinted = ({ items }: Pick<PourPlan, 'items'>): boolean => items.some(({ colouring }) => colouring);

/** Pieces that no tint is chosen for are poured in the mix's own colour, as one more tint. */
function withOwnColour({ items, mix, colour }: PourPlan): PourPlan['items'] {
  const own: PourTint = {
    id: 'own',
    name: 'The mix’s own colour',
    edition: 0,
    colour: colour ?? '#b3ada1',
    doses: (mix.doses ?? []).filter(isColour),
  };
  return items.map((item) =>
    item.colouring ? item : { ...item, colouring: { kind: 'solid', parts: [{ tint: own, share: 1 }] } },
  );
}

/**
 * A plan whose mix holds, on average, what its tints hold: so that stores, cost, log and masses of the whole pour come out
 * as the sum of its tints' batches. A plan without tints is left as it is. @throws InputError
 */
export function averaged(plan: PourPlan): PourPlan {
  if (!isTinted(plan)) return plan;
  const items = withOwnColour(plan);
  const turns = turnsOf(items);
  const batches = turns.map((turn) => massesOf(plan, turn));
  const binder = batches.reduce((sum, batch) => sum + binderMass(batch.portions), 0);
  const share = new Map<string, Dose>();
  for (const { dose, mass } of batches.flatMap(({ doses }) => doses).filter((one) => isColour(one.dose))) {
    const { material } = dose;
    const amount = (share.get(material.id)?.amount ?? 0) + mass / colourMass({ material, amount: 1 }, binder);
    share.set(material.id, { material, amount });
  }
  return { ...plan, items, mix: tintedMix(plan.mix, [...share.values()]) };
}

function turnWarnings(plan: PourPlan, { tint, shares }: Turn): string[] {
  const found: string[] = [];
  const metallic = tint.doses.find(({ material }) => material.tinting?.metallic);
  if (metallic && plan.mix.grade < METALLIC_GRADE)
    found.push(`${metallic.material.name} wants a thinner mix to show: pour it as single cream.`);
  for (const { item } of shares)
    if (item.colouring?.kind === 'marbled' && plan.mix.grade < 5)
      found.push(`${item.name}: tints this stiff lie side by side and do not marble; make them custard or thinner.`);
  return [...new Set(found)];
}

const filling = ({ item, layer, volume }: TurnShare): TintFilling => ({
  mouldId: item.mouldId,
  name: item.name,
  count: item.count,
  ...(item.colouring?.kind === 'banded' && { layer: layer + 1 }),
  each: volume,
});

function turnFigure(plan: PourPlan, turn: Turn): Figure {
  const held = turnVolume(turn);
  return figure(held * stretchOf(plan), 'mL', computed, [
    ...turn.shares.map(({ item, layer, volume }) =>
      line(
        `${item.count} × ${item.name}${item.colouring?.kind === 'banded' ? `, layer ${layer + 1}` : ''}`,
        volume * item.count,
        'mL',
      ),
    ),
    line('× spare and what its batches taught', stretchOf(plan), 'ratio'),
    line('To mix', held * stretchOf(plan), 'mL'),
  ]);
}

/** The wait before a turn: of the layer that lies on another. */
function waitOf(plan: PourPlan, { shares }: Turn): LayerWait | undefined {
  const upon = shares.find(({ item, layer }) => item.colouring?.kind === 'banded' && layer > 0);
  if (!upon) return undefined;
  return layerWait(upon.item.colouring?.edge ?? 'crisp', plan.setting, plan.temperature, isAccelerated(plan.mix));
}

/** The batches of a tinted pour in their turns; none for one that is not tinted. @throws InputError */
export function tintBatches(plan: PourPlan): TintBatch[] {
  if (!isTinted(plan)) return [];
  const turns = turnsOf(withOwnColour(plan));
  return turns.map((turn, i) => {
    const mix = tintedMix(plan.mix, turn.tint.doses);
    const own = { ...plan, mix };
    const whole = massesOf(plan, turn);
    const buckets = Math.max(1, Math.ceil(whole.volume / (plan.bucket * BUCKET_SHARE) - 1e-9));
    const batch = scaleMasses(whole, 1 / buckets);
    const rows = roundToScoops(batch, plan.moisture, plan.scoop, plan.step);
    const order = plan.ways?.order ?? usualOrder(plan.setting);
    const wait = waitOf(plan, turn);
    const before = turns[i - 1]?.tint;
    return {
      tint: turn.tint,
      volume: turnFigure(plan, turn),
      buckets,
      lines: sheetLines(own, rows),
      doses: sheetDoses(plan, batch),
      late: (turn.tint.late ?? []).map((dose) => ({
        name: dose.material.name,
        mass: colourMass(dose, binderMass(batch.portions)),
      })),
      water: waterPlan(mix, batch, { moisture: plan.moisture, order, basis: computed }),
      made: scoopedVolume(own, rows, batch) * buckets,
      fillings: turn.shares.map(filling),
      ...(before && before.id !== turn.tint.id && { wash: washBetween(before.colour, turn.tint.colour) }),
      ...(wait && { wait }),
      warnings: [...turnWarnings(plan, turn), ...roundingWarnings(rows)],
    };
  });
}
