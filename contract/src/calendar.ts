/** Whether a person's calendar has a secret address, and since when, ms. */
export interface CalendarView {
  readonly madeAt?: number;
}

/** The secret address of a calendar, told once: whoever knows it can read it. */
export interface CalendarAddress {
  readonly path: string;
}
