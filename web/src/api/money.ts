import { queryOptions } from '@tanstack/react-query';
import type { Season } from '@dewpot/core/money';
import type { SeasonQuery } from '@dewpot/contract';
import { ask } from './client';

/** What a stretch of months made, took and cost. */
export const seasonQuery = ({ from, to }: SeasonQuery) =>
  queryOptions({
    queryKey: ['money', 'season', from ?? '', to ?? ''],
    queryFn: ({ signal }) => {
      const asked = new URLSearchParams({ ...(from && { from }), ...(to && { to }) }).toString();
      return ask<Season>('GET', `money/season${asked && `?${asked}`}`, undefined, signal);
    },
  });
