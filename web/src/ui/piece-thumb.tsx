import type { MouldShape } from '@dewpot/core/moulds';
import type { FaceColouring } from '@dewpot/core/pours';
import type { Stage } from '@dewpot/core/casts';
import { WholePiece, wholeSize, type StandingPart } from './whole-piece';

/** One piece alone, as large as a box of `size` px lets it be. */
export function PieceThumb({
  shape,
  parts,
  colour,
  faceColouring,
  size,
  stage,
}: {
  shape: MouldShape;
  /** Of an article: what it is joined of. */
  parts?: readonly StandingPart[] | undefined;
  colour: string;
  faceColouring?: FaceColouring | undefined;
  size: number;
  stage?: Stage | undefined;
}) {
  const unit = wholeSize({ shape, parts }, 1);
  const scale = (size * 0.86) / Math.max(unit.width, unit.height);
  return (
    <svg width={size} height={size} viewBox={`0 0 ${size} ${size}`} aria-hidden="true" className="shrink-0">
      <g transform={`translate(${size / 2} ${(size + unit.height * scale) / 2})`}>
        <WholePiece
          shape={shape}
          parts={parts}
          colour={colour}
          faceColouring={faceColouring}
          scale={scale}
          {...(stage && { stage })}
        />
      </g>
    </svg>
  );
}
