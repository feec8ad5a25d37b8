import { cavityOf, loopsOf, regionAt, type MouldShape } from '@dewpot/core';
import { outlinePath } from '../ui/outline-path';
import { PieceThumb } from '../ui/piece-thumb';

/** Solids that are told by their outline from above rather than from the side. */
const flat: readonly string[] = ['prism', 'ring', 'arc', 'spiral', 'leaf'];

/** A mould in small, from its own geometry: the piece as it stands, or its outline where it lies flat. */
export function ShapeThumb({ shape, size }: { shape: MouldShape; size: number }) {
  if (!flat.includes(shape.outer.kind)) return <PieceThumb shape={shape} colour="#b3ada1" size={size} />;
  const { outer, rim } = cavityOf(shape);
  const region = regionAt(outer, rim * 0.3);
  const { x0, y0, x1, y1 } = region.box;
  const scale = (size * 0.86) / Math.max(x1 - x0, y1 - y0);
  const path = outlinePath(loopsOf(region), ([x, y]) => [(x - (x0 + x1) / 2) * scale, ((y0 + y1) / 2 - y) * scale]);
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${-size / 2} ${-size / 2} ${size} ${size}`}
      aria-hidden="true"
      className="shrink-0"
    >
      <path
        d={path}
        fill="var(--concrete)"
        fillRule="evenodd"
        stroke="currentColor"
        strokeWidth={1.3}
        strokeLinejoin="round"
      />
    </svg>
  );
}
