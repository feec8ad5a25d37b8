import { requireNumber } from '../units/index.js';
/** One mould to be filled, mL of mix it takes. */
export interface Fill {
  readonly id: string;
  readonly volume: number;
}

/** What a batch can be. */
export interface BatchLimits {
  /** Most mix the bucket takes, mL: two thirds of its brim. */
  readonly volume: number;
  /** Moulds that can be filled while the mix is workable; a part of one counts where moulds are shared. */
  readonly moulds: number;
}

/** How a pour is split. Where one mould wants more than a batch, moulds are shared between equal batches. */
export interface BatchSplit {
  readonly count: number;
  /** Which fills go into which batch; empty where moulds are shared between batches. */
  readonly dealt: readonly (readonly string[])[];
  readonly shared: boolean;
}

/** Share of the pot life within which a batch must be placed. */
export const WORKABLE_SHARE = 0.7;

/** Moulds, parts included, that can be filled from one batch: (0.7·pot life − mixing) ÷ filling, all minutes. */
export function mouldsPerBatch(potLife: number, mixing: number, filling: number): number {
  return (WORKABLE_SHARE * potLife - mixing) / filling;
}

function deal(fills: readonly Fill[], count: number, limits: BatchLimits): string[][] | undefined {
  const batches = Array.from({ length: count }, () => ({ ids: [] as string[], volume: 0 }));
  for (const fill of fills) {
    const room = batches.filter(
      (batch) => batch.ids.length < limits.moulds && batch.volume + fill.volume <= limits.volume + 1e-9,
    );
    if (room.length === 0) return undefined;
    const emptiest = room.reduce((best, batch) => (batch.volume < best.volume ? batch : best));
    emptiest.ids.push(fill.id);
    emptiest.volume += fill.volume;
  }
  return batches.map(({ ids }) => ids);
}

/** Ways tried before the even deal is taken: beyond, a better one is not looked for. */
const MOST_TRIES = 20_000;

/** Moulds of one pour, and batches that it is split into. */
const MOST_MOULDS = 500;
const MOST_BATCHES = 500;

/** Looks for a way to deal fills, biggest first, into so many batches; undefined where there is none, or none was found in time. */
function search(
  fills: readonly Fill[],
  count: number,
  limits: BatchLimits,
  budget: { tries: number },
): string[][] | undefined {
  const batches = Array.from({ length: count }, () => ({ ids: [] as string[], volume: 0 }));
  const place = (at: number): boolean => {
    const fill = fills[at];
    if (!fill) return true;
    const seen = new Set<string>();
    for (const batch of batches) {
      // Batches that are filled alike are one choice.
      const state = `${batch.ids.length} ${batch.volume.toFixed(6)}`;
      if (seen.has(state)) continue;
      seen.add(state);
      if (batch.ids.length >= limits.moulds || batch.volume + fill.volume > limits.volume + 1e-9) continue;
      if (--budget.tries < 0) return false;
      batch.ids.push(fill.id);
      batch.volume += fill.volume;
      if (place(at + 1)) return true;
      batch.ids.pop();
      batch.volume -= fill.volume;
    }
    return false;
  };
  return place(0) ? batches.map(({ ids }) => ids) : undefined;
}

/**
 * Smallest number of batches that takes all fills, dealt out biggest first, each within the limits; as even as it goes.
 * Undefined where no mould can be filled within the pot life.
 * @throws InputError beyond 500 moulds or 500 batches
 */
export function splitIntoBatches(fills: readonly Fill[], limits: BatchLimits): BatchSplit | undefined {
  requireNumber('items', fills.length, 'The number of moulds', { max: MOST_MOULDS });
  if (limits.moulds < 1 || limits.volume <= 0) return undefined;
  const total = fills.reduce((sum, { volume }) => sum + volume, 0);
  const byVolume = Math.ceil(total / limits.volume - 1e-9);
  const byTime = (moulds: number) => Math.ceil(fills.length / moulds - 1e-9);
  if (fills.some(({ volume }) => volume > limits.volume)) {
    const count = Math.max(1, byVolume, byTime(limits.moulds));
    requireNumber('bucket', count, 'The number of batches that the bucket makes', { max: MOST_BATCHES });
    return { count, dealt: [], shared: true };
  }
  const whole = { ...limits, moulds: Math.floor(limits.moulds) };
  const least = Math.max(1, byVolume, byTime(whole.moulds));
  const biggestFirst = [...fills].sort((a, b) => b.volume - a.volume);
  const budget = { tries: MOST_TRIES };
  for (let count = least; count <= fills.length; count++) {
    const dealt = deal(biggestFirst, count, whole) ?? search(biggestFirst, count, whole, budget);
    if (dealt) return { count, dealt, shared: false };
  }
  return { count: fills.length, dealt: fills.map(({ id }) => [id]), shared: false };
}
