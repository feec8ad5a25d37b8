/** So much is kept of what another server answered. */
const MOST = 300;

/** Why something that was sent was not taken, as it is kept. */
export const whyFailed = (error: unknown): string =>
  (error instanceof Error ? error.message || error.name : String(error)).slice(0, MOST);
