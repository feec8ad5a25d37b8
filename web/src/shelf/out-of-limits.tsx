import { Suspense } from 'react';
import { useQuery } from '@tanstack/react-query';
import { watchQuery } from '../api/findings';
import { retried } from '../ui/retried';

/** Most days there is none: then the words for their causes are not fetched. */
const OutOfLimitsList = retried(async () => ({
  default: (await import('./out-of-limits-list')).OutOfLimitsList,
}));

/** Casts of late that weigh otherwise than casts do here. Nothing where all is as usual. */
export function OutOfLimits() {
  const lately = useQuery(watchQuery).data?.lately ?? [];
  if (lately.length === 0) return null;
  return (
    <Suspense>
      <OutOfLimitsList lately={lately} />
    </Suspense>
  );
}
