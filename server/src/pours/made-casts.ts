import {
  calculateMix,
  cementMass,
  expectedByLog,
  isAccelerated,
  isLightweight,
  loggedBatch,
  mainColour,
  type PourLog,
  type PourPart,
  faceColouringOf,
  typedInitialSet,
} from '@dewpot/core';
import type { PourFinish } from '@dewpot/contract';

/** The casts that a finished pour makes, with what each is calculated to weigh and lose by what really went in. @throws InputError */
export function castsOf(parts: readonly (PourPart & { readonly log: PourLog })[], { casts }: PourFinish) {
  const kinds = parts.flatMap(({ items, plan, log, mixId, mixName, colour }) => {
    const expected = expectedByLog(plan, log);
    const batch = loggedBatch(plan, log);
    const ofMix = {
      mixId,
      mixName,
      binderClass: plan.binderClass,
      ratio: batch.freeWater / Math.max(1, cementMass(batch.portions)),
      lightweight: isLightweight(plan.mix),
      accelerated: isAccelerated(plan.mix),
      initialSet: typedInitialSet(plan.mix, plan.binderClass),
      exposure: plan.mix.exposure,
      strength: calculateMix(plan.mix, plan.conditions).strength.value,
    };
    return plan.items.map((item, i) => {
      const faceColouring = faceColouringOf(item);
      const { name: mouldName, shape, piece, mouldId } = item;
      return {
        at: items[i]!,
        mouldId,
        expected: expected[i]!,
        snapshot: {
          mouldName,
          ...ofMix,
          shape,
          piece,
          colour: faceColouring ? mainColour(faceColouring) : colour,
          faceColouring,
        },
      };
    });
  });
  return casts.flatMap(({ id, item }) =>
    kinds.filter(({ at }) => at === item).map(({ at: _, ...kind }) => ({ id, item, ...kind })),
  );
}
