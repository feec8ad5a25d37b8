import type { RunEvent } from '@dewpot/core/bench';
import type { RunView } from '@dewpot/contract';
import { queryOptions, type QueryClient } from '@tanstack/react-query';
import { ask } from './client';
import { waitingWays } from './waiting';

export const runQuery = (pourId: string) =>
  queryOptions({
    queryKey: ['pours', pourId, 'run'],
    queryFn: ({ signal }) => ask<RunView>('GET', `pours/${pourId}/run`, undefined, signal),
    staleTime: 0,
  });

/** Keeps a run as it was told; one that was told late does not put back what is known already. */
export function keepRun(client: QueryClient, pourId: string, view: RunView): void {
  client.setQueryData(runQuery(pourId).queryKey, (known) =>
    known && known.events.length > view.events.length ? known : view,
  );
}

/** Steps of a run, as they are sent. */
export interface RunEventsSent {
  readonly pourId: string;
  readonly events: readonly RunEvent[];
}

const RUN_EVENTS = 'run-events';
export const runKey = (pourId: string) => [RUN_EVENTS, pourId];
/** Steps of one run are sent one after another. */
export const runScope = (pourId: string) => ({ id: `run ${pourId}` });

/** Names the write of a run's steps, so that those left waiting can go on after the page was closed. */
export function nameRunWrites(client: QueryClient): void {
  client.setMutationDefaults([RUN_EVENTS], {
    mutationFn: ({ pourId, events }: RunEventsSent) => ask<RunView>('POST', `pours/${pourId}/run`, { events }),
    onSuccess: (view: RunView, { pourId }: RunEventsSent) => keepRun(client, pourId, view),
    ...waitingWays,
  });
}

/** Sends steps of a run, after those that wait already. What comes of them stands in the mutation. */
export function sendSteps(client: QueryClient, sent: RunEventsSent): void {
  client
    .getMutationCache()
    .build<RunView, Error, RunEventsSent, unknown>(client, {
      mutationKey: runKey(sent.pourId),
      scope: runScope(sent.pourId),
    })
    .execute(sent)
    .catch(() => undefined);
}

/** Deletes the steps that the server refused. */
export function forgetRefused(client: QueryClient, pourId: string): void {
  const cache = client.getMutationCache();
  cache.findAll({ mutationKey: runKey(pourId), status: 'error' }).forEach((mutation) => cache.remove(mutation));
}
