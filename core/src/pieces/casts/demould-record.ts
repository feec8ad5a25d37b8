import { defined } from '../../foundation/math/index.js';
import type { DemouldCame, DemouldRecord } from '../../process/curing/index.js';
import type { DamageCause, Force, Spot } from './events.js';
import type { Life } from './life.js';

/** Where a piece breaks that came out too early. */
const EARLY_SPOTS: readonly Spot[] = ['corner', 'rim', 'face'];

/** What damage is put down to until the caster says otherwise; undefined where there is none. */
export function usualCause(damage: Life['damage'], force: Force | undefined): DamageCause | undefined {
  if (damage.length === 0) return force === 'fought' ? 'stuck' : undefined;
  if (force === 'fought') return 'stuck';
  return damage.some(({ spot }) => EARLY_SPOTS.includes(spot)) ? 'early' : 'stuck';
}

/** How a demoulding counts: one that was dropped or stuck teaches nothing about how early is too early. */
export function demouldCame({ damage, demould }: Pick<Life, 'damage' | 'demould'>): DemouldCame {
  const cause = demould?.cause ?? usualCause(damage, demould?.force);
  if (cause === undefined) return 'clean';
  return cause === 'early' ? 'too-early' : 'otherwise';
}

/** The demouldings of casts of one mould and mix, in the order of time, as far as their age is known. */
export function demouldRecords(lives: readonly Life[]): DemouldRecord[] {
  return lives
    .filter(({ demould, demouldedAt }) => demould?.age !== undefined && demould.age > 0 && demouldedAt !== undefined)
    .sort((a, b) => defined(a.demouldedAt) - defined(b.demouldedAt))
    .map((life) => ({ age: defined(defined(life.demould).age), came: demouldCame(life) }));
}
