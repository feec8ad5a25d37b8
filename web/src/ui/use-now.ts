import { useEffect, useState } from 'react';
import { DAY } from '@dewpot/core/units';

/** The time, told again every minute. */
export function useNow(): number {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 60_000);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** The day that it is, ms at its beginning: for what is told by the day and need not be calculated again each minute. */
export const useDay = (): number => Math.floor(useNow() / DAY) * DAY;
