import { tzOffset } from '@date-fns/tz';
import { MINUTE, HOUR, DAY, msg } from '../../foundation/units/index.js';
import type { MistingPlan, Waking } from '../../process/curing/index.js';
import type { Due } from './due.js';
import type { Life } from './life.js';

/** What the open faces of a cast want in the air they stand in. */
export interface Wetting {
  readonly plan: MistingPlan;
  readonly waking: Waking;
  /** IANA name of the zone in which the caster wakes. */
  readonly zone: string;
}

/** A wetting lasts so long at the least before the next is spoken of, and is late by so much, ms. */
const LEAST = 30 * MINUTE;

/** The first waking moment at or after a time, ms. */
export function wakingAt(at: number, { from, to }: Waking, zone: string): number {
  const offset = tzOffset(zone, new Date(at)) * MINUTE;
  const local = at + offset;
  const midnight = Math.floor(local / DAY) * DAY;
  const hour = (local - midnight) / HOUR;
  if (hour >= from && hour <= to) return at;
  return midnight + (hour < from ? 0 : DAY) + from * HOUR - offset;
}

/** When the faces of a cast want water again, or a cover where wetting cannot keep up. */
export function nextWetting(life: Life, { wetting, now }: { readonly wetting?: Wetting; readonly now: number }): Due[] {
  if (!wetting || wetting.plan.wettings === 0 || life.soak) return [];
  const { plan, waking, zone } = wetting;
  const last = Math.max(life.wettedAt ?? 0, life.demouldedAt ?? life.pouredAt);
  if (plan.coverInstead) {
    const good = Math.max(last, life.coveredAt ?? 0);
    const told = msg('casts.coverInstead', { wettings: plan.wettings });
    return [{ task: 'cover', early: good, good: Math.min(good, now), late: good + 2 * HOUR, told }];
  }
  const lasts = Math.max(LEAST, plan.lasts.value * HOUR);
  const good = wakingAt(last + lasts, waking, zone);
  return [{ task: 'wet', early: good - lasts / 3, good, late: good + lasts / 2 }];
}
