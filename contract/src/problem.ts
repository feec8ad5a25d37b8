/** One thing wrong with what was sent, in the reader's language. */
export interface ProblemIssue {
  /** Path of the field, dots between the steps. */
  readonly field: string;
  readonly value: unknown;
  /** What is wrong, and what to do about it. */
  readonly message: string;
  readonly remedy: string;
}

/** The one shape of every error (RFC 9457 problem details), with the fields that are wrong. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors: readonly ProblemIssue[];
  readonly requestId?: string;
  /** What stands now, where an edit was stale. */
  readonly current?: unknown;
}
