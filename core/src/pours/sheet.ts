import { potLife } from '../cure/index.js';
import {
  airOf,
  batchCost,
  bulking,
  checkMix,
  freshVolume,
  massesPerPart,
  reckonMix,
  scaleMasses,
  scoopedVolume,
  type BatchMasses,
  type MixFigures,
} from '../mixes/index.js';
import { inStore, inScoops, type ScoopCount } from '../stores/index.js';
import { computed, figure, handbook, line, type Figure } from '../units/index.js';
import { BUCKET_SHARE, mouldsPerBatch, splitIntoBatches } from './batches.js';
import { cautionsFor, type Caution } from './cautions.js';
import { pieceFigures, pieceVolume, type PieceFigures } from './pieces.js';
import { checkPlan, type PourPlan } from './plan.js';
import { waterPlan, type WaterPlan } from './water-plan.js';

/** One material of one batch. */
export interface SheetLine {
  readonly materialId: string;
  readonly name: string;
  readonly kind: string;
  /** As it lies in the store, damp as it is, g. */
  readonly mass: Figure;
  readonly scoops: ScoopCount;
  /** How far the rounding takes its ratio to the binder, as a share. */
  readonly ratioError: number;
}

/** One batch of a pour. Equal batches, so that one is told for all. */
export interface SheetBatch {
  readonly lines: readonly SheetLine[];
  readonly water: WaterPlan;
  readonly volume: number;
}

/** The mixing sheet of a pour. */
export interface Sheet {
  readonly pieces: readonly PieceFigures[];
  readonly amount: Figure;
  readonly batches: { readonly count: number; readonly shared: boolean };
  readonly batch: SheetBatch;
  /** Mix left when the moulds are full, as the scoops are rounded; below 0 it falls short. */
  readonly leftover: Figure;
  readonly mix: MixFigures;
  readonly potLife: Figure;
  readonly cost?: Figure;
  /** Materials of which the store has too little, with what is missing in g. */
  readonly short: readonly { readonly materialId: string; readonly name: string; readonly missing: number }[];
  readonly cautions: readonly Caution[];
  readonly warnings: readonly string[];
}

/** Minutes that mixing a batch and filling a mould take by default. */
const MIXING = 6;
const FILLING = 3;
/** Error of a ratio from which rounding is warned of. */
const RATIO_TOLERANCE = 0.03;

function sheetLines(plan: PourPlan, batch: BatchMasses): SheetLine[] {
  const rows = batch.portions.map(({ material, mass }) => {
    const moisture = plan.moisture[material.id] ?? 0;
    const volume = scoopedVolume(material, mass, moisture);
    return { material, mass, moisture, volume, scoops: inScoops(volume, plan.scoop, plan.step) };
  });
  const binder = rows.find(({ material }) => material.kind === 'binder' || material.kind === 'pre-blend') ?? rows[0]!;
  const stretch = binder.scoops.count / binder.scoops.exact;
  return rows.map(({ material, mass, moisture, volume, scoops }) => ({
    materialId: material.id,
    name: material.name,
    kind: material.kind,
    mass: figure(mass * (1 + moisture), 'g', computed, [
      line('Dry mass in this batch', mass, 'g'),
      ...(moisture > 0
        ? [line('Moisture it carries', mass * moisture, 'g', `${(moisture * 100).toFixed(0)} % of its dry mass`)]
        : []),
      line('Loose density, dry', material.bulk, 'kg/L'),
      ...(moisture > 0
        ? [
            line(
              'Swollen by damp',
              bulking(material.bulking, moisture),
              'ratio',
              'a scoop of damp sand holds less sand',
            ),
          ]
        : []),
      line('In the scoop', volume, 'mL'),
      line(`In ${plan.scoop.name} of ${plan.scoop.volume} mL`, scoops.exact, 'scoops'),
      line('As you weigh it', mass * (1 + moisture), 'g'),
    ]),
    scoops,
    ratioError: scoops.count / scoops.exact / stretch - 1,
  }));
}

/** What is left over when the batches are mixed by their rounded scoops and the moulds are full. */
function leftoverFigure(
  plan: PourPlan,
  pieces: readonly PieceFigures[],
  lines: readonly SheetLine[],
  whole: BatchMasses,
): Figure {
  const scooped = whole.portions.map(({ material, mass }, i) => {
    const { count, exact } = lines[i]!.scoops;
    return { material, mass: exact > 0 ? (mass * count) / exact : mass };
  });
  const made = freshVolume(scooped, whole.freeWater, airOf(plan.mix));
  const held = pieces.reduce((sum, piece) => sum + piece.volume.value * piece.count, 0);
  return figure(made - held, 'mL', computed, [
    line('Made by the scoops as rounded', made, 'mL', 'their dry mass, the water as told, and air'),
    line('Held by the moulds', held, 'mL'),
    line('Left over', made - held, 'mL'),
  ]);
}

