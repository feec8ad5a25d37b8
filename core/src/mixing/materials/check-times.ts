import type { Checker } from '../../foundation/units/index.js';
import type { SettingTimes } from '../binders/index.js';

/** Pot life up to half a day, min, and initial set up to three days, h. */
const LIMITS = { potLife: { min: 1, max: 720 }, initialSet: { min: 0.05, max: 72 } } as const;

/** Refuses times that no binder has, and a set before the end of the pot life. */
export function checkTimes(check: Checker, path: string, of: string, times: SettingTimes = {}): void {
  const { potLife, initialSet } = times;
  if (potLife !== undefined)
    check.number(`${path}.potLife`, potLife, `The pot life of ${of}`, { ...LIMITS.potLife, unit: 'min' });
  if (initialSet !== undefined)
    check.number(`${path}.initialSet`, initialSet, `The initial set of ${of}`, { ...LIMITS.initialSet, unit: 'h' });
  check.expect(
    !(potLife !== undefined && initialSet !== undefined && potLife > initialSet * 60),
    `${path}.potLife`,
    potLife,
    `The pot life of ${of} would be longer than its initial set.`,
    'Enter the pot life in minutes and the initial set in hours.',
  );
}
