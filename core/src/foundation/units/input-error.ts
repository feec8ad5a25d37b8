import type { Unit } from './figure.js';
import { exactly, fixed, msg, neededDecimals, type Message, type MessageValue, type Phrase } from './message.js';

/** One thing wrong with what was entered: where it stands, what stands there, and how to mend it. */
export interface FieldIssue {
  /** Path of the field, dots between the steps: `cores.0.solid.topDiameter`. */
  readonly field: string;
  readonly value: unknown;
  /** What is wrong, as a sentence. */
  readonly message: Message;
  /** What to do about it, as a sentence. */
  readonly remedy: Message;
}

/** Refusal of an input. Carries every issue that was found, not only the first. Its own text is for logs: who reads it sees the issues. */
export class InputError extends Error {
  constructor(readonly issues: readonly FieldIssue[]) {
    super(issues.map((issue) => `${issue.field}: ${issue.message.key}`).join('; '));
    this.name = 'InputError';
  }
}

/** Runs work on a part of an input: what it refuses is told by its place in the whole. */
export function within<T>(path: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw new InputError(error.issues.map((issue) => ({ ...issue, field: `${path}.${issue.field}` })));
  }
}

/** What is wrong and what to do about it, in one message. */
export const issueInWords = ({ message, remedy }: Pick<FieldIssue, 'message' | 'remedy'>): Message =>
  msg('units.issue', { message, remedy });

/** Allowed range of a number, both ends included unless `above` is given. */
export interface Range {
  readonly min?: number;
  readonly max?: number;
  /** The number must be greater than this, and may not equal it. */
  readonly above?: number;
  readonly unit?: Unit;
}

const withUnit = (value: number, unit: Unit | undefined): MessageValue =>
  unit ? exactly(value, unit) : fixed(value, neededDecimals(value));

function describeRange({ min, max, above, unit }: Range): Message {
  const high = max === undefined ? undefined : msg('units.atMost', { max: withUnit(max, unit) });
  if (above === undefined && min === undefined) return high ?? msg('units.anySize');
  const low =
    above === undefined
      ? msg('units.atLeast', { min: withUnit(min ?? 0, unit) })
      : msg('units.moreThan', { above: withUnit(above, unit) });
  return high ? msg('units.bothEnds', { low, high }) : low;
}

/** Collects the issues of one input, so that a person sees all of them at once. */
export class Checker {
  private readonly found: FieldIssue[] = [];

  /** Notes that `value` is not a finite number within `range`; answers whether it is. */
  number(field: string, value: unknown, name: Phrase, range: Range): value is number {
    if (typeof value !== 'number' || !Number.isFinite(value)) {
      this.add(
        field,
        value,
        msg('units.notNumber', { name }),
        msg('units.enterNumber', { range: describeRange(range) }),
      );
      return false;
    }
    const ok =
      value >= (range.min ?? -Infinity) && value <= (range.max ?? Infinity) && value > (range.above ?? -Infinity);
    if (!ok) {
      const shown = withUnit(value, range.unit);
      this.add(
        field,
        value,
        msg('units.outOfRange', { name, value: shown }),
        msg('units.enterRange', { range: describeRange(range) }),
      );
    }
    return ok;
  }

  /** Notes an issue where `holds` is false. */
  expect(holds: boolean, field: string, value: unknown, message: Message, remedy: Message): void {
    if (!holds) this.add(field, value, message, remedy);
  }

  add(field: string, value: unknown, message: Message, remedy: Message): void {
    this.found.push({ field, value, message, remedy });
  }

  get clean(): boolean {
    return this.found.length === 0;
  }

  /** @throws InputError with everything that was noted. */
  done(): void {
    if (!this.clean) throw new InputError(this.found);
  }
}

/** Checks one number at the door of a function. @throws InputError */
export function requireNumber(field: string, value: unknown, name: Phrase, range: Range): number {
  const check = new Checker();
  check.number(field, value, name, range);
  check.done();
  return value as number;
}
