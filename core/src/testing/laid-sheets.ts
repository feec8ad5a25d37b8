import type { OutlineWanted, Sheet, SheetLayout } from '../geometry/cutting/index.js';
import type { PlanPoint } from '../geometry/solids/index.js';

/** What is wrong with a layout, found by itself: it shares nothing with how layouts are made. Distances in mm. */
export function layoutBreaches(
  { sheets: laid }: SheetLayout,
  wanted: readonly OutlineWanted[],
  sheets: readonly Sheet[],
  kerf: number,
): string[] {
  const breaches: string[] = [];
  for (const { key, count } of wanted) {
    const cut = laid.flatMap(({ placed }) => placed).filter((one) => one.key === key).length;
    if (cut !== count) breaches.push(`${key} is cut ${cut} times, wanted ${count}`);
  }
  for (const { key, count } of sheets) {
    const used = laid.filter(({ sheet }) => sheet === key).length;
    if (used > count) breaches.push(`${used} sheets ${key} of ${count}`);
  }
  laid.forEach(({ sheet, placed }, at) => {
    const { length, width } = sheets.find(({ key }) => key === sheet)!;
    const outlines = placed.map(({ key, turn, x, y }) => {
      const part = wanted.find((one) => one.key === key)!;
      if (part.grain && turn % 2 === 1) breaches.push(`${key} lies across its grain`);
      const [cos, sin] = [Math.cos((turn * Math.PI) / 2), Math.sin((turn * Math.PI) / 2)];
      return part.outline.map(([px, py]): PlanPoint => [px * cos - py * sin + x, px * sin + py * cos + y]);
    });
    outlines.forEach((one, i) => {
      if (one.some(([x, y]) => x < -TOLERANCE || y < -TOLERANCE || x > length + TOLERANCE || y > width + TOLERANCE))
        breaches.push(`part ${i} leaves sheet ${at}`);
      for (const [j, other] of outlines.slice(i + 1).entries())
        if (apart(one, other) < kerf - TOLERANCE) breaches.push(`parts ${i} and ${i + 1 + j} of sheet ${at} are ${apart(one, other)} apart`); // prettier-ignore
    });
  });
  return breaches;
}

const TOLERANCE = 0.05;

const sides = (outline: readonly PlanPoint[]) =>
  outline.map((from, i) => [from, outline[(i + 1) % outline.length]!] as const);

/** How far a point lies from a side, mm. */
export function toSide([x, y]: PlanPoint, [[ax, ay], [bx, by]]: readonly [PlanPoint, PlanPoint]): number {
  const [dx, dy] = [bx - ax, by - ay];
  const share = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(x - ax - share * dx, y - ay - share * dy);
}

/** Whether two sides cross by more than the tolerance. */
const crosses = (one: readonly [PlanPoint, PlanPoint], other: readonly [PlanPoint, PlanPoint]): boolean => {
  const [[a, b], [c, d]] = [one, other];
  const side = ([px, py]: PlanPoint, [qx, qy]: PlanPoint, [rx, ry]: PlanPoint) => (qx - px) * (ry - py) - (qy - py) * (rx - px); // prettier-ignore
  if (side(a, b, c) * side(a, b, d) >= 0 || side(c, d, a) * side(c, d, b) >= 0) return false;
  return Math.min(toSide(a, other), toSide(b, other), toSide(c, one), toSide(d, one)) > TOLERANCE;
};

const within = ([x, y]: PlanPoint, outline: readonly PlanPoint[]): boolean =>
  sides(outline).reduce(
    (inside, [[ax, ay], [bx, by]]) =>
      ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax ? !inside : inside,
    false,
  );

/** How far two outlines are apart; how deep a corner lies in the other, negative, where they overlap. */
function apart(a: readonly PlanPoint[], b: readonly PlanPoint[]): number {
  const nearest = Math.min(
    ...a.map((at) => Math.min(...sides(b).map((side) => toSide(at, side)))),
    ...b.map((at) => Math.min(...sides(a).map((side) => toSide(at, side)))),
  );
  const deep = [...a.filter((at) => within(at, b)).map((at) => Math.min(...sides(b).map((side) => toSide(at, side)))), ...b.filter((at) => within(at, a)).map((at) => Math.min(...sides(a).map((side) => toSide(at, side))))]; // prettier-ignore
  if (deep.length > 0) return Math.min(0, -Math.max(...deep));
  if (sides(a).some((side) => sides(b).some((other) => crosses(side, other)))) return -1;
  return nearest;
}
