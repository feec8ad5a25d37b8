import { identity } from '@dewpot/core/units';
import type { VolumeShare } from '@dewpot/core/mixes';
import { fillOf, MixPatterns } from './mix-patterns';
import { tellShares, percentOf } from './mix-labels';
import { useSay } from '../ui/say';

const HEIGHT = 520;

/** What the fresh mix is made of by volume, drawn to scale as a column. */
export function MixColumn({ shares }: { shares: readonly VolumeShare[] }) {
  const say = useSay();
  const fromTop = [...shares].reverse();
  const layers = fromTop.map((share, i) => ({
    ...share,
    y: fromTop.slice(0, i).reduce((sum, above) => sum + above.share * HEIGHT, 0),
    height: share.share * HEIGHT,
  }));
  return (
    <svg
      viewBox={`0 0 336 ${HEIGHT + 16}`}
      className="mx-auto w-full max-w-sm"
      role="img"
      aria-label={tellShares(shares, say)}
    >
      <MixPatterns />
      <g transform="translate(4 8)">
        {layers.map(({ name, kind, y, height, share }) => (
          <g key={identity(name)}>
            <rect x={0} y={y} width={130} height={height} fill={fillOf(kind)} stroke="var(--color-base-100)" />
            {height > 9 && (
              <text x={142} y={y + height / 2 + 5} fontSize={14} fill="currentColor">
                <tspan fontWeight={700}>{say.value(percentOf(share))}</tspan> {say.value(name)}
              </text>
            )}
          </g>
        ))}
        <path d={`M0 -4V${HEIGHT}H130V-4`} fill="none" stroke="currentColor" strokeWidth={2} />
      </g>
    </svg>
  );
}
