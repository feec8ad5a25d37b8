import { msg, fixed, type Message } from '../../foundation/units/index.js';
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
export function matchWarnings(before: BatchColour, now: BatchColour): Message[] {
  const found = Object.entries(now.lots)
    .filter(([material, lot]) => before.lots[material] !== undefined && before.lots[material] !== lot)
    .map(([material]) => msg('tints.otherLot', { material }));
  found.push(
    ...Object.keys(before.lots)
      .filter((material) => now.lots[material] === undefined)
      .map((material) => msg('tints.onlyThere', { material })),
  );
  const apart = now.ratio - before.ratio;
  if (Math.abs(apart) > RATIO_APART)
    found.push(
      msg('tints.ratioApart', {
        apart: fixed(Math.abs(apart), 2),
        higher: apart > 0 ? 'yes' : 'no',
      }),
    );
  if (before.sand !== now.sand) found.push(msg('tints.otherSand'));
  if (now.rounding > SEEN) found.push(msg('tints.roundingShows', { rounding: fixed(now.rounding, 1) }));
  if (before.cure !== now.cure)
    found.push(
      before.cure && now.cure
        ? msg('tints.curesDifferently', { now: now.cure, before: before.cure })
        : msg('tints.coverUnknown', { cure: before.cure || now.cure }),
    );
  return found;
}
