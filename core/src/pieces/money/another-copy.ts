/** Whether another copy of a mould pays: its price against the evenings that it saves. */
export interface AnotherCopy {
  readonly price: number;
  /** Sessions that the calendar says it saves. */
  readonly sessions: number;
  /** What an evening is worth. */
  readonly worth: number;
}

/** What another copy of a mould gains beyond its price, in the workshop's money; below 0 it does not pay. Handbook 21. */
export const gainOfCopy = ({ price, sessions, worth }: AnotherCopy): number => sessions * worth - price;
