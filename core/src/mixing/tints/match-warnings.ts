import { SEEN } from './weighed-tint.js';

/** What of a batch shows in its colour. */
export interface BatchColour {
  /** Lot of each pigment and of the cement, by material. */
  readonly lots: Readonly<Record<string, string>>;
  readonly ratio: number;
  readonly sand: string;
  /** How far its rounded doses take it from the tint, ΔE00. */
  readonly rounding: number;
  /** What it cures under; empty where nobody noted it. */
  readonly cure: string;
}

/** Water to cement further apart than this changes the shade. */
const RATIO_APART = 0.02;

/** In what a batch differs from the one that it is to match, as sentences; none where it will match. */
export function matchWarnings(before: BatchColour, now: BatchColour): string[] {
  const found = Object.entries(now.lots)
    .filter(([material, lot]) => before.lots[material] !== undefined && before.lots[material] !== lot)
    .map(([material]) => `${material} comes from another lot: cast a chip beside the old one first.`);
  found.push(
    ...Object.keys(before.lots)
      .filter((material) => now.lots[material] === undefined)
      .map((material) => `${material} is in the other batch and not in this one: it cannot match.`),
  );
  const apart = now.ratio - before.ratio;
  if (Math.abs(apart) > RATIO_APART)
    found.push(
      `The water–cement ratio is ${Math.abs(apart).toFixed(2)} ${apart > 0 ? 'higher: it dries paler' : 'lower: it dries darker'}.`,
    );
  if (before.sand !== now.sand) found.push('Another sand shows in the face.');
  if (now.rounding > SEEN) found.push(`Rounding its doses shows, ΔE ${now.rounding.toFixed(1)}: make a larger batch.`);
  if (before.cure !== now.cure)
    found.push(
      before.cure && now.cure
        ? `It cures under ${now.cure}, and not ${before.cure}: bloom and damp change it.`
        : `Its cover is not noted for both: keep ${before.cure || now.cure} on each, since bloom and damp change it.`,
    );
  return found;
}
