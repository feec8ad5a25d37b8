import { useEffect, useState } from 'react';

/** Whether what was drawn first has been seen: what takes long to draw waits for that. */
export function usePainted(): boolean {
  const [painted, setPainted] = useState(false);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    // A frame is painted once its callbacks are over.
    const frame = requestAnimationFrame(() => (timer = setTimeout(() => setPainted(true))));
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, []);
  return painted;
}
