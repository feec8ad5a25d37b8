import { isBinder, lotInUse } from '../../mixing/materials/index.js';
import { cementMass, isPigment, type Dose } from '../../mixing/mixes/index.js';
import {
  colourDifference,
  dosedAs,
  mixBase,
  tintBaseOf,
  tintedBase,
  type BatchColour,
  type KnownColours,
  type Spectrum,
} from '../../mixing/tints/index.js';
import type { PourPlan } from './plan.js';
import { loggedBatch, type PourLog } from './pour-log.js';
import type { SheetDose } from './sheet-doses.js';
import type { Sheet } from './sheet.js';

/** How far rounding on the scale takes a tint, ΔE00. */
function rounding(base: Spectrum, doses: readonly Dose[], weighed: readonly SheetDose[], known: KnownColours): number {
  const pigments = doses.filter(({ material }) => isPigment(material) && material.colour);
  if (pigments.length === 0) return 0;
  const off = pigments.map((dose) => {
    const found = weighed.find(({ materialId }) => materialId === dose.material.id);
    return found && found.mass.value > 0 ? { ...dose, amount: (dose.amount * found.onScale) / found.mass.value } : dose;
  });
  const colour = (of: readonly Dose[]) =>
    tintedBase(
      base,
      of.map((dose) => dosedAs(dose, known)),
    );
  return colourDifference(colour(pigments), colour(off));
}

/** What of a pour shows in its colour: as it was logged, or as it is planned. @throws InputError where a colour is not known */
export function batchColourOf(
  plan: PourPlan,
  sheet: Sheet,
  known: KnownColours,
  { log, cover = '' }: { readonly log?: PourLog | undefined; readonly cover?: string | undefined } = {},
): BatchColour {
  const { mix } = plan;
  const seen = [...mix.lines, ...(mix.doses ?? [])]
    .map(({ material }) => material)
    .filter((material) => isBinder(material) || isPigment(material));
  const base = mixBase(mix, known);
  const turns = sheet.bucketfuls.map(({ tint, doses }) => ({ doses, of: tint?.doses ?? mix.doses ?? [] }));
  const logged = log && loggedBatch(plan, log);
  return {
    lots: Object.fromEntries(
      seen.flatMap(({ id, name }) => {
        const lot = lotInUse(id, plan.lots);
        return lot ? [[name, String(lot.boughtAt)]] : [];
      }),
    ),
    ratio: logged ? logged.freeWater / Math.max(1, cementMass(logged.portions)) : sheet.mix.ratio.value,
    sand: tintBaseOf(mix)?.sand?.name ?? 'none',
    rounding: Math.max(...turns.map(({ of, doses }) => rounding(base, of, doses, known))),
    cure: cover,
  };
}
