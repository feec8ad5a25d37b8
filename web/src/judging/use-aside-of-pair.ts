import { usePutAside, useTakeAside } from '../api/findings-aside';
import type { AsideWays } from './findings';

/** How findings of a mould with a mix are put aside; undefined until both are kept. */
export function useAsideOfPair(mouldId: string | undefined, mixId: string | undefined): AsideWays | undefined {
  const put = usePutAside();
  const take = useTakeAside();
  if (mouldId === undefined || mixId === undefined) return undefined;
  return {
    once: false,
    put: ({ key }, reason) => put.mutate({ mouldId, mixId, key, reason }),
    take: ({ key }) => take.mutate({ mouldId, mixId, key }),
  };
}
