import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { SearchHit } from '@dewpot/contract';
import { ask } from './client';

/** What in the workshop has these words in its name. */
export const searchQuery = (words: string) =>
  queryOptions({
    queryKey: ['search', words],
    queryFn: ({ signal }) => ask<SearchHit[]>('GET', `search?words=${encodeURIComponent(words)}`, undefined, signal),
    enabled: words !== '',
    placeholderData: keepPreviousData,
  });
