import { listed, msg, type Message, type Phrase } from '@dewpot/core/units';
import type { TrialKind } from '@dewpot/core/casts';
import { copiesOf, type DealtTrial } from '@dewpot/core/findings';
import type { PourPart } from '@dewpot/core/planning';
import { coverCalled, releaseCalledBy } from './word-names';

export const trialKindNames: Readonly<Record<TrialKind, Message>> = {
  release: msg('findings.wayRelease'),
  cover: msg('findings.wayCover'),
  other: msg('findings.trialOther'),
};

/** A way of a trial in words. */
export function trialWay(kind: TrialKind, way: string): Phrase {
  switch (kind) {
    case 'release':
      return releaseCalledBy(way);
    case 'cover':
      return coverCalled(way);
    case 'other':
      return way;
  }
}

/** Which copies of a pour get each way, mould by mould. */
export const dealtInWords = (trial: DealtTrial, parts: readonly Pick<PourPart, 'items' | 'plan'>[]) =>
  (['a', 'b'] as const).map((side) => ({
    side,
    way: trialWay(trial.kind, trial[side]),
    moulds: parts.flatMap(({ items, plan }) =>
      plan.items.flatMap(({ name }, i) => {
        const copies = copiesOf(trial, items[i] ?? -1, side);
        return copies.length === 0 ? [] : [msg('findings.trialCopies', { name, copies: listed(copies.map(String)) })];
      }),
    ),
  }));
