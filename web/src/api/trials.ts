import { queryOptions } from '@tanstack/react-query';
import type { TrialSize } from '@dewpot/core/findings';
import type { TrialClosing, TrialInput, TrialView } from '@dewpot/contract';
import { ask } from './client';
import { useLast, useWrite, type Put } from './writes';

/** All trials with how far they have come, the newest first. */
export const trialsQuery = queryOptions({
  queryKey: ['trials'],
  queryFn: ({ signal }) => ask<TrialView[]>('GET', 'trials', undefined, signal),
});

/** How many casts a side a trial of these expected shares needs. */
export const trialSizeQuery = (worse: number, better: number) =>
  queryOptions({
    queryKey: ['trial-size', worse, better],
    queryFn: ({ signal }) => ask<TrialSize>('POST', 'calculate/findings/trial', { worse, better }, signal),
    staleTime: Infinity,
    enabled: better > worse,
  });

export const useSaveTrial = () =>
  useWrite(({ id, input }: Put<TrialInput>) => ask<void>('PUT', `trials/${id}`, input), 'trials');
export const useRemoveTrial = () => useLast((id: string) => ask<void>('DELETE', `trials/${id}`), 'trials');
/** Ends a trial; what is kept of it is among the workshop's settings. */
export const useCloseTrial = () =>
  useWrite(({ id, input }: Put<TrialClosing>) => ask<void>('POST', `trials/${id}/close`, input), 'trials', 'session');
