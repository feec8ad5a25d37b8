import { msg, type FieldIssue, type InputError, type Message } from '@dewpot/core/units';

/** What came of it: a sentence, or several. */
export type Detail = Message | readonly Message[];

interface More {
  readonly detail?: Detail;
  readonly errors?: readonly FieldIssue[];
  readonly current?: unknown;
  /** When to try again, s. */
  readonly retryAfter?: number;
}

/** Kinds of things that may not be there, as a sentence chooses its word by them. */
export type Thing =
  | 'article'
  | 'calendar'
  | 'cast'
  | 'chip'
  | 'demo'
  | 'event'
  | 'invitation'
  | 'learned'
  | 'lot'
  | 'material'
  | 'mix'
  | 'mould'
  | 'order'
  | 'passkey'
  | 'pattern'
  | 'plan'
  | 'person'
  | 'picture'
  | 'place'
  | 'pour'
  | 'scoop'
  | 'stock'
  | 'tint'
  | 'trial'
  | 'tub'
  | 'webhook'
  | 'workshop';

/** An answer that is an error, in the API's one shape. */
export class ProblemError extends Error {
  readonly detail: Detail;
  readonly errors: readonly FieldIssue[];
  readonly current?: unknown;
  readonly retryAfter?: number;

  constructor(
    readonly status: number,
    readonly title: Message,
    more: More = {},
  ) {
    super(title.key);
    this.detail = more.detail ?? title;
    this.errors = more.errors ?? [];
    if (more.current !== undefined) this.current = more.current;
    if (more.retryAfter !== undefined) this.retryAfter = more.retryAfter;
  }

  /** One thing in what was sent cannot be, for a reason or several. */
  static refused(title: Message, field: string, value: unknown, why: Detail, remedy: Message): ProblemError {
    const errors = [why].flat().map((message) => ({ field, value, message, remedy }));
    return new ProblemError(422, title, { detail: why, errors });
  }

  /** What core refused. */
  static of({ issues }: Pick<InputError, 'issues'>): ProblemError {
    return new ProblemError(422, msg('server.invalid'), {
      detail: issues.map(({ message }) => message),
      errors: issues,
    });
  }

  /** An error that came from elsewhere as plain data. */
  static from({ status, title, ...more }: More & { readonly status: number; readonly title: Message }): ProblemError {
    return new ProblemError(status, title, more);
  }

  /** The database does not answer. */
  static away(): ProblemError {
    const detail = msg('server.databaseAway');
    return new ProblemError(503, msg('server.unavailable'), { detail, retryAfter: 2 });
  }

  /** Nothing of that kind is in this workshop. */
  static notFound(what: Thing): ProblemError {
    return new ProblemError(404, msg('server.notHere'), {
      detail: msg('server.noSuch', { what }),
    });
  }
}
