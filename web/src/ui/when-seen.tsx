import { Suspense, useEffect, useRef, useState, type ReactNode } from 'react';

/** Draws what stands far down only once it comes near the glass, so that it need not be fetched first. Keeps its room. */
export function WhenSeen({ height, children }: { height: number; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(() => !('IntersectionObserver' in window));
  useEffect(() => {
    if (seen || !box.current) return undefined;
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && setSeen(true));
    observer.observe(box.current);
    return () => observer.disconnect();
  }, [seen]);
  return (
    <div ref={box} style={{ minHeight: height }}>
      {seen && <Suspense>{children}</Suspense>}
    </div>
  );
}
