import { G_PER_OUNCE, G_PER_POUND } from '../../foundation/units/index.js';

/** What a line of a scale's cable shows. */
export interface ScaleLine {
  /** g; below zero where less lies on it than when it was zeroed. */
  readonly mass: number;
  /** Step of the scale as the line writes it, g. */
  readonly step: number;
}

const G_PER: Readonly<Record<string, number>> = { g: 1, kg: 1000, oz: G_PER_OUNCE, lb: G_PER_POUND };

/** Longer lines are none of a scale. */
const MOST_LETTERS = 80;
/** More than a bench scale can show, g. */
const MOST_MASS = 1e6;

/** A number with its unit, as scales of many kinds end their lines: “ST,GS,+  1.234 kg”, “412,5g”. The minus may stand apart. */
const SHOWN = /([-−]?)\s*(\d{1,7})(?:[.,](\d{1,5}))?\s*(kg|g|lb|oz)\b/i;

/** Reads a line of a scale's cable; undefined where it shows no mass, as while it is overloaded. */
export function readScaleLine(line: string): ScaleLine | undefined {
  const [, sign, whole = '', decimals = '', unit = ''] = SHOWN.exec(line.slice(0, MOST_LETTERS)) ?? [];
  const gramsPer = G_PER[unit.toLowerCase()];
  if (gramsPer === undefined) return undefined;
  const mass = Number(`${whole}.${decimals || '0'}`) * gramsPer * (sign ? -1 : 1);
  return Math.abs(mass) < MOST_MASS ? { mass, step: gramsPer / 10 ** decimals.length } : undefined;
}
