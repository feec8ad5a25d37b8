import { rimOf, type MouldShape } from '@dewpot/core/moulds';
import { sizeNamed, type Solid } from '@dewpot/core/solids';
import type { SectionFrame } from './section-frame';

type Point = readonly [x: number, y: number];

/** A dimension on the drawing, px: the line from edge to edge that it measures, and the middle of its field. */
export interface DimensionLine {
  readonly path: string;
  readonly from: Point;
  readonly to: Point;
  readonly field: Point;
}

/** Height of a field and the room about it, px. */
const FIELD = 44;

/** Fields that tell how wide a solid is at its rim and at its bottom, as far as the section shows them. */
const widths: Partial<Record<Solid['kind'], { readonly top?: string; readonly bottom?: string }>> = {
  'round-frustum': { top: 'topDiameter', bottom: 'bottomDiameter' },
  'rect-frustum': { top: 'topLength', bottom: 'bottomLength' },
  'polygon-frustum': { top: 'topAcross', bottom: 'bottomAcross' },
  cap: { top: 'rimDiameter' },
  'half-ellipsoid': { top: 'rimDiameter' },
  'known-volume': { top: 'length' },
};

const uprights: Partial<Record<Solid['kind'], string>> = {
  'round-frustum': 'height',
  'rect-frustum': 'height',
  'polygon-frustum': 'height',
  'known-volume': 'height',
  cap: 'depth',
  'half-ellipsoid': 'depth',
  prism: 'depth',
  ring: 'depth',
  arc: 'depth',
  spiral: 'depth',
};

const sizeOf = (solid: Solid, field: string) => sizeNamed(solid, field) ?? 0;

/** Where each dimension of a mould stands on its drawing. A pressed shell shows those of its form. */
export function dimensionsOf(shape: MouldShape, frame: SectionFrame): DimensionLine[] {
  const { ground, x, y } = frame;
  const rim = rimOf(shape);
  const found: DimensionLine[] = [];
  const across = (path: string, middle: number, size: number, at: number) =>
    found.push({ path, from: [x(middle - size / 2), at], to: [x(middle + size / 2), at], field: [x(middle), at] });
  const beside = Math.max(48, x(frame.left) - 34);
  const { outer } = shape;
  const own = widths[outer.kind] ?? {};
  const upright = uprights[outer.kind];
  const [plug] = shape.inserts;
  const plugged =
    plug !== undefined && plug.bottom === 0 && plug.solid.kind === 'round-frustum' && !plug.pattern && !plug.x;
  if (own.top) across(`outer.${own.top}`, 0, sizeOf(outer, own.top), Math.max(22, y(rim) - 36));
  if (upright) {
    const [low, high] = shape.pressed ? [rim - sizeOf(outer, upright), rim] : [0, rim];
    found.push({
      path: `outer.${upright}`,
      from: [beside, y(low)],
      to: [beside, y(high)],
      field: [beside, y((low + high) / 2)],
    });
  }
  if (plugged) across('inserts.0.solid.bottomDiameter', 0, sizeOf(plug.solid, 'bottomDiameter'), ground + 26);
  if (own.bottom)
    across(
      `outer.${own.bottom}`,
      0,
      sizeOf(outer, own.bottom),
      Math.min(frame.height - 22, ground + 26 + (plugged ? FIELD : 0)),
    );
  const [core] = shape.cores;
  if (core && !core.pattern && !core.over) {
    const inner = widths[core.solid.kind] ?? {};
    const middle = core.x ?? 0;
    const below = y(rim) + 32;
    if (inner.top) across(`cores.0.solid.${inner.top}`, middle, sizeOf(core.solid, inner.top), below);
    if (inner.bottom)
      across(
        `cores.0.solid.${inner.bottom}`,
        middle,
        sizeOf(core.solid, inner.bottom),
        Math.max(y(core.bottom) - 26, below + FIELD),
      );
    if (core.bottom > 0) {
      const at = x(frame.left) - 14;
      found.push({
        path: 'cores.0.bottom',
        from: [at, ground],
        to: [at, y(core.bottom)],
        field: [Math.min(beside, at - 40), ground + 26],
      });
    }
  }
  return found;
}

const END = 5;

/** Lines with a tick at each end, behind the fields that are edited on them. */
export function DimensionLines({ dimensions }: { dimensions: readonly DimensionLine[] }) {
  return (
    <g stroke="currentColor" strokeWidth={1} opacity={0.6} fill="none" aria-hidden="true">
      {dimensions.map(({ path, from: [x1, y1], to: [x2, y2], field }) => {
        const upright = x1 === x2;
        const tick = (px: number, py: number) =>
          upright ? `M${px - END} ${py}h${2 * END}` : `M${px} ${py - END}v${2 * END}`;
        const lead = path.endsWith('.bottom') ? `M${x1} ${y1}L${field[0]} ${field[1]}` : '';
        return <path key={path} d={`M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}${lead}`} />;
      })}
    </g>
  );
}
