import { useQuery } from '@tanstack/react-query';
import type { MixView, MouldView, PastPoursView, StoreView } from '@dewpot/contract';
import { storeQuery } from '../api/materials';
import { mixesQuery } from '../api/mixes';
import { mouldsQuery } from '../api/moulds';
import { pastPoursQuery } from '../api/pours';

/** Everything that mixes are calculated with. */
export interface MixSources {
  readonly mixes: readonly MixView[];
  readonly store: StoreView;
  readonly past: PastPoursView;
  readonly moulds: readonly MouldView[];
}

/** The workshop's mixes, store and moulds and what its pours taught, once all are there; else what went wrong, if anything did. */
export function useMixSources(): {
  readonly sources?: MixSources;
  readonly error: unknown;
  readonly isPending: boolean;
} {
  const [mixes, store, past, moulds] = [
    useQuery(mixesQuery),
    useQuery(storeQuery),
    useQuery(pastPoursQuery),
    useQuery(mouldsQuery),
  ];
  const all = [mixes, store, past, moulds];
  return {
    ...(mixes.data &&
      store.data &&
      past.data &&
      moulds.data && {
        sources: { mixes: mixes.data, store: store.data, past: past.data, moulds: moulds.data },
      }),
    error: all.find(({ error }) => error)?.error,
    isPending: all.some(({ isPending }) => isPending),
  };
}
