import { defined } from '../../foundation/math/index.js';
import { requireNumber, msg } from '../../foundation/units/index.js';
/** One mould to be filled, mL of mix it takes. */
export interface Fill {
  readonly id: string;
  readonly volume: number;
  /** It may be filled from more than one batch; one that wants more than a batch always is. */
  readonly split?: boolean;
}

/** What of a fill goes into one batch, mL. */
interface FillPart {
  readonly id: string;
  readonly volume: number;
}

/** What a batch can be. */
export interface BatchLimits {
  /** Most mix the bucket takes, mL: two thirds of its brim. */
  readonly volume: number;
  /** Moulds that can be filled while the mix is workable; a part of one counts where moulds are split. */
  readonly moulds: number;
}

/** How a pour is split. */
export interface BatchSplit {
  readonly count: number;
  /** What goes into each batch. */
  readonly dealt: readonly (readonly FillPart[])[];
  /** Whether a mould is filled from more than one batch. */
  readonly shared: boolean;
}

/** Share of the pot life within which a batch must be placed. */
export const WORKABLE_SHARE = 0.7;

/** Moulds, parts included, that can be filled from one batch: (0.7·pot life − mixing) ÷ filling, all minutes. */
export function mouldsPerBatch(potLife: number, mixing: number, filling: number): number {
  return (WORKABLE_SHARE * potLife - mixing) / filling;
}

/** Whether each mould can be filled from batches that last for so many: whole, or where all may be split a part of one. */
export const filledInTime = (fills: readonly Pick<Fill, 'split'>[], moulds: number): boolean =>
  moulds >= 1 || (moulds > 0 && fills.every(({ split }) => split));

/** A batch while it is dealt out: its parts, what they come to, and how many moulds they fill. */
interface Batch {
  readonly parts: FillPart[];
  volume: number;
  moulds: number;
}

const emptyBatches = (count: number): Batch[] =>
  Array.from({ length: count }, () => ({ parts: [], volume: 0, moulds: 0 }));

const takes = (batch: Batch, { volume }: Fill, limits: BatchLimits) =>
  batch.moulds + 1 <= limits.moulds + 1e-9 && batch.volume + volume <= limits.volume + 1e-9;

function put(batch: Batch, { id, volume: whole }: Fill, volume = whole): void {
  batch.parts.push({ id, volume });
  batch.volume += volume;
  batch.moulds += volume / whole;
}

function takeBack(batch: Batch): void {
  batch.volume -= defined(batch.parts.pop()).volume;
  batch.moulds -= 1;
}

function deal(fills: readonly Fill[], count: number, limits: BatchLimits): Batch[] | undefined {
  const batches = emptyBatches(count);
  for (const fill of fills) {
    const room = batches.filter((batch) => takes(batch, fill, limits));
    if (room.length === 0) return undefined;
    put(
      room.reduce((best, batch) => (batch.volume < best.volume ? batch : best)),
      fill,
    );
  }
  return batches;
}

/** Ways tried before the even deal is taken: beyond, a better one is not looked for. */
const MOST_TRIES = 20_000;

/** Moulds of one pour, and batches that it is split into. */
const MOST_MOULDS = 500;
const MOST_BATCHES = 500;

/** What a batch of up to 200 L holds, as one number: its moulds, and its volume to a millionth of a mL. */
const stateOf = ({ parts, volume }: Batch): number => Math.round(volume * 1e6) * (MOST_MOULDS + 1) + parts.length;

/** Looks for a way to deal fills, biggest first, into so many batches; undefined where there is none, or none was found in time. */
function search(
  fills: readonly Fill[],
  count: number,
  limits: BatchLimits,
  budget: { tries: number },
): Batch[] | undefined {
  const batches = emptyBatches(count);
  const place = (at: number): boolean => {
    const fill = fills[at];
    if (!fill) return true;
    const seen = new Set<number>();
    for (const batch of batches) {
      if (!takes(batch, fill, limits)) continue;
      // Batches that are filled alike are one choice.
      const state = stateOf(batch);
      if (seen.has(state)) continue;
      seen.add(state);
      if (--budget.tries < 0) return false;
      put(batch, fill);
      if (place(at + 1)) return true;
      takeBack(batch);
    }
    return false;
  };
  return place(0) ? batches : undefined;
}

/** Less than this is no part of a mould, mL. */
const NOTHING = 1e-6;

