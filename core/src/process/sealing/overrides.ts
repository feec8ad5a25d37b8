import { msg, fixed, type Message } from '../../foundation/units/index.js';
/** A gate that was overridden, and what came of it. */
export interface Override {
  /** The bound of the water left over the limit, as it was then: above 1. */
  readonly over: number;
  readonly film: boolean;
  /** Undefined until it was looked at. */
  readonly held?: boolean;
}

/** A gate that was overridden: which cast, why, and what came of it. */
export interface OverrideSeen {
  readonly castId: string;
  readonly code: string;
  /** ms */
  readonly at: number;
  readonly reason: string;
  readonly over: number;
  readonly film: boolean;
  readonly held?: boolean;
}

/** How far a caster's own record has moved the limit. */
export interface LearnedEase {
  readonly ease: number;
  /** Good ones that it rests on. */
  readonly records: number;
  readonly told?: Message;
}

const WANTED = 3;
const MOST = 1.5;
/** The limit stays this much below the least that went wrong. */
const BELOW_A_FAULT = 0.9;

/**
 * The limit that follows from overrides: where at least three went well it moves to the third highest of them, at most half as much
 * again, and it stays well below the least that went wrong. Films by themselves; what was not looked at teaches nothing.
 */
export function learnedEase(overrides: readonly Override[], film: boolean): LearnedEase {
  const own = overrides.filter((one) => one.film === film && one.over > 1);
  const bad = own.filter(({ held }) => held === false).map(({ over }) => over);
  const ceiling = Math.min(MOST, BELOW_A_FAULT * Math.min(Infinity, ...bad));
  const good = own
    .filter(({ held }) => held === true)
    .map(({ over }) => over)
    .sort((a, b) => b - a);
  const reached = good[WANTED - 1];
  if (reached === undefined) return { ease: 1, records: good.length };
  const ease = Math.max(1, Math.min(reached, ceiling));
  if (ease === 1) return { ease, records: good.length, told: msg('sealing.overridesBad') };
  return {
    ease,
    records: good.length,
    told: msg('sealing.overridesGood', { good: good.length, ease: fixed(ease, 2) }),
  };
}
