import { useQuery } from '@tanstack/react-query';
import type { MixView, MouldView, PourView, StoresView } from '@dewpot/contract';
import { storesQuery } from '../api/materials';
import { mixesQuery } from '../api/mixes';
import { mouldsQuery } from '../api/moulds';
import { poursQuery } from '../api/pours';

/** Everything that mixes are calculated with. */
export interface MixSources {
  readonly mixes: readonly MixView[];
  readonly stores: StoresView;
  readonly pours: readonly PourView[];
  readonly moulds: readonly MouldView[];
}

/** The workshop's mixes, stores, pours and moulds, once all are there; else what went wrong, if anything did. */
export function useMixSources(): {
  readonly sources?: MixSources;
  readonly error: unknown;
  readonly isPending: boolean;
} {
  const [mixes, stores, pours, moulds] = [
    useQuery(mixesQuery),
    useQuery(storesQuery),
    useQuery(poursQuery),
    useQuery(mouldsQuery),
  ];
  const all = [mixes, stores, pours, moulds];
  return {
    ...(mixes.data &&
      stores.data &&
      pours.data &&
      moulds.data && {
        sources: { mixes: mixes.data, stores: stores.data, pours: pours.data, moulds: moulds.data },
      }),
    error: all.find(({ error }) => error)?.error,
    isPending: all.some(({ isPending }) => isPending),
  };
}
