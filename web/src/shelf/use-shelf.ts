import { useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { shelfQuery } from '../api/casts';
import { useNow } from '../ui/use-now';
import { groupCasts } from './reading';

/** The casts on the shelf as they stand now; calculated again only as casts or the minute change. */
export function useShelf() {
  const shelf = useQuery(shelfQuery);
  const now = useNow();
  const groups = useMemo(() => groupCasts(shelf.data ?? [], now), [shelf.data, now]);
  return { shelf, now, groups };
}
