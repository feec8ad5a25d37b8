import { calculateMix, cementMass, isAccelerated, isLightweight, typedInitialSet } from '../../mixing/mixes/index.js';
import { expectedByLog, faceColouringOf, loggedBatch, mainColour, type PourLog } from '../pours/index.js';
import type { PourPart } from './pour-sources.js';

type PouredPart = PourPart & { readonly log: PourLog };

/** A cast that a finished pour makes: its key, which of the pour's items it is of, and which copy of it from 0, where that is told. */
interface MadeCast {
  readonly id: string;
  readonly item: number;
  readonly copy?: number;
}

/** What casts take over from the mix that really went in. */
function ofMix({ plan, log, mixId, mixName }: PouredPart) {
  const batch = loggedBatch(plan, log);
  const initialSet = typedInitialSet(plan.mix, plan.binderClass);
  return {
    mixId,
    mixName,
    binderClass: plan.binderClass,
    ratio: batch.freeWater / Math.max(1, cementMass(batch.portions)),
    lightweight: isLightweight(plan.mix),
    accelerated: isAccelerated(plan.mix),
    ...(initialSet !== undefined && { initialSet }),
    exposure: plan.mix.exposure,
    strength: calculateMix(plan.mix, plan.conditions).strength.value,
  };
}

/** What casts of each item of a part are, and what each is expected to weigh and to lose. */
function kindsOf(part: PouredPart) {
  const { items, plan, log, colour } = part;
  const shared = ofMix(part);
  return expectedByLog(plan, log).flatMap((expected, i) => {
    const [item, at] = [plan.items[i], items[i]];
    if (!item || at === undefined) return [];
    const { name: mouldName, shape, piece, mouldId } = item;
    const faceColouring = faceColouringOf(item);
    const look = faceColouring ? { colour: mainColour(faceColouring), faceColouring } : { colour };
    return [{ at, mouldId, expected, snapshot: { mouldName, ...shared, shape, piece, ...look } }];
  });
}

/** The casts that a finished pour makes, with what each is calculated to weigh and lose by what really went in. @throws InputError */
export function castsOf(parts: readonly PouredPart[], casts: readonly MadeCast[]) {
  const kinds = parts.flatMap(kindsOf);
  return casts.flatMap((cast) =>
    kinds.filter(({ at }) => at === cast.item).map(({ at: _, ...kind }) => ({ ...cast, ...kind })),
  );
}
