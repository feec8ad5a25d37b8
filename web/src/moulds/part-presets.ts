import { rimOf, type MouldShape, type PlacedSolid } from '@dewpot/core/moulds';
import { bodyOf, type Solid } from '@dewpot/core/solids';

/** Something that is put into a mould, sized for it. */
export interface PartPreset {
  readonly key: string;
  readonly label: string;
  readonly set: 'cores' | 'inserts';
  readonly make: (shape: MouldShape) => PlacedSolid;
}

const straight = (diameter: number, height: number): Solid => ({
  kind: 'round-frustum',
  bottomDiameter: diameter,
  topDiameter: diameter,
  height,
});
const block = (length: number, width: number, height: number): Solid => ({
  kind: 'rect-frustum',
  bottomLength: length,
  bottomWidth: width,
  topLength: length,
  topWidth: width,
  height,
  cornerRadius: 0,
});

function sizesOf(shape: MouldShape) {
  const rim = rimOf(shape);
  const { box } = bodyOf(shape.outer).regionAt(bodyOf(shape.outer).height * 0.5);
  const [across, deep] = [box.x1 - box.x0, box.y1 - box.y0];
  const base = Math.min(...shape.cores.map(({ bottom }) => bottom).filter((z) => z > 0), rim);
  return { rim, across, deep, narrow: Math.min(across, deep), base };
}

/** A core a little narrower than the mould all round, of the mould's own kind where that nests. */
function nestedCore(shape: MouldShape): PlacedSolid {
  const { rim, narrow, across, deep } = sizesOf(shape);
  const wall = Math.max(10, narrow * 0.1);
  const base = Math.min(rim / 3, wall);
  const height = rim - base;
  const { outer } = shape;
  const solid: Solid =
    outer.kind === 'round-frustum'
      ? { ...outer, bottomDiameter: outer.bottomDiameter - 2 * wall, topDiameter: outer.topDiameter - 2 * wall, height }
      : outer.kind === 'polygon-frustum'
        ? { ...outer, bottomAcross: outer.bottomAcross - 2 * wall, topAcross: outer.topAcross - 2 * wall, height }
        : outer.kind === 'rect-frustum'
          ? block(across - 2 * wall, deep - 2 * wall, height)
          : straight(narrow * 0.5, height);
  return { name: 'The core', bottom: base, solid };
}

export const partPresets: readonly PartPreset[] = [
  { key: 'core', label: 'A core', set: 'cores', make: nestedCore },
  {
    key: 'drain',
    label: 'A drain plug',
    set: 'inserts',
    make: (shape) => ({ name: 'The drain plug', bottom: 0, solid: straight(18, sizesOf(shape).base) }),
  },
  {
    key: 'drains',
    label: 'Four drain plugs on a circle',
    set: 'inserts',
    make: (shape) => ({
      name: 'Drain plugs',
      bottom: 0,
      solid: straight(12, sizesOf(shape).base),
      pattern: { kind: 'circle', count: 4, radius: sizesOf(shape).narrow * 0.2 },
    }),
  },
  {
    key: 'dowel',
    label: 'A dowel',
    set: 'inserts',
    make: (shape) => ({
      name: 'A dowel',
      bottom: 0,
      x: sizesOf(shape).across * 0.25,
      solid: straight(10, sizesOf(shape).rim),
    }),
  },
  {
    key: 'stub',
    label: 'A pipe stub',
    set: 'inserts',
    make: (shape) => ({ name: 'A pipe stub', bottom: 0, solid: straight(32, sizesOf(shape).rim) }),
  },
  {
    key: 'through',
    label: 'A pipe through it',
    set: 'inserts',
    make: (shape) => {
      const { rim, across } = sizesOf(shape);
      const diameter = Math.min(25, rim * 0.5);
      return { name: 'A pipe', bottom: (rim - diameter) / 2, solid: { kind: 'lying-pipe', diameter, run: across } };
    },
  },
  {
    key: 'window',
    label: 'A window blank',
    set: 'inserts',
    make: (shape) => {
      const { rim, across, narrow } = sizesOf(shape);
      return { name: 'A window', bottom: rim * 0.3, x: across / 2 - 10, solid: block(60, narrow * 0.25, rim * 0.3) };
    },
  },
  {
    key: 'holder',
    label: 'A lamp-holder blank',
    set: 'inserts',
    make: (shape) => {
      const { rim, narrow } = sizesOf(shape);
      const depth = Math.min(40, rim * 0.5);
      return { name: 'The lamp-holder blank', bottom: rim - depth, solid: straight(Math.min(40, narrow * 0.5), depth) };
    },
  },
  {
    key: 'cable',
    label: 'A cable channel',
    set: 'inserts',
    make: (shape) => {
      const { across, rim } = sizesOf(shape);
      const run = across / 2 + 10;
      return {
        name: 'The cable channel',
        bottom: Math.min(12, rim * 0.3),
        x: run / 2,
        solid: { kind: 'lying-pipe', diameter: Math.min(8, rim * 0.3), run },
      };
    },
  },
  {
    key: 'hanger',
    label: 'A hanger',
    set: 'inserts',
    make: (shape) => {
      const { rim } = sizesOf(shape);
      return {
        name: 'A hanger',
        bottom: rim * 0.5,
        y: sizesOf(shape).deep * 0.25,
        stays: true,
        solid: block(40, 4, rim * 0.5),
      };
    },
  },
  {
    key: 'stud',
    label: 'A stud',
    set: 'inserts',
    make: (shape) => ({
      name: 'A stud',
      bottom: sizesOf(shape).rim * 0.4,
      stays: true,
      solid: straight(8, sizesOf(shape).rim * 0.6),
    }),
  },
  {
    key: 'feet',
    label: 'Three feet',
    set: 'inserts',
    make: (shape) => ({
      name: 'Feet',
      bottom: 0,
      stays: true,
      solid: straight(14, Math.min(8, sizesOf(shape).rim * 0.2)),
      pattern: { kind: 'circle', count: 3, radius: sizesOf(shape).narrow * 0.3 },
    }),
  },
];
