import { QueryCache, QueryClient, type Query } from '@tanstack/react-query';
import { ProblemFailure, Unreachable } from './client';
import { OLDEST_ANSWER } from './kept-client';
import { makePersister } from './persister';
import { isKept } from './waiting';

/** Reads fail fast where the server refuses, and try again where it is away. */
const retryRead = (failures: number, error: Error) => !(error instanceof ProblemFailure) && failures < 2;
/** Writes wait for the server as long as it takes; their own keys make sending them again safe. */
export const retryWrite = (_: number, error: Error) => error instanceof Unreachable;

/** A workshop was deleted meanwhile: who is signed in and where is asked again, and the screen says so. */
const queryCache = new QueryCache({
  onError: (error) => {
    if (error instanceof ProblemFailure && error.problem.status === 410)
      void queryClient.invalidateQueries({ queryKey: ['session'] });
  },
});

export const queryClient = new QueryClient({
  queryCache,
  defaultOptions: {
    queries: { retry: retryRead, staleTime: 10_000, gcTime: OLDEST_ANSWER, networkMode: 'offlineFirst' },
    mutations: { retry: retryWrite, retryDelay: 2000, networkMode: 'offlineFirst' },
  },
});

/** Counts what answers look like: those that were kept by an older screen are not shown by a newer one. */
const SHAPE = '7';

export const persistOptions = {
  persister: makePersister(SHAPE),
  buster: SHAPE,
  // What waits to be sent does not grow old; answers do, and are judged when they are restored.
  maxAge: Infinity,
  dehydrateOptions: {
    shouldDehydrateMutation: isKept,
    // What was seen stays, even where it was asked for again while the server was away; what the server refused goes.
    shouldDehydrateQuery: ({ state: { status, data, error } }: Query) =>
      status === 'success' || (data !== undefined && error instanceof Unreachable),
  },
};

/** Sends on what was still waiting when the page was left. */
export async function resumeWaiting(client: QueryClient): Promise<void> {
  const waiting = client.getMutationCache().findAll({ status: 'pending' });
  await Promise.allSettled(waiting.map((mutation) => mutation.continue()));
  await client.invalidateQueries();
}
