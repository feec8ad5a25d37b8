import { outlinePath } from '../ui/outline-path';

type Point = readonly [x: number, y: number];

/** Outlines in a square of `size` px, mm upwards: their largest reach fills a `share` of it. */
export function OutlineThumb({
  outlines,
  size,
  share = 0.86,
}: {
  outlines: readonly (readonly Point[])[];
  size: number;
  share?: number;
}) {
  const points = outlines.flat();
  const [x0, x1] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
  const [y0, y1] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))];
  const scale = (size * share) / Math.max(x1 - x0, y1 - y0);
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${-size / 2} ${-size / 2} ${size} ${size}`}
      aria-hidden="true"
      className="shrink-0"
    >
      <path
        d={outlinePath(outlines, ([x, y]) => [(x - (x0 + x1) / 2) * scale, ((y0 + y1) / 2 - y) * scale])}
        fill="var(--concrete)"
        fillRule="evenodd"
        stroke="currentColor"
        strokeWidth={1.3}
        strokeLinejoin="round"
      />
    </svg>
  );
}
