import { defined } from '../../foundation/math/index.js';
import { requireNumber, msg } from '../../foundation/units/index.js';
import type { BatchMasses } from '../mixes/index.js';
import { binderAmounts, fewestScoops, type ScoopedAmount } from './fewest-scoops.js';
import {
  binderAt,
  byScoops,
  linesToMeasure,
  measureLine,
  scooped,
  sizedLine,
  type LineToMeasure,
} from './measure-line.js';
import { isSound, measuredBatch, measuringFaults, type Measuring, type MeasuringFaults } from './measured-batch.js';
import { RATIO_TOLERANCE, type MeasuredBatch, type MeasuringWay } from './ways.js';

/** How far above the need a batch is made to come out better, where the spare is less. */
const REACH = 0.25;
/** So many counts of one line are tried: those of a fine scoop err by little. */
const MOST_STEPS = 200;
/** Scoops that are tried together, level and heaped: those of one workshop, and few enough to be searched at once. */
const MOST_VESSELS = 16;
/** Sizes that are tried. */
const MOST_SIZES = 300;

interface Tried {
  readonly found: MeasuredBatch;
  readonly faults: MeasuringFaults;
}

/** The better the smaller, and the first that differs decides. */
const rank = ({ found, faults: { short, off, wet, over } }: Tried): number[] => [
  short,
  off + wet + over,
  found.way === 'scoops' ? found.measures : 0,
  Math.abs(found.factor - 1),
];

/** The better of two; the second where they are alike. */
function better(a: Tried, b: Tried | undefined): Tried {
  if (!b) return a;
  const [left, right] = [rank(a), rank(b)];
  const at = left.findIndex((value, i) => Math.abs(value - defined(right[i])) > 1e-9);
  return at >= 0 && defined(left[at]) < defined(right[at]) ? a : b;
}

const tried = (found: MeasuredBatch, batch: BatchMasses, measuring: Measuring): Tried => ({
  found,
  faults: measuringFaults(found, batch, measuring),
});

/** The sizes that are tried: from just what is needed to a quarter more, or to the spare where that is more. */
const reach = (spare: number) => [1 / (1 + spare), Math.max(1, (1 + REACH) / (1 + spare))] as const;

/** Sizes at which some line comes out even in the one scoop; the one measuring for first, then those nearest to it. */
function sizesOfScoop(lines: readonly LineToMeasure[], unit: number, spare: number): number[] {
  const [least, most] = reach(spare);
  const sizes = new Set([1, least]);
  for (const { room } of lines) {
    const first = Math.max(1, Math.ceil((room * least) / unit - 1e-9));
    // A scoop too coarse for the reach is counted up past it all the same: a batch that falls short is worse.
    const last = Math.max(first + 2, Math.min((room * most) / unit, first + MOST_STEPS));
    for (let n = first; n <= last; n++) sizes.add((n * unit) / room);
  }
  return [...sizes].sort((a, b) => Math.abs(a - 1) - Math.abs(b - 1)).slice(0, MOST_SIZES);
}

/** A scale errs by half a step in each line: a few more of its steps make up for it. */
const sizesOfScale = (binder: LineToMeasure, step: number): number[] =>
  Array.from({ length: 9 }, (_, n) => 1 + (n * step) / 2 / binder.mass);

function measureBySizes(batch: BatchMasses, way: MeasuringWay, measuring: Measuring): MeasuredBatch {
  const { vessels, moisture, spare } = measuring;
  const { scoop, step, scaleStep } = vessels;
  const lines = linesToMeasure(batch, moisture);
  const sizes =
    way === 'scoop' && scoop
      ? sizesOfScoop(lines, scoop.volume * step, spare)
      : sizesOfScale(defined(lines[binderAt(lines)]), scaleStep);
  let best: Tried | undefined;
  for (const size of sizes) {
    const measures = lines.map((line) => measureLine(sizedLine(line, size), way, vessels));
    best = better(tried(measuredBatch(batch, way, measures, measuring), batch, measuring), best);
  }
  return defined(best).found;
}

type Window = readonly [least: number, most: number];

