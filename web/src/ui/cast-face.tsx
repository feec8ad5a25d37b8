import { useId } from 'react';
import type { FaceColouring } from '@dewpot/core/pours';
import { FacePaint } from './face-paint';

const BOX = { width: 160, height: 112, corner: 7 } as const;
const outline = `M${BOX.corner} 0H${BOX.width}V${BOX.height - BOX.corner}l${-BOX.corner} ${BOX.corner}H0V${BOX.corner}z`;

/** A drawn cast surface in a colour, as daylight from the upper left would show it. The page holds a `PieceLight`. */
export function CastFace({
  colour,
  other,
  across,
  faceColouring,
  label,
  className = '',
}: {
  colour: string;
  /** Colour of its lower right half, to hold two beside each other. */
  other?: string | undefined;
  /** Colours across it from left to right, where it may come to any of them. */
  across?: readonly string[] | undefined;
  faceColouring?: FaceColouring | undefined;
  /** What it shows, for whoever does not see it. */
  label: string;
  className?: string;
}) {
  const id = useId();
  return (
    <svg
      viewBox={`0 0 ${BOX.width} ${BOX.height}`}
      preserveAspectRatio="none"
      className={`block ${className}`}
      role="img"
      aria-label={label}
    >
      <defs>
        <clipPath id={`${id}-edge`}>
          <path d={outline} />
        </clipPath>
        {faceColouring && (
          <g transform={`translate(${BOX.width / 2} ${BOX.height})`}>
            <FacePaint id={`${id}-face`} faceColouring={faceColouring} width={BOX.width} height={BOX.height} />
          </g>
        )}
      </defs>
      <g clipPath={`url(#${id}-edge)`}>
        {faceColouring ? (
          <g transform={`translate(${BOX.width / 2} ${BOX.height})`}>
            <rect x={-BOX.width / 2} y={-BOX.height} width={BOX.width} height={BOX.height} fill={`url(#${id}-face)`} />
          </g>
        ) : (
          <rect width={BOX.width} height={BOX.height} fill={colour} />
        )}
        {across?.map((one, i) => (
          <rect
            key={i}
            x={(BOX.width * i) / across.length}
            width={BOX.width / across.length + 0.5}
            height={BOX.height}
            fill={one}
          />
        ))}
        {other && <path d={`M${BOX.width} 0V${BOX.height}H0z`} fill={other} />}
        <rect width={BOX.width} height={BOX.height} fill="url(#face-light)" />
        <rect width={BOX.width} height={BOX.height} fill="url(#piece-grain)" opacity={0.4} />
        <path
          d={`M1.5 ${BOX.height}V${BOX.corner}L${BOX.corner} 1.5H${BOX.width}`}
          fill="none"
          stroke="#fff"
          strokeWidth={2.5}
          opacity={0.3}
        />
        <path
          d={`M${BOX.width - 1.5} 0V${BOX.height - BOX.corner}l${-BOX.corner} ${BOX.corner - 1.5}H0`}
          fill="none"
          stroke="#140e06"
          strokeWidth={2.5}
          opacity={0.22}
        />
      </g>
    </svg>
  );
}
