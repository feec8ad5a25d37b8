import type { SettingClass } from '../cure/index.js';
import { reckonDryDown, sealers, type DryDown, type SealerKind } from '../finish/index.js';
import type { Expected } from '../pours/index.js';
import type { Life } from './life.js';

const HOUR = 3_600_000;

/** Whether a piece may be sealed now, and if not why. */
export interface Gate {
  readonly open: boolean;
  /** Sentences that say what is missing; empty when open. */
  readonly reasons: readonly string[];
  readonly dryDown: DryDown;
}

/** Judges a piece for a sealer at `now` (ms): its weighings and its age. A coat on a sealed piece is judged as the first was. */
export function sealingGate(
  life: Life,
  expected: Expected,
  setting: SettingClass,
  sealer: SealerKind,
  now: number,
): Gate {
  const dryDown = reckonDryDown(life.weighings, expected, setting, sealers[sealer].film);
  const age = (now - life.pouredAt) / HOUR;
  const reasons = [...dryDown.missing];
  if (age < dryDown.leastHour) {
    reasons.push(`It is ${(age / 24).toFixed(1)} days old; it should be at least ${dryDown.leastHour / 24}.`);
  }
  return { open: reasons.length === 0, reasons, dryDown };
}
