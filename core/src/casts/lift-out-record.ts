import type { LiftOutCame, LiftOutRecord } from '../cure/index.js';
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

/** How a lift-out counts: one that was dropped or stuck teaches nothing about how early is too early. */
export function liftOutCame({ damage, liftOut }: Pick<Life, 'damage' | 'liftOut'>): LiftOutCame {
  const cause = liftOut?.cause ?? usualCause(damage, liftOut?.force);
  if (cause === undefined) return 'clean';
  return cause === 'early' ? 'too-early' : 'otherwise';
}

/** The lift-outs of casts of one mould and mix, in the order of time, as far as their age is known. */
export function liftOutRecords(lives: readonly Life[]): LiftOutRecord[] {
  return lives
    .filter(({ liftOut, liftedAt }) => liftOut?.age !== undefined && liftOut.age > 0 && liftedAt !== undefined)
    .sort((a, b) => a.liftedAt! - b.liftedAt!)
    .map((life) => ({ age: life.liftOut!.age!, came: liftOutCame(life) }));
}
