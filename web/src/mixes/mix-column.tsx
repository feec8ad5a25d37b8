import type { VolumeShare } from '@dewpot/core';

const HEIGHT = 380;

/** Fill of a share by what it is: pattern as well as colour. */
const fills: Record<string, string> = {
  binder: 'var(--concrete)',
  'binder-part': 'var(--concrete)',
  aggregate: 'url(#mix-sand)',
  lightweight: 'url(#mix-light)',
  organic: 'url(#mix-organic)',
  'pre-blend': 'var(--concrete)',
  water: 'var(--water)',
  air: 'url(#mix-air)',
};

/** What the fresh mix is made of by volume, drawn to scale as a column. */
export function MixColumn({ shares }: { shares: readonly VolumeShare[] }) {
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
      aria-label={`By volume: ${shares.map(({ name, share }) => `${name} ${Math.round(share * 100)} %`).join(', ')}`}
    >
      <defs>
        <pattern id="mix-sand" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="#cdb083" />
          <circle cx="2" cy="2" r="1.1" fill="#8a6a3c" />
          <circle cx="6" cy="5.500" r="1.300" fill="#8a6a3c" />
        </pattern>
        <pattern id="mix-light" width="12" height="12" patternUnits="userSpaceOnUse">
          <rect width="12" height="12" fill="#ece7da" />
          <circle cx="4" cy="4" r="3" fill="#fff" stroke="#b9b09c" />
          <circle cx="10" cy="10" r="2" fill="#fff" stroke="#b9b09c" />
        </pattern>
        <pattern id="mix-organic" width="9" height="9" patternUnits="userSpaceOnUse">
          <rect width="9" height="9" fill="#6b5138" />
          <path d="M1 7l4-5M5 8l3-3" stroke="#a98a63" />
        </pattern>
        <pattern id="mix-air" width="7" height="7" patternUnits="userSpaceOnUse">
          <rect width="7" height="7" fill="var(--color-base-100)" />
          <circle cx="3.500" cy="3.500" r="2" fill="none" stroke="currentColor" opacity="0.5" />
        </pattern>
      </defs>
      <g transform="translate(4 8)">
        {layers.map(({ name, kind, y, height, share }) => (
          <g key={name}>
            <rect
              x={0}
              y={y}
              width={130}
              height={height}
              fill={fills[kind] ?? 'var(--concrete)'}
              stroke="var(--color-base-100)"
            />
            {height > 9 && (
              <text x={142} y={y + height / 2 + 5} fontSize={14} fill="currentColor">
                <tspan fontWeight={700}>{Math.round(share * 100)} %</tspan> {name}
              </text>
            )}
          </g>
        ))}
        <path d={`M0 -4V${HEIGHT}H130V-4`} fill="none" stroke="currentColor" strokeWidth={2} />
      </g>
    </svg>
  );
}