/** The shares of what they should be at which the other lines make just the need, and the need with its spare. */
function sharesOf(batch: BatchMasses, measuring: Measuring, size: number): Window {
  const lines = linesToMeasure(batch, measuring.moisture);
  const at = binderAt(lines);
  const made = (share: number) => {
    const found = lines.map(({ mass }, i) => ({ measures: [], measured: mass * size * (i === at ? 1 : share) }));
    return measuredBatch(batch, 'scoops', found, measuring).made;
  };
  const need = batch.volume / (1 + measuring.spare);
  const [half, full] = [made(0.5), made(1)];
  if (full <= half) return [0, Infinity];
  // What a batch makes is a straight line in the share.
  const shareFor = (volume: number) => 1 + (0.5 * (volume - full)) / (full - half);
  return [shareFor(need), shareFor(need * (1 + measuring.spare))];
}

/** For one amount of the binder, the fewest scoopings of every other line: first where they will, then as much as is needed. */
function withAmount(batch: BatchMasses, measuring: Measuring, amount: ScoopedAmount): Tried {
  const lines = linesToMeasure(batch, measuring.moisture);
  const at = binderAt(lines);
  const binder = defined(lines[at]);
  const size = amount.volume / binder.room;
  const measure = (within: Window): Tried => {
    const measures = lines.map((line, i) =>
      i === at ? scooped(binder, amount) : byScoops(sizedLine(line, size), within, measuring.vessels),
    );
    return tried(measuredBatch(batch, 'scoops', measures, measuring), batch, measuring);
  };
  const [low, high] = [1 - RATIO_TOLERANCE, 1 + RATIO_TOLERANCE];
  const free = measure([low, high]);
  const { short, over } = free.faults;
  if (short + over === 0) return free;
  const [least, most] = sharesOf(batch, measuring, size);
  const raised = Math.max(low, least);
  const bound = measure([raised, Math.min(high, Math.max(raised, most))]);
  return better(bound, free);
}

/** By several scoops: over the amounts of the binder that they give, the fewest scoopings in all. */
function measureByScoops(batch: BatchMasses, given: Measuring): MeasuredBatch {
  const vessels = { ...given.vessels, scoops: given.vessels.scoops.slice(0, MOST_VESSELS) };
  const measuring = { ...given, vessels };
  const { moisture, spare } = measuring;
  const lines = linesToMeasure(batch, moisture);
  const at = binderAt(lines);
  const { room } = defined(lines[at]);
  const [least, most] = reach(spare);
  const [low, high] = [least * (1 - RATIO_TOLERANCE), 1 + RATIO_TOLERANCE];
  const ofOthers = lines.reduce((sum, line, i) => {
    const within = [line.room * low * (1 - RATIO_TOLERANCE), line.room * most * high] as const;
    return sum + (i === at ? 0 : (fewestScoops(within, vessels.scoops, vessels.step)?.scoopings ?? 0));
  }, 0);
  let best: Tried | undefined;
  for (const scoop of vessels.scoops) {
    const alone = measureBySizes(batch, 'scoop', { ...measuring, vessels: { ...vessels, scoop } });
    best = better(tried({ ...alone, way: 'scoops' }, batch, measuring), best);
  }
  for (const [from, to] of [
    [low, high],
    [high, most],
  ] as const) {
    for (const amount of binderAmounts([room * from, room * to], vessels).slice(0, MOST_SIZES)) {
      if (best && isSound(best.faults) && amount.scoopings + ofOthers > best.found.measures) break;
      best = better(withAmount(batch, measuring, amount), best);
    }
    if (best && isSound(best.faults)) break;
  }
  return defined(best).found;
}

/**
 * A batch (masses, g, its spare in it) as it is best measured out in one way: never less than the need where the way can do
 * that, every ratio within 3 % of the recipe, water to cement under its ceiling, no more left over than the spare; then the
 * fewest scoopings, and the size nearest to the one measuring for. What a way has no vessel for is weighed.
 * @throws InputError on a scale or a scoop of no size
 */
export function measureBatch(batch: BatchMasses, way: MeasuringWay, measuring: Measuring): MeasuredBatch {
  const { scoop, scoops, scaleStep } = measuring.vessels;
  requireNumber('scaleStep', scaleStep, msg('mixes.scaleStep'), { above: 0, max: 1000, unit: 'g' });
  for (const { name, volume } of scoop ? [scoop, ...scoops] : scoops)
    requireNumber('scoop.volume', volume, msg('measuring.volumeOf', { name }), { min: 1, max: 100_000, unit: 'mL' });
  return way === 'scoops' && scoops.length > 0
    ? measureByScoops(batch, measuring)
    : measureBySizes(batch, way, measuring);
}
