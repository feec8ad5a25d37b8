import { cementMass, expectedByLog, loggedBatch, mainColour, skinOf, type PourLog } from '@dewpot/core';
import type { PourFinish, PourPart } from '@dewpot/contract';

/** The casts that a finished pour makes, with what each is reckoned to weigh and lose by what really went in. @throws InputError */
export function castsOf(parts: readonly (PourPart & { readonly log: PourLog })[], { casts }: PourFinish) {
  const kinds = parts.flatMap(({ items, plan, log, mixName, colour }) => {
    const expected = expectedByLog(plan, log);
    const batch = loggedBatch(plan, log);
    return plan.items.map((item, i) => {
      const skin = skinOf(item);
      const { name: mouldName, shape, piece, mouldId } = item;
      return {
        at: items[i]!,
        mouldId,
        expected: expected[i]!,
        snapshot: {
          mouldName,
          mixName,
          shape,
          piece,
          setting: plan.setting,
          colour: skin ? mainColour(skin) : colour,
          skin,
          ratio: batch.freeWater / Math.max(1, cementMass(batch.portions)),
        },
      };
    });
  });
  return casts.flatMap(({ id, item }) =>
    kinds.filter(({ at }) => at === item).map(({ at: _, ...kind }) => ({ id, item, ...kind })),
  );
}
