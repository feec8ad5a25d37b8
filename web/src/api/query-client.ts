import { QueryClient, type Mutation } from '@tanstack/react-query';
import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import type { Persister } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import { DAY } from '@dewpot/core/units';
import { ProblemFailure, Unreachable } from './client';
import { currentClient } from './kept-client';

/** Reads fail fast where the server refuses, and try again where it is away. */
const retryRead = (failures: number, error: Error) => !(error instanceof ProblemFailure) && failures < 2;
/** Writes wait for the server as long as it takes; their own keys make sending them again safe. */
const retryWrite = (_: number, error: Error) => error instanceof Unreachable;

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { retry: retryRead, staleTime: 10_000, gcTime: DAY, networkMode: 'offlineFirst' },
    mutations: { retry: retryWrite, retryDelay: 2000, networkMode: 'offlineFirst' },
  },
});

/** Counts what answers look like: those that were kept by an older screen are not shown by a newer one. */
const SHAPE = '5';

const storage = createAsyncStoragePersister({
  storage: { getItem: (key) => get<string>(key).then((value) => value ?? null), setItem: set, removeItem: del },
  key: 'dew-pot',
});

/** Keeps what was read, and writes that were not sent yet, in the browser. Writes outlive a change of what answers look like. */
export const persister: Persister = {
  ...storage,
  restoreClient: async () => {
    const kept = await storage.restoreClient();
    return kept && currentClient(kept, SHAPE);
  },
};

export const persistOptions = {
  persister,
  buster: SHAPE,
  maxAge: DAY,
  dehydrateOptions: {
    shouldDehydrateMutation: (mutation: Mutation) =>
      mutation.state.status === 'pending' && mutation.options.mutationKey !== undefined,
  },
};

/** Sends on what was still waiting when the page was left. */
export async function resumeWaiting(): Promise<void> {
  const waiting = queryClient.getMutationCache().findAll({ status: 'pending' });
  await Promise.allSettled(waiting.map((mutation) => mutation.continue()));
  await queryClient.invalidateQueries();
}
