import { useQuery } from '@tanstack/react-query';
import type { MixView, MouldView, PourView, StoreView } from '@dewpot/contract';
import { storeQuery } from '../api/materials';
import { mixesQuery } from '../api/mixes';
import { mouldsQuery } from '../api/moulds';
import { poursQuery } from '../api/pours';

/** Everything that mixes are calculated with. */
export interface MixSources {
  readonly mixes: readonly MixView[];
  readonly store: StoreView;
  readonly pours: readonly PourView[];
  readonly moulds: readonly MouldView[];
}

/** The workshop's mixes, store, pours and moulds, once all are there; else what went wrong, if anything did. */
export function useMixSources(): {
  readonly sources?: MixSources;
  readonly error: unknown;
  readonly isPending: boolean;
} {
  const [mixes, store, pours, moulds] = [
    useQuery(mixesQuery),
    useQuery(storeQuery),
    useQuery(poursQuery),
    useQuery(mouldsQuery),
  ];
  const all = [mixes, store, pours, moulds];
  return {
    ...(mixes.data &&
      store.data &&
      pours.data &&
      moulds.data && {
        sources: { mixes: mixes.data, store: store.data, pours: pours.data, moulds: moulds.data },
      }),
    error: all.find(({ error }) => error)?.error,
    isPending: all.some(({ isPending }) => isPending),
  };
}
