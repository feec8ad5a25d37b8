import { memo, useId } from 'react';
import { defined } from '@dewpot/core/math';
import { pieceView, turnedOver, type MouldShape, type PieceView } from '@dewpot/core/moulds';
import type { FaceColouring } from '@dewpot/core/pours';
import type { Stage } from '@dewpot/core/casts';
import { FacePaint } from './face-paint';
import { at, bodyPath, facesOfPiece, rimPaths, TIP } from './piece-path';

/** Scale below which grain could not be seen, px per mm. */
const GRAIN_FROM = 0.36;

export interface PieceProps {
  readonly shape: MouldShape;
  /** Standing on its head. */
  readonly over?: boolean;
  /** Standing on another piece: it throws no shadow on the ground. */
  readonly raised?: boolean;
  /** #rrggbb of its face today. */
  readonly colour: string;
  /** Its tints, where it has more than one. */
  readonly faceColouring?: FaceColouring | undefined;
  /** Pixels per mm. */
  readonly scale: number;
  readonly stage?: Stage | 'ready';
}

/** Size that a piece takes on the screen, px. */
export function pieceSize(shape: MouldShape, scale: number) {
  const { width, depth, height } = pieceView(shape);
  return { width: width * scale, height: height * scale + depth * scale * TIP };
}

/** The mould's wall about a piece that still sets: its outline, wider by `wall`. */
function wallPath({ sides, height }: PieceView, scale: number, wall: number): string {
  const rows = sides.map(({ z, left, right }) => ({
    y: -z * scale,
    left: left * scale - wall,
    right: right * scale + wall,
  }));
  const down = [...rows].reverse().map(({ left, y }) => at([left, y]));
  const up = rows.map(({ right, y }) => at([right, y]));
  const [first, last] = [defined(rows[0]), defined(rows[rows.length - 1])];
  const half = (first.right - first.left) / 2;
  return `M${at([last.left, -height * scale - 2])}L${down.join('L')}L${first.left} ${wall * 0.6}A${half} ${half * TIP} 0 0 0 ${first.right} ${wall * 0.6}L${up.join('L')}L${at([last.right, -height * scale - 2])}`;
}

/**
 * A piece as it stands, cut from its mould's own measurements: foot at (0, 0), middle at x = 0. The page holds a `PieceLight`.
 */
export const Piece = memo(function Piece({ shape, over, raised, colour, faceColouring, scale, stage }: PieceProps) {
  const id = useId();
  const view = over ? turnedOver(pieceView(shape)) : pieceView(shape);
  const r0 = (defined(view.sides[0]).right - defined(view.sides[0]).left) * 0.5 * scale;
  const r1 =
    (defined(view.sides[view.sides.length - 1]).right - defined(view.sides[view.sides.length - 1]).left) * 0.5 * scale;
  const top = -view.height * scale;
  const body = bodyPath(view, scale);
  const { face, openings } = rimPaths(view, scale);
  const wall = Math.max(2.5, 5 * scale);
  const facets = view.facets.length > 0 ? facesOfPiece(view.facets, scale) : undefined;
  const many = faceColouring && faceColouring.kind !== 'solid' ? faceColouring : undefined;
  const paint = many ? `url(#${id})` : colour;
  // What is seen of the upper face is the last layer.
  const rim = many?.kind === 'banded' ? defined(many.parts[many.parts.length - 1]).colour : paint;
  const feet = Math.max(r0, r1 * 0.35, 4);
  return (
    <g>
      {!raised && (
        <ellipse
          cx={feet * 0.12 + 2}
          cy={1}
          rx={feet * 1.2}
          ry={Math.max(3, view.depth * scale * TIP * 0.9)}
          fill="url(#piece-shadow)"
        />
      )}
      {many && (
        <defs>
          <FacePaint id={id} faceColouring={many} width={view.width * scale} height={view.height * scale} />
        </defs>
      )}
      {stage === 'setting' && <path d={wallPath(view, scale, wall)} className="mould-wall" />}
      <path d={body} fill={paint} />
      {facets?.map(({ d, light }) => (
        <path key={d} d={d} fill={light > 0 ? '#fff' : '#140e06'} opacity={Math.abs(light)} />
      ))}
      <path d={face} fill={rim} fillRule="evenodd" />
      <path d={face} fill="#fff" fillRule="evenodd" opacity={0.22} />
      {openings && (
        <>
          <path d={openings} fill={rim} />
          <path d={openings} fill="#1b150e" opacity={0.5} />
        </>
      )}
      {!facets && <path d={body} fill="url(#piece-light)" />}
      {scale >= GRAIN_FROM && <path d={body} fill="url(#piece-grain)" opacity={0.5} />}
      {stage === 'setting' && <path d={wallPath(view, scale, wall)} className="mould-front" />}
      {stage === 'curing' && (
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
