import { useEffect, useState } from 'react';

/** The wall clock, told again every second: it goes on where the tab sleeps. */
export function useClock(): number {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    const tell = () => setNow(Date.now());
    const timer = setInterval(tell, 1000);
    document.addEventListener('visibilitychange', tell);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tell);
    };
  }, []);
  return now;
}
