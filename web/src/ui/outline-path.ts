type Point = readonly [number, number];

/** Closed outlines as one path, each point put on the paper by `put`. */
export function outlinePath(outlines: readonly (readonly Point[])[], put: (point: Point) => Point): string {
  const text = (point: Point) =>
    put(point)
      .map((n) => n.toFixed(1))
      .join(' ');
  return outlines.map((outline) => `M${outline.map(text).join('L')}Z`).join('');
}
