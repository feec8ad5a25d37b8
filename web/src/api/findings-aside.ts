import { queryOptions } from '@tanstack/react-query';
import type { LastingAside } from '@dewpot/core/planning';
import { ask } from './client';
import { useWrite } from './writes';

type Address = Pick<LastingAside, 'mouldId' | 'mixId' | 'key'>;
const addressOf = ({ mouldId, mixId, key }: Address) => `findings-aside/${mouldId}/${mixId}/${key}`;

export const asideQuery = queryOptions({
  queryKey: ['findings-aside'],
  queryFn: ({ signal }) => ask<LastingAside[]>('GET', 'findings-aside', undefined, signal),
});

/** Puts a finding aside for a mould with a mix. */
export const usePutAside = () =>
  useWrite((aside: LastingAside) => ask<void>('PUT', addressOf(aside), { reason: aside.reason }), 'findings-aside');
export const useTakeAside = () => useWrite((aside: Address) => ask<void>('DELETE', addressOf(aside)), 'findings-aside');