/**
 * Fills what may be split into the room that is left, one mould after another: first as evenly as it goes, then to the
 * brim. Tells whether all of it found room.
 */
function spread(batches: readonly Batch[], fills: readonly Fill[], limits: BatchLimits): boolean {
  const total = [...batches, ...fills].reduce((sum, { volume }) => sum + volume, 0);
  const left = new Map(fills.map((fill) => [fill, fill.volume]));
  for (const level of [Math.min(limits.volume, total / batches.length), limits.volume])
    for (const fill of fills)
      for (const batch of batches) {
        const room = Math.min(level - batch.volume, (limits.moulds - batch.moulds) * fill.volume);
        const part = Math.min(defined(left.get(fill)), room);
        if (part <= NOTHING) continue;
        put(batch, fill, part);
        left.set(fill, defined(left.get(fill)) - part);
      }
  return [...left.values()].every((rest) => rest <= NOTHING * 10);
}

/** The parts of a batch, those of one mould together. */
const together = ({ parts }: Batch): FillPart[] =>
  [...new Set(parts.map(({ id }) => id))].map((id) => ({
    id,
    volume: parts.reduce((sum, part) => sum + (part.id === id ? part.volume : 0), 0),
  }));

/** Fills in an order in which big and small ones take turns, so that every stretch of it is near the average. */
function evenly(fills: readonly Fill[]): Fill[] {
  const biggestFirst = [...fills].sort((a, b) => b.volume - a.volume);
  const average = fills.reduce((sum, { volume }) => sum + volume, 0) / fills.length;
  const found: Fill[] = [];
  let volume = 0;
  while (biggestFirst.length > 0) {
    const next = defined(volume <= average * found.length ? biggestFirst.shift() : biggestFirst.pop());
    found.push(next);
    volume += next.volume;
  }
  return found;
}

/** Deals fills, biggest first, whole into so many batches, and those that are split into the room that is left. */
function dealOut(
  [whole, split]: readonly [whole: readonly Fill[], split: readonly Fill[]],
  count: number,
  limits: BatchLimits,
  budget: { tries: number },
): Batch[] | undefined {
  const batches = deal(whole, count, limits) ?? search(whole, count, limits, budget);
  return batches && spread(batches, evenly(split), limits) ? batches : undefined;
}

/**
 * Smallest number of batches that takes all fills, each within the limits, as even as it goes. Moulds are filled whole,
 * dealt out biggest first; only where that saves a batch are those split that may be. Undefined where a mould cannot be
 * filled within the pot life. @throws InputError beyond 500 moulds or 500 batches
 */
export function splitIntoBatches(fills: readonly Fill[], limits: BatchLimits): BatchSplit | undefined {
  requireNumber('items', fills.length, msg('pours.mouldCount'), { max: MOST_MOULDS });
  if (limits.volume <= 0 || !filledInTime(fills, limits.moulds)) return undefined;
  const biggestFirst = [...fills].sort((a, b) => b.volume - a.volume);
  const oversized = ({ volume }: Fill) => volume > limits.volume;
  const parted = (split: (fill: Fill) => boolean) =>
    [biggestFirst.filter((fill) => !split(fill)), biggestFirst.filter(split)] as const;
  const ways = [parted(oversized), parted((fill) => fill.split === true || oversized(fill))] as const;
  const total = fills.reduce((sum, { volume }) => sum + volume, 0);
  const least = Math.max(
    1,
    Math.ceil(total / limits.volume - 1e-9),
    Math.ceil(fills.length / limits.moulds - 1e-9),
    ways[1][0].length > 0 ? Math.ceil(ways[1][0].length / Math.floor(limits.moulds)) : 0,
  );
  requireNumber('bucket', least, msg('pours.batchCount'), { max: MOST_BATCHES });
  const budget = { tries: MOST_TRIES };
  // Each whole mould in a batch of its own, and as many empty ones as either limit asks for: by then all fit.
  const enough = fills.length + 2 * least;
  for (let count = least; count <= enough; count++) {
    const batches = dealOut(ways[0], count, limits, budget) ?? dealOut(ways[1], count, limits, budget);
    if (!batches) continue;
    const dealt = batches.map(together).filter((parts) => parts.length > 0);
    const parts = dealt.reduce((sum, one) => sum + one.length, 0);
    return { count: dealt.length, dealt, shared: parts > fills.length };
  }
  throw new Error(`${fills.length} moulds do not fit into ${enough} batches.`);
}
