import { memo } from 'react';
import type { MouldShape, Stage } from '@dewpot/core';

/** How far round edges are tipped towards the eye: height of an ellipse over its width. */
const TIP = 0.09;
/** Scale below which grain could not be seen, px per mm. */
const GRAIN_FROM = 0.36;

export interface PieceProps {
  readonly shape: MouldShape;
  /** #rrggbb of its face today. */
  readonly colour: string;
  /** Pixels per mm. */
  readonly scale: number;
  readonly stage?: Stage | 'ready';
}

const ellipse = (cx: number, cy: number, r: number) =>
  `M${cx - r} ${cy}a${r} ${r * TIP} 0 1 0 ${2 * r} 0a${r} ${r * TIP} 0 1 0 ${-2 * r} 0`;

/** Size that a piece takes on the screen, px. */
export function pieceSize({ outer }: MouldShape, scale: number) {
  const widest = Math.max(outer.bottomDiameter, outer.topDiameter) * scale;
  return { width: widest, height: outer.height * scale + widest * TIP };
}

/**
 * A piece as it stands, cut from its mould's own measurements: foot at (0, 0), axis at x = 0. The page holds a `PieceLight`.
 */
export const Piece = memo(function Piece({ shape, colour, scale, stage }: PieceProps) {
  const { outer, cores } = shape;
  const r0 = (outer.bottomDiameter / 2) * scale;
  const r1 = (outer.topDiameter / 2) * scale;
  const top = -outer.height * scale;
  const body = `M${-r1} ${top}L${-r0} 0A${r0} ${r0 * TIP} 0 0 0 ${r0} 0L${r1} ${top}A${r1} ${r1 * TIP} 0 0 1 ${-r1} ${top}Z`;
  const core = cores[0]?.solid;
  const opening = core && cores[0]!.bottom + core.height >= outer.height - 0.5 ? (core.topDiameter / 2) * scale : 0;
  const wall = Math.max(2.5, 5 * scale);
  return (
    <g>
      <ellipse
        cx={r0 * 0.12 + 2}
        cy={1}
        rx={Math.max(r0, 4) * 1.2}
        ry={Math.max(3, r0 * TIP * 1.9)}
        fill="url(#piece-shadow)"
      />
      {stage === 'setting' && (
        <path
          d={`M${-r1 - wall} ${top - 2}L${-r0 - wall} ${wall * 0.6}A${r0 + wall} ${(r0 + wall) * TIP} 0 0 0 ${r0 + wall} ${wall * 0.6}L${r1 + wall} ${top - 2}Z`}
          className="mould-wall"
        />
      )}
      <path d={body} fill={colour} />
      <path d={ellipse(0, top, r1)} fill={colour} />
      <path d={ellipse(0, top, r1)} fill="#fff" opacity={0.22} />
      {opening > 0 && (
        <>
          <path d={ellipse(0, top, opening)} fill={colour} />
          <path d={ellipse(0, top, opening)} fill="#1b150e" opacity={0.5} />
          <path
            d={`M${-opening} ${top}a${opening} ${opening * TIP} 0 0 0 ${2 * opening} 0a${opening} ${opening * TIP * 0.35} 0 0 1 ${-2 * opening} 0`}
            fill="#fff"
            opacity={0.12}
          />
        </>
      )}
      <path d={body} fill="url(#piece-light)" />
      {scale >= GRAIN_FROM && <path d={body} fill="url(#piece-grain)" opacity={0.5} />}
      {stage === 'setting' && (
        <path
          d={`M${-r1 - wall} ${top - 2}L${-r0 - wall} ${wall * 0.6}A${r0 + wall} ${(r0 + wall) * TIP} 0 0 0 ${r0 + wall} ${wall * 0.6}L${r1 + wall} ${top - 2}`}
          className="mould-front"
        />
      )}
      {stage === 'damp' && (
        <path
          d={`M${-r1 - 7} 3L${-r1 - 4} ${top - r1 * 0.12}Q0 ${top - r1 * 0.5 - 8} ${r1 + 4} ${top - r1 * 0.12}L${r1 + 7} 3Z`}
          className="damp-bag"
        />
      )}
      {stage === 'sealed' && (
        <path
          d={`M${-r1 * 0.62} ${top * 0.9}L${-r0 * 0.6} ${top * 0.12}`}
          stroke="#fff"
          strokeWidth={Math.max(2, r0 * 0.1)}
          strokeLinecap="round"
          opacity={0.5}
        />
      )}
    </g>
  );
});

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
