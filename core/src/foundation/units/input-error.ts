/** One thing wrong with what was entered: where it stands, what stands there, and how to mend it. */
export interface FieldIssue {
  /** Path of the field, dots between the steps: `cores.0.solid.topDiameter`. */
  readonly field: string;
  readonly value: unknown;
  /** What is wrong, as a sentence. */
  readonly message: string;
  /** What to do about it, as a sentence. */
  readonly remedy: string;
}

/** Refusal of an input. Carries every issue that was found, not only the first. */
export class InputError extends Error {
  constructor(readonly issues: readonly FieldIssue[]) {
    super(issues.map((issue) => `${issue.field}: ${issue.message}`).join('; '));
    this.name = 'InputError';
  }
}

/** Allowed range of a number, both ends included unless `above` is given. */
export interface Range {
  readonly min?: number;
  readonly max?: number;
  /** The number must be greater than this, and may not equal it. */
  readonly above?: number;
  readonly unit?: string;
}

function describeRange({ min, max, above, unit = '' }: Range): string {
  const end = unit ? ` ${unit}` : '';
  const low = above !== undefined ? `more than ${above}${end}` : min !== undefined ? `at least ${min}${end}` : '';
  const high = max !== undefined ? `at most ${max}${end}` : '';
  return [low, high].filter(Boolean).join(' and ');
}

/** Collects the issues of one input, so that a person sees all of them at once. */
export class Checker {
  private readonly found: FieldIssue[] = [];

  /** Notes that `value` is not a finite number within `range`; answers whether it is. */
  number(field: string, value: unknown, name: string, range: Range): value is number {
    const allowed = describeRange(range);
    if (typeof value !== 'number' || !Number.isFinite(value)) {
      this.add(field, value, `${name} is not a number.`, `Enter a number of ${allowed || 'any size'}.`);
      return false;
    }
    const ok =
      value >= (range.min ?? -Infinity) && value <= (range.max ?? Infinity) && value > (range.above ?? -Infinity);
    if (!ok) {
      const unit = range.unit ? ` ${range.unit}` : '';
      this.add(field, value, `${name} is ${value}${unit}.`, `Enter ${allowed}.`);
    }
    return ok;
  }

  /** Notes an issue where `holds` is false. */
  expect(holds: boolean, field: string, value: unknown, message: string, remedy: string): void {
    if (!holds) this.add(field, value, message, remedy);
  }

  add(field: string, value: unknown, message: string, remedy: string): void {
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
export function requireNumber(field: string, value: unknown, name: string, range: Range): number {
  const check = new Checker();
  check.number(field, value, name, range);
  check.done();
  return value as number;
}
