import type { FieldIssue } from '@dewpot/core/units';

/** The one shape of every error (RFC 9457 problem details), with the fields that are wrong. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors: readonly FieldIssue[];
  readonly requestId?: string;
  /** What stands now, where an edit was stale. */
  readonly current?: unknown;
}
