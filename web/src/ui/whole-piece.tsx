import { memo } from 'react';
import { defined } from '@dewpot/core/math';
import { pieceView, type MouldShape } from '@dewpot/core/moulds';
import type { FaceColouring } from '@dewpot/core/pours';
import type { Stage } from '@dewpot/core/casts';
import { Piece, pieceSize } from './piece';

/** A part as it stands in an article, with its colours today. */
export interface StandingPart {
  readonly shape: MouldShape;
  readonly over: boolean;
  readonly colour: string;
  readonly faceColouring?: FaceColouring | undefined;
}

/** A piece as it stands: one casting, or several joined, from the ground up. */
export interface WholeArticle {
  readonly shape: MouldShape;
  readonly parts?: readonly StandingPart[] | undefined;
}

/** Heights at which the parts of an article begin, px, and its size. */
function standing(parts: readonly StandingPart[], scale: number) {
  const sizes = parts.map(({ shape }) => pieceSize(shape, scale));
  const heights = parts.map(({ shape }) => pieceView(shape).height * scale);
  const feet = heights.map((_, i) => heights.slice(0, i).reduce((sum, one) => sum + one, 0));
  const top = parts.length - 1;
  return {
    feet,
    width: Math.max(...sizes.map(({ width }) => width)),
    height: defined(feet[top]) + defined(sizes[top]).height,
  };
}

/** Size that a whole piece takes on the screen, px. */
export function wholeSize({ shape, parts }: WholeArticle, scale: number): { width: number; height: number } {
  if (!parts) return pieceSize(shape, scale);
  const { width, height } = standing(parts, scale);
  return { width, height };
}

/** A piece of one casting or of several, foot at (0, 0). */
export const WholePiece = memo(function WholePiece({
  shape,
  parts,
  colour,
  faceColouring,
  scale,
  stage,
}: WholeArticle & {
  colour: string;
  faceColouring?: FaceColouring | undefined;
  scale: number;
  stage?: Stage | 'ready' | undefined;
}) {
  if (!parts)
    return (
      <Piece shape={shape} colour={colour} faceColouring={faceColouring} scale={scale} {...(stage && { stage })} />
    );
  const { feet } = standing(parts, scale);
  return (
    <>
      {parts.map((part, i) => (
        <g key={i} transform={`translate(0 ${-defined(feet[i])})`}>
          <Piece {...part} raised={i > 0} scale={scale} {...(stage && stage !== 'setting' && { stage })} />
        </g>
      ))}
    </>
  );
});
