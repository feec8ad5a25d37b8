import type { QueryClient } from '@tanstack/react-query';

/** How often one looks whether all is sent, and how many times, ms. */
const LOOKS = { every: 50, most: 20 };
// A test may have put another clock in its place.
const later = globalThis.setTimeout;

interface OpenScreen {
  readonly client: QueryClient;
  over: boolean;
}

const open = new Set<OpenScreen>();

/** Keeps what a screen of a test sends in mind. */
export function keepOpen(screen: OpenScreen): void {
  open.add(screen);
}

const sends = ({ client }: OpenScreen) =>
  client
    .getMutationCache()
    .getAll()
    .some(({ state }) => state.status === 'pending' && !state.isPaused);

/** Waits until the screens of a test send nothing any more: it would arrive at the stand-in of the next test. */
export async function endScreens(): Promise<void> {
  for (const screen of open) screen.over = true;
  for (let looks = 0; looks < LOOKS.most && [...open].some(sends); looks++)
    await new Promise((done) => later(done, LOOKS.every));
  open.clear();
}
