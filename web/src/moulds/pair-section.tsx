import { sectionCut, type MouldShape } from '@dewpot/core';
import { outlinePath } from '../ui/outline-path';

/** A mould's section in small: mix hatched between the tubs. */
export function PairSection({ shape, size }: { shape: MouldShape; size: number }) {
  const cuts = sectionCut(shape);
  const points = cuts[0]!.outlines.flat();
  const [x0, x1] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
  const top = Math.max(...points.map(([, z]) => z));
  const scale = (size * 0.92) / Math.max(x1 - x0, top);
  const path = outlinePath(
    cuts.flatMap(({ outlines }) => outlines),
    ([x, z]) => [(x - (x0 + x1) / 2) * scale, (top / 2 - z) * scale],
  );
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
