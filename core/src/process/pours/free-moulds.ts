import { msg, type Message } from '../../foundation/units/index.js';
/** A mould that is still full: a cast sets in it. */
export interface FullMould {
  readonly mouldId: string;
  /** What is written on the copy; undefined where it was not told. */
  readonly mark?: string | undefined;
  /** When its demoulding is good, ms. */
  readonly freeAt: number;
  readonly place?: string | undefined;
  /** What stands in it, and what that weighs fresh, g. */
  readonly name?: string;
  readonly mass?: number;
  /** It cannot be moved, whatever it weighs. */
  readonly fixed?: boolean;
}

/** A copy of a mould that somebody owns. */
export interface OwnedCopy {
  readonly mark: string;
  readonly retired: boolean;
  readonly leaks: boolean;
}

/** Which copies of a mould can be filled now. */
export interface FreeMoulds {
  /** How many; undefined where there is no count to go by: a form that is made again, or copies that were not listed. */
  readonly free?: number;
  /** Those that stand full, what comes free first at the head. */
  readonly full: readonly FullMould[];
  /** What stands in the way of so many, in a sentence with the way out; undefined where nothing does. */
  readonly short?: Message;
}

/**
 * Which copies of a mould are free for a pour that wants `count` of it: those owned that are neither given up nor leak,
 * less those that stand full. A form that is used once, or of which no copy is listed, is always free.
 */
export function freeMoulds(
  { name, once = false, copies }: { readonly name: string; readonly once?: boolean | undefined; readonly copies: readonly OwnedCopy[] }, // prettier-ignore
  full: readonly FullMould[],
  count: number,
): FreeMoulds {
  const standing = [...full].sort((a, b) => a.freeAt - b.freeAt);
  if (once || copies.length === 0) return { full: once ? [] : standing };
  const sound = copies.filter(({ retired, leaks }) => !retired && !leaks).length;
  const free = Math.max(0, sound - standing.length);
  if (count <= free) return { free, full: standing };
  const leaking = copies.filter(({ retired, leaks }) => !retired && leaks).length;
  if (free === 0 && leaking === 0 && standing.length > 0)
    return { free, full: standing, short: msg('pours.allFull', { name }) };
  return {
    free,
    full: standing,
    short: msg('pours.fewFree', { name, free, full: standing.length, leaking }),
  };
}
