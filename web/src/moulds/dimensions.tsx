import type { MouldShape } from '@dewpot/core';
import type { NestedPot } from './draft';
import { frameOf, VIEW } from './section-frame';

export type Size = Exclude<keyof NestedPot, 'cored'>;
type Point = readonly [x: number, y: number];

/** A dimension on the drawing, px: the line from edge to edge that it measures, and the middle of its field. */
export interface Dimension {
  readonly size: Size;
  readonly from: Point;
  readonly to: Point;
  readonly field: Point;
}

/** Height of a field and the room about it, px. */
const FIELD = 44;

/** Where each dimension of a mould stands on its drawing. */
export function dimensionsOf(shape: MouldShape): Dimension[] {
  const { axis, ground, x, y } = frameOf(shape);
  const { outer, inserts } = shape;
  const core = shape.cores[0];
  const left = x(-Math.max(outer.bottomDiameter, outer.topDiameter) / 2);
  const across = (size: Size, diameter: number, at: number): Dimension => ({
    size,
    from: [x(-diameter / 2), at],
    to: [x(diameter / 2), at],
    field: [axis, at],
  });
  const beside = Math.max(48, left - 34);
  return [
    across('outerTop', outer.topDiameter, Math.max(22, y(outer.height) - 36)),
    { size: 'height', from: [beside, ground], to: [beside, y(outer.height)], field: [beside, y(outer.height / 2)] },
    across('plug', inserts[0]?.solid.bottomDiameter ?? 0, ground + 26),
    across('outerBottom', outer.bottomDiameter, Math.min(VIEW.height - 22, ground + 26 + FIELD)),
    ...(core
      ? [
          across('coreTop', core.solid.topDiameter, y(outer.height) + 32),
          across('coreBottom', core.solid.bottomDiameter, Math.max(y(core.bottom) - 26, y(outer.height) + 32 + FIELD)),
          baseDimension(x(-outer.bottomDiameter / 2) - 14, ground, y(core.bottom), beside),
        ]
      : []),
  ];
}

function baseDimension(at: number, ground: number, top: number, beside: number): Dimension {
  return { size: 'base', from: [at, ground], to: [at, top], field: [Math.min(beside, at - 40), ground + 26] };
}

const END = 5;

/** Lines with a tick at each end, behind the fields that are edited on them. */
export function DimensionLines({ shape }: { shape: MouldShape }) {
  return (
    <g stroke="currentColor" strokeWidth={1} opacity={0.6} fill="none" aria-hidden="true">
      {dimensionsOf(shape).map(({ size, from: [x1, y1], to: [x2, y2], field }) => {
        const upright = x1 === x2;
        const tick = (px: number, py: number) =>
          upright ? `M${px - END} ${py}h${2 * END}` : `M${px} ${py - END}v${2 * END}`;
        const lead = size === 'base' ? `M${x1} ${y1}L${field[0]} ${field[1]}` : '';
        return <path key={size} d={`M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}${lead}`} />;
      })}
    </g>
  );
}
