import { defined } from '../../foundation/math/index.js';
import { lightness } from '../../mixing/tints/index.js';
import { tintVolumes, type TintVolume } from './layers.js';
import type { PourItem, PourTint } from './plan.js';

/** What one kind of mould takes of a turn's tint. */
interface TurnShare {
  readonly item: PourItem;
  /** Which of the pour's items, from 0. */
  readonly at: number;
  /** Which layer of it, from 0 at the bottom. */
  readonly layer: number;
  /** mL in each of its moulds. */
  readonly volume: number;
}

/** One tint's turn at the bench, with all that is filled from it. */
export interface Turn {
  readonly tint: PourTint;
  readonly shares: readonly TurnShare[];
}

/** A mould on its way through its layers. */
interface Queue {
  readonly item: PourItem;
  readonly at: number;
  readonly parts: readonly TintVolume[];
  /** Whether one part must wait for the one below. */
  readonly inOrder: boolean;
  taken: number[];
}

const open = ({ parts, inOrder, taken }: Queue): number[] => {
  const left = parts.map((_, i) => i).filter((i) => !taken.includes(i));
  return inOrder ? left.slice(0, 1) : left;
};

/**
 * The tints of a pour in their turns: pale before dark, as far as layers that lie on each other let it be; moulds that
 * want the same tint at the same turn are filled from one batch, so that they match.
 */
export function turnsOf(items: readonly PourItem[]): Turn[] {
  const queues: Queue[] = items.map((item, at) => ({
    item,
    at,
    parts: tintVolumes(item),
    inOrder: item.colouring?.kind === 'banded' || item.colouring?.kind === 'splash',
    taken: [],
  }));
  const turns: Turn[] = [];
  for (;;) {
    const heads = queues.flatMap((queue) =>
      open(queue).map((layer) => ({ queue, layer, ...defined(queue.parts[layer]) })),
    );
    if (heads.length === 0) return turns;
    const { tint } = heads.reduce((pale, one) =>
      lightness(one.tint.colour) > lightness(pale.tint.colour) + 1e-9 ? one : pale,
    );
    const now = heads.filter((one) => one.tint.id === tint.id);
    turns.push({
      tint,
      shares: now.map(({ queue, layer, volume }) => ({ item: queue.item, at: queue.at, layer, volume })),
    });
    for (const { queue, layer } of now) queue.taken = [...queue.taken, layer];
  }
}
