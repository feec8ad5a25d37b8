/** The first moment of the month of a time, or of one so many months after it, ms. */
export function monthOf(at: number, after = 0): number {
  const date = new Date(at);
  return Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + after);
}

interface Connection {
  readonly query: (statement: string, values: unknown[]) => Promise<unknown>;
}

/** Makes the tables of months, each named by its first moment, ms; those that are there stay. */
export const makeMonths = (connection: Connection, months: readonly number[]): Promise<unknown> =>
  connection.query('select ambient_month(month) from unnest($1::bigint[]) as month', [months]);
