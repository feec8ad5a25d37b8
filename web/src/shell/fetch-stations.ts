import { HOUR } from '@dewpot/core/units';
import type { FetchQueryOptions, QueryClient, QueryKey } from '@tanstack/react-query';
import { calendarFactsQuery, calendarPlanQuery, ordersQuery, weekQuery } from '../api/orders';
import { shelfQuery } from '../api/casts';
import { storeQuery } from '../api/materials';
import { mixesQuery } from '../api/mixes';
import { mouldsQuery } from '../api/moulds';
import { pageQuery } from '../api/pages';
import { placesQuery } from '../api/places';
import { pastPoursQuery } from '../api/pours';
import { tintsQuery } from '../api/tints';

/** An answer that is younger than this is not asked for again, ms. */
const YOUNG = HOUR;

/** Fetches an answer unless a young one is kept. What cannot be had now is had another time. */
const fetched =
  <Answer, Key extends QueryKey>(query: FetchQueryOptions<Answer, Error, Answer, Key>) =>
  (client: QueryClient): Promise<void> =>
    client.prefetchQuery({ ...query, staleTime: YOUNG });

/** What each station shows first. */
const answers = [
  fetched(shelfQuery),
  ...['moulds', 'mixes', 'pours', 'casts', 'tints', 'patterns', 'materials'].map((list) => fetched(pageQuery(list))),
  fetched(mouldsQuery),
  fetched(mixesQuery),
  fetched(tintsQuery),
  fetched(storeQuery),
  fetched(placesQuery),
  fetched(pastPoursQuery),
  fetched(ordersQuery),
  fetched(calendarPlanQuery),
  fetched(calendarFactsQuery),
  fetched(weekQuery),
];

/** Fetches what the stations show, one after the other. */
export async function fetchStations(client: QueryClient): Promise<void> {
  for (const fetch of answers) await fetch(client);
}
