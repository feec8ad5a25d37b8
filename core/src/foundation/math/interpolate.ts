/** Points of a curve, x rising. */
export type Points = readonly (readonly [x: number, y: number])[];

/** The height of a curve that runs straight between its points, and level before the first and after the last. */
export function interpolate(points: Points, x: number): number {
  const next = points.findIndex(([at]) => x <= at);
  if (next === -1) return points[points.length - 1]![1];
  const [x1, y1] = points[next]!;
  if (next === 0) return y1;
  const [x0, y0] = points[next - 1]!;
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}
