import { identity } from '@dewpot/core/units';
import type { VolumeShare } from '@dewpot/core/mixes';
import { fillOf, MixPatterns } from './mix-patterns';
import { tellShares } from './mix-labels';
import { useSay } from '../ui/say';

const WIDTH = 240;

/** What a mix is made of by volume as a lying strip, to scale. */
export function ShareStrip({ shares }: { shares: readonly VolumeShare[] }) {
  const say = useSay();
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 22`}
      preserveAspectRatio="none"
      className="h-6 w-full"
      role="img"
      aria-label={tellShares(shares, say)}
    >
      <MixPatterns />
      {shares.map(({ name, kind, share }, i) => (
        <rect
          key={identity(name)}
          x={shares.slice(0, i).reduce((sum, before) => sum + before.share * WIDTH, 0)}
          width={share * WIDTH}
          height={22}
          fill={fillOf(kind)}
          stroke="var(--color-base-100)"
        />
      ))}
    </svg>
  );
}
