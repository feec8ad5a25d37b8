type Point = readonly [number, number, ...number[]];

/** Size of a pattern's drawing, px. */
export const HEIGHT = 400;
export const WIDTH = 600;
/** Room at the sides and above and below, px: more where sizes stand round it. */
const AIR = [24, 24] as const;
export const SIZED_AIR = [110, 50] as const;

/** Puts points onto the drawing, y upwards, so that all of them fill it. */
export function fitDrawing(
  points: readonly Point[],
  [beside, above]: readonly [number, number] = AIR,
): (point: Point) => readonly [number, number] {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  const [wide, high] = [Math.max(...xs) - x0 || 1, Math.max(...ys) - y0 || 1];
  const scale = Math.min((WIDTH - 2 * beside) / wide, (HEIGHT - 2 * above) / high);
  return ([x, y]) => [(x - x0 - wide / 2) * scale + WIDTH / 2, HEIGHT / 2 - (y - y0 - high / 2) * scale];
}

/** Points as they are written in a path. */
export const pathOf = (points: readonly Point[], at: (point: Point) => readonly [number, number], closed = true): string =>
  `M${points.map((point) => at(point).map((n) => n.toFixed(1)).join(' ')).join('L')}${closed ? 'Z' : ''}`; // prettier-ignore
