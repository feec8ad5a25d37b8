import { defined } from '../../foundation/math/index.js';
import { sampleSize } from '../../process/sealing/index.js';
import { inOrder } from './code.js';
import type { Life } from './life.js';

/** Pieces that began to dry within so long of each other dry alike, ms. */
const TOGETHER = 12 * 3_600_000;

/** A cast as far as choosing a sample goes. */
export interface SampleCast {
  readonly id: string;
  readonly code: string;
  readonly pourId: string;
  readonly mouldId: string;
  readonly place: string;
  readonly life: Life;
}

/** Like pieces of one pour that dry in one place: what is weighed of some holds for the rest. */
const alike = ({ pourId, mouldId, place }: SampleCast) => `${pourId} ${mouldId} ${place}`;

/** Of like pieces, those that began to dry together: one that was uncovered later, or wetted again, is wetter than the rest. */
function driedTogether<C extends SampleCast>(like: readonly C[]): C[][] {
  const began = ({ life }: C) => life.driesFrom ?? life.pouredAt;
  const groups: C[][] = [];
  for (const cast of [...like].sort((a, b) => began(a) - began(b))) {
    const group = groups[groups.length - 1];
    if (group && began(cast) - began(defined(group[0])) <= TOGETHER) group.push(cast);
    else groups.push([cast]);
  }
  return groups;
}

/**
 * Which of the casts that dry are weighed for others, by the key of the cast: codes of those that stand for it, itself among them
 * where it is weighed. The ones weighed most so far are kept, then in the order of their codes.
 */
export function samplesOf<C extends SampleCast>(casts: readonly C[]): Map<string, readonly C[]> {
  const groups = new Map<string, C[]>();
  for (const cast of casts.filter(({ life }) => life.stage === 'drying'))
    groups.set(alike(cast), [...(groups.get(alike(cast)) ?? []), cast]);
  const samples = new Map<string, readonly C[]>();
  for (const group of [...groups.values()].flatMap(driedTogether)) {
    const weighed = (one: C) => one.life.weighings.length;
    const chosen = [...group]
      .sort((a, b) => weighed(b) - weighed(a) || inOrder.compare(a.code, b.code))
      .slice(0, sampleSize(group.length));
    for (const cast of group) samples.set(cast.id, chosen);
  }
  return samples;
}
