import { msg, SECOND } from '@dewpot/core/units';
import { Slots } from '../calculation/slots.js';
import { ProblemError } from '../http/problem-error.js';

/** So many send readings at once; so many more wait, each so long. */
const slots = new Slots(3, 500, 20 * SECOND);

const busy = () =>
  new ProblemError(503, msg('server.unavailable'), { detail: msg('server.readingsWait'), retryAfter: 10 });

/**
 * Takes readings in when it is their turn: a hundred loggers at once leave connections to whoever looks at a screen.
 * @throws ProblemError 503 where too many wait
 */
export const inReadingTurn = <T>(work: () => Promise<T>): Promise<T> => slots.run(work, busy);
