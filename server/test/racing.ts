import { afterAll, beforeAll } from 'vitest';
import { newAddress, newWorkshop, signedIn, startServer, type Agent, type Harness, wideRates } from './harness.js';

/** Each race is run so often. */
export const ROUNDS = Number(process.env.DEWPOT_RACE_ROUNDS ?? 100);

/** The same person in one workshop, at two servers before one database. */
export interface Rivals {
  one: Harness;
  here: Agent;
  there: Agent;
  /** Goes on in a new workshop: lists of races that were run before slow the next ones down. */
  moveOn(): Promise<void>;
}

/** Two servers for all races of a file. */
export function rivals(): Rivals {
  const found = {} as Rivals;
  let two: Harness;
  beforeAll(async () => {
    found.one = await startServer({ rates: wideRates });
    two = await startServer({ rates: wideRates, ownerUrl: found.one.config.ownerUrl });
    found.moveOn = async () => {
      const email = newAddress();
      found.here = await newWorkshop(found.one, 'Quince Yard', email);
      found.there = await signedIn(two, email);
    };
    await found.moveOn();
  });
  afterAll(async () => {
    await two.close();
    await found.one.close();
  });
  return found;
}

interface Answer {
  readonly status: number;
  readonly body: Record<string, unknown>;
}

export const both = (first: PromiseLike<Answer>, second: PromiseLike<Answer>) => Promise.all([first, second]);
export const kept = (answers: readonly Answer[]) => answers.filter(({ status }) => status < 300).length;
export const sound = (answers: readonly Answer[]) => answers.every(({ status }) => status < 500);

export async function rounds(work: (round: number) => Promise<void>, count = ROUNDS): Promise<void> {
  for (let round = 0; round < count; round++) await work(round);
}
