import { msg, type Checker, type Phrase } from '../../foundation/units/index.js';
import type { SettingTimes } from '../binders/index.js';

/** Pot life up to half a day, min, and initial set up to three days, h. */
const LIMITS = { potLife: { min: 1, max: 720 }, initialSet: { min: 0.05, max: 72 } } as const;

/** Refuses times that no binder has, and a set before the end of the pot life. */
export function checkTimes(check: Checker, path: string, of: Phrase, times: SettingTimes = {}): void {
  const { potLife, initialSet } = times;
  if (potLife !== undefined)
    check.number(`${path}.potLife`, potLife, msg('materials.potLifeOf', { of }), { ...LIMITS.potLife, unit: 'min' });
  if (initialSet !== undefined)
    check.number(`${path}.initialSet`, initialSet, msg('materials.initialSetOf', { of }), {
      ...LIMITS.initialSet,
      unit: 'h',
    });
  check.expect(
    !(potLife !== undefined && initialSet !== undefined && potLife > initialSet * 60),
    `${path}.potLife`,
    potLife,
    msg('materials.potLifeTooLong', { of }),
    msg('materials.enterTimes'),
  );
}
