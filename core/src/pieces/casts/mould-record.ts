import { defined } from '../../foundation/math/index.js';
import { HOUR } from '../../foundation/units/index.js';
import type { Life } from './life.js';

/** A cast as far as its mould's record wants it. */
export interface CastOfMould {
  readonly life: Life;
  readonly release?: string | undefined;
}

/** What came of a mould so far. */
export interface MouldRecord {
  /** Casts that left the mould, or broke. */
  readonly demoulded: number;
  readonly clean: number;
  /** Median hours from pour to demoulding. */
  readonly hours?: number;
  readonly releases: readonly { readonly release: string; readonly clean: number; readonly casts: number }[];
}

const isClean = ({ life }: CastOfMould) => life.damage.length === 0 && life.brokenAt === undefined;

/** The usual demoulding and outcome of a mould's casts, and the same by what was put on it, most used first. */
export function mouldRecord(casts: readonly CastOfMould[]): MouldRecord {
  const done = casts.filter(({ life }) => life.demouldedAt !== undefined || life.brokenAt !== undefined);
  const hours = done
    .flatMap(({ life }) => (life.demouldedAt === undefined ? [] : [(life.demouldedAt - life.pouredAt) / HOUR]))
    .sort((a, b) => a - b);
  const names = [...new Set(done.flatMap(({ release }) => (release ? [release] : [])))];
  return {
    demoulded: done.length,
    clean: done.filter(isClean).length,
    ...(hours.length > 0 && { hours: defined(hours[Math.floor(hours.length / 2)]) }),
    releases: names
      .map((release) => {
        const own = done.filter((cast) => cast.release === release);
        return { release, clean: own.filter(isClean).length, casts: own.length };
      })
      .sort((a, b) => b.casts - a.casts),
  };
}
