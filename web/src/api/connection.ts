import { useSyncExternalStore } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { reachable } from './client';

const hear = (ear: () => void) => {
  reachable.ears.add(ear);
  return () => void reachable.ears.delete(ear);
};

/** Whether the server was there when it was asked last. */
export const useReachable = (): boolean => useSyncExternalStore(hear, () => reachable.now);

/** Since when the oldest answer on the screen is as it is shown, ms; undefined where none is shown. */
export function useSeenAt(): number | undefined {
  const shown = useQueryClient().getQueryCache().findAll({ type: 'active' });
  const times = shown.map(({ state }) => state.dataUpdatedAt).filter((at) => at > 0);
  return times.length > 0 ? Math.min(...times) : undefined;
}
