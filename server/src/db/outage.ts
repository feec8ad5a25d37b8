/** What went wrong between us and the database, by the code that PostgreSQL or the socket gives. */
export type Outage = 'away' | 'busy' | 'full' | 'read-only';

const AWAY = ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ENOTFOUND', 'ETIMEDOUT', '57P01', '57P02', '57P03', '58030'];
/** Too many connections, a lock or a statement that took too long. */
const BUSY = ['53300', '55P03', '57014', '25P03'];
const FULL = ['53100'];
const READ_ONLY = ['25006'];
/** A deadlock, or two transactions that no order explains. */
const IN_THE_WAY = ['40P01', '40001'];

/** The error of the driver that an error of TypeORM or of Node carries. */
function* within(error: unknown): Generator<{ code?: string; message?: string }> {
  if (!error || typeof error !== 'object') return;
  yield error;
  yield* within((error as { driverError?: unknown }).driverError);
  for (const one of (error as { errors?: unknown[] }).errors ?? []) yield* within(one);
}

const hasCode = (error: unknown, codes: readonly string[]) =>
  [...within(error)].some(({ code }) => code !== undefined && codes.includes(code));

const says = (error: unknown, words: RegExp) => [...within(error)].some(({ message }) => words.test(message ?? ''));

/** Which outage an error is; undefined for one that is none. */
export function outageOf(error: unknown): Outage | undefined {
  if (hasCode(error, FULL)) return 'full';
  if (hasCode(error, READ_ONLY)) return 'read-only';
  if (hasCode(error, BUSY) || says(error, /timeout exceeded when trying to connect/i)) return 'busy';
  // The class of connection exceptions, and what the driver says without a code.
  if (hasCode(error, AWAY) || [...within(error)].some(({ code }) => /^08/.test(code ?? ''))) return 'away';
  return says(
    error,
    /connection terminated|not queryable|client was closed|cannot use a pool after|already released|query read timeout/i,
  )
    ? 'away'
    : undefined;
}

/** Whether a transaction was ended for another's sake: done again, it goes through. */
export const wasInTheWay = (error: unknown): boolean => hasCode(error, IN_THE_WAY);
