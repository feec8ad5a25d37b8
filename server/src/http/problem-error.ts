import type { FieldIssue } from '@dewpot/core';

/** An answer that is an error, in the API's one shape. */
export class ProblemError extends Error {
  readonly detail: string;
  readonly errors: readonly FieldIssue[];
  readonly current?: unknown;

  constructor(
    readonly status: number,
    readonly title: string,
    more: { detail?: string; errors?: readonly FieldIssue[]; current?: unknown } = {},
  ) {
    super(title);
    this.detail = more.detail ?? title;
    this.errors = more.errors ?? [];
    if (more.current !== undefined) this.current = more.current;
  }

  /** One thing in what was sent cannot be, said as it is. */
  static refused(title: string, field: string, value: unknown, message: string, remedy: string): ProblemError {
    return new ProblemError(422, title, { detail: message, errors: [{ field, value, message, remedy }] });
  }

  /** Nothing of that kind is in this workshop. */
  static notFound(what: string): ProblemError {
    return new ProblemError(404, 'Not here', {
      detail: `There is no such ${what} in this workshop. It may have been removed.`,
    });
  }
}
