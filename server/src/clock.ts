import { SECOND } from '@dewpot/core/units';

/** Clocks that are so near to one another agree, ms. */
const AGREES = 2 * SECOND;
/** An answer that took longer tells the time too loosely, ms. */
const MOST_TRIP = 500;

/**
 * The time by which this server records and judges. All servers before one database go by the database's: one whose own clock is off would refuse what
 * happened a moment ago as still to come, and date what it keeps wrongly.
 */
class Clock {
  private ahead = 0;

  /** By so much the database's clock is ahead of ours, ms; 0 where they agree. */
  get offset(): number {
    return this.ahead;
  }

  /** Now, ms. */
  now(): number {
    return Date.now() + this.ahead;
  }

  /** Hears what time it is at the database, ms, between the asking and the answer by our own clock. */
  hear(databaseTime: number, asked: number, answered: number): void {
    if (answered - asked > MOST_TRIP) return;
    const ahead = databaseTime - (asked + answered) / 2;
    this.ahead = Math.abs(ahead) > AGREES ? Math.round(ahead) : 0;
  }
}

export const clock = new Clock();
