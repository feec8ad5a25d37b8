import { queryOptions } from '@tanstack/react-query';
import type { ForgottenInput, LearnedView } from '@dewpot/contract';
import { ask } from './client';
import { useWrite } from './writes';

/** Every figure that the workshop's own records taught. */
export const learnedQuery = queryOptions({
  queryKey: ['findings', 'learned'],
  queryFn: ({ signal }) => ask<LearnedView>('GET', 'findings/learned', undefined, signal),
});

/** Forgets what the records of something taught, or lets all of them count again; whatever is calculated by them is asked for again. */
export const useForget = () =>
  useWrite(
    ({ forget, ...of }: ForgottenInput & { readonly forget: boolean }) =>
      ask<void>('POST', `findings/learned/${forget ? 'forget' : 'recall'}`, of),
    'findings',
    'pours',
    'tints',
    'casts',
    'calendar',
    'overrides',
  );