function amountFigure(plan: PourPlan, pieces: readonly PieceFigures[]): Figure {
  const held = pieces.reduce((sum, piece) => sum + piece.volume.value * piece.count, 0);
  const amount = held * (1 + plan.spare);
  return figure(amount, 'mL', computed, [
    ...pieces.map((piece) => line(`${piece.count} × ${piece.name}`, piece.volume.value * piece.count, 'mL')),
    line('Spare', held * plan.spare, 'mL', `${(plan.spare * 100).toFixed(0)} % so that the last one is not short`),
    line('To mix', amount, 'mL'),
  ]);
}

function shortages(plan: PourPlan, whole: BatchMasses): Sheet['short'] {
  return whole.portions
    .map(({ material, mass }) => ({
      materialId: material.id,
      name: material.name,
      missing: mass - inStore(material.id, plan.lots),
    }))
    .filter(({ missing }) => missing > 0);
}

function sheetWarnings(plan: PourPlan, lines: readonly SheetLine[], water: WaterPlan): string[] {
  const found = lines
    .filter(({ ratioError }) => Math.abs(ratioError) > RATIO_TOLERANCE)
    .map(
      ({ name, ratioError }) =>
        `Rounded scoops put ${name.toLowerCase()} ${Math.abs(ratioError * 100).toFixed(0)} % ${ratioError > 0 ? 'over' : 'under'} its ratio: use finer steps, or weigh it.`,
    );
  if (water.brought > 0 && water.tap.value === 0)
    found.push('The damp materials bring all the water by themselves: dry them, or use drier ones.');
  if (plan.temperature < 5 && plan.setting === 'portland')
    found.push('Below 5 °C cement hardly sets: warm the place, or wait.');
  return found;
}

/**
 * The mixing sheet of a pour: what each piece takes and weighs, how many batches, scoops, grams and water of each.
 * @throws InputError when a mould, the mix or the plan cannot be poured.
 */
export function reckonSheet(plan: PourPlan): Sheet {
  checkPlan(plan);
  checkMix(plan.mix);
  const mix = reckonMix(plan.mix, plan.conditions);
  const perPart = massesPerPart(plan.mix, plan.conditions);
  const pieces = plan.items.map((item) => pieceFigures(item, perPart));
  const amount = amountFigure(plan, pieces);
  const life = potLife(plan.setting, plan.temperature);
  const fills = plan.items.flatMap((item, i) =>
    Array.from({ length: item.count }, (_, n) => ({ id: `${i}.${n}`, volume: pieceVolume(item) * (1 + plan.spare) })),
  );
  const split = splitIntoBatches(fills, {
    volume: plan.bucket * BUCKET_SHARE,
    moulds: mouldsPerBatch(life, MIXING, FILLING),
  });
  const count = split?.count ?? 1;
  const whole = scaleMasses(perPart, amount.value / perPart.volume);
  const batch = scaleMasses(whole, 1 / count);
  const lines = sheetLines(plan, batch);
  const water = waterPlan(plan.mix, batch, plan.moisture, mix.ratio.basis);
  const leftover = leftoverFigure(plan, pieces, lines, whole);
  const warnings = [...mix.warnings, ...sheetWarnings(plan, lines, water)];
  if (leftover.value < 0)
    warnings.push('Rounded like this the scoops fall short of the moulds: use finer steps, or more spare.');
  if (!split)
    warnings.push(
      'The mix stiffens before one mould is filled: use cooler water and shade, a smaller batch, a retarder by its sheet, or another pair of hands.',
    );
  return {
    pieces,
    amount,
    batches: { count, shared: split?.shared ?? true },
    batch: { lines, water, volume: batch.volume },
    leftover,
    mix,
    potLife: figure(life, 'min', handbook, [
      line('At the bench', plan.temperature, '°C'),
      line('Workable for', life, 'min', 'pot life at 20 °C ÷ rate at this temperature'),
    ]),
    cost: batchCost(whole, plan.lots, 'Materials of this pour'),
    short: shortages(plan, whole),
    cautions: cautionsFor(plan, pieces),
    warnings,
  };
}
