import type { FieldIssue, InputError } from '@dewpot/core/units';

interface More {
  readonly detail?: string;
  readonly errors?: readonly FieldIssue[];
  readonly current?: unknown;
  /** When to try again, s. */
  readonly retryAfter?: number;
}

/** An answer that is an error, in the API's one shape. */
export class ProblemError extends Error {
  readonly detail: string;
  readonly errors: readonly FieldIssue[];
  readonly current?: unknown;
  readonly retryAfter?: number;

  constructor(
    readonly status: number,
    readonly title: string,
    more: More = {},
  ) {
    super(title);
    this.detail = more.detail ?? title;
    this.errors = more.errors ?? [];
    if (more.current !== undefined) this.current = more.current;
    if (more.retryAfter !== undefined) this.retryAfter = more.retryAfter;
  }

  /** One thing in what was sent cannot be, said as it is. */
  static refused(title: string, field: string, value: unknown, message: string, remedy: string): ProblemError {
    return new ProblemError(422, title, { detail: message, errors: [{ field, value, message, remedy }] });
  }

  /** What core refused. */
  static of({ issues }: Pick<InputError, 'issues'>): ProblemError {
    return new ProblemError(422, 'Some values are invalid', {
      detail: issues.map(({ message }) => message).join(' '),
      errors: issues,
    });
  }

  /** An error that came from elsewhere as plain data. */
  static from({ status, title, ...more }: More & { readonly status: number; readonly title: string }): ProblemError {
    return new ProblemError(status, title, more);
  }

  /** The database does not answer. */
  static away(): ProblemError {
    const detail = 'The database does not answer. Try again in a few seconds. Nothing of this was saved.';
    return new ProblemError(503, 'Not available just now', { detail, retryAfter: 2 });
  }

  /** Nothing of that kind is in this workshop. */
  static notFound(what: string): ProblemError {
    return new ProblemError(404, 'Not here', {
      detail: `There is no such ${what} in this workshop. It may have been removed.`,
    });
  }
}
