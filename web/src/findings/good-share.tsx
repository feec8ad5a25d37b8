import { shareLimits } from '@dewpot/core/findings';

/** The share of good casts as a dot, within its exact limits. */
export function GoodShare({ good, casts }: { good: number; casts: number }) {
  const [low, high] = shareLimits(good, casts);
  return (
    <span className="bg-base-300/60 relative block h-3" aria-hidden="true">
      <span className="bg-secondary/50 absolute h-3" style={{ left: `${low * 100}%`, right: `${(1 - high) * 100}%` }} />
      <span className="bg-base-content absolute top-0 h-3 w-1 -translate-x-1/2" style={{ left: `${(good / casts) * 100}%` }} />
    </span>
  );
} // prettier-ignore
