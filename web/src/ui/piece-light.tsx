const GRAIN = { width: 140, height: 120, dots: 64 } as const;

/** Pits and grains of a concrete face, strewn evenly but without order (the R2 sequence of the plastic number). */
const grain = Array.from({ length: GRAIN.dots }, (_, i) => {
  const spread = (step: number) => ((i + 1) * step) % 1;
  return {
    x: spread(0.7548776662) * GRAIN.width,
    y: spread(0.569840291) * GRAIN.height,
    r: 0.35 + 0.65 * spread(0.6180339887) ** 2,
    pit: i % 3 > 0,
  };
});

/** Light from the upper left, shadow and grain for the pieces of a page. One of it stands at the top of the page. */
export function PieceLight() {
  return (
    <svg width={0} height={0} className="absolute" aria-hidden="true">
      <defs>
        <linearGradient id="piece-light" x1="0" x2="1" y1="0" y2="0.15">
          <stop offset="0" stopColor="#fff" stopOpacity="0.1" />
          <stop offset="0.22" stopColor="#fff" stopOpacity="0.3" />
          <stop offset="0.5" stopColor="#fff" stopOpacity="0" />
          <stop offset="1" stopColor="#140e06" stopOpacity="0.42" />
        </linearGradient>
        <linearGradient id="face-light" x1="0" x2="1" y1="0" y2="1">
          <stop offset="0" stopColor="#fff" stopOpacity="0.09" />
          <stop offset="0.5" stopColor="#fff" stopOpacity="0" />
          <stop offset="1" stopColor="#140e06" stopOpacity="0.07" />
        </linearGradient>
        <radialGradient id="piece-shadow">
          <stop offset="0.55" stopColor="var(--shade)" stopOpacity="0.4" />
          <stop offset="1" stopColor="var(--shade)" stopOpacity="0" />
        </radialGradient>
        <pattern id="piece-grain" width={GRAIN.width} height={GRAIN.height} patternUnits="userSpaceOnUse">
          {grain.map(({ x, y, r, pit }, i) => (
            <circle key={i} cx={x} cy={y} r={r} fill={pit ? '#1b150e' : '#fff'} opacity={pit ? 0.26 : 0.42} />
          ))}
        </pattern>
      </defs>
    </svg>
  );
}
