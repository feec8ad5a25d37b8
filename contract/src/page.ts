/** The most rows that one page of a list has. */
export const MOST_ON_PAGE = 200;

/** The most readings that one request brings. */
export const MOST_READINGS = 5000;

/** One page of a list. */
export interface Page<Row> {
  readonly rows: readonly Row[];
  /** How many rows all pages have together. */
  readonly count: number;
  /** Where the page before this one ends; null where this is the first. */
  readonly before: string | null;
  /** Where the page after this one begins; null where this is the last. */
  readonly after: string | null;
}
