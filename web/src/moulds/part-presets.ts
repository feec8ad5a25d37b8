import type { Speaker } from '@dewpot/locales';
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
function nestedCore(shape: MouldShape, name: string): PlacedSolid {
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
  return { name, bottom: base, solid };
}

/** What keeps mix out: a core, plugs, pipes. */
const hollowsIn = (say: Speaker): readonly PartPreset[] => [
  { key: 'core', label: say('moulds.aCore'), set: 'cores', make: (shape) => nestedCore(shape, say('moulds.theCore')) },
  {
    key: 'drain',
    label: say('moulds.aDrainPlug'),
    set: 'inserts',
    make: (shape) => ({ name: say('moulds.drainPlug'), bottom: 0, solid: straight(18, sizesOf(shape).base) }),
  },
  {
    key: 'drains',
    label: say('moulds.fourDrainPlugs'),
    set: 'inserts',
    make: (shape) => ({
      name: say('moulds.drainPlugs'),
      bottom: 0,
      solid: straight(12, sizesOf(shape).base),
      pattern: { kind: 'circle', count: 4, radius: sizesOf(shape).narrow * 0.2 },
    }),
  },
  {
    key: 'dowel',
    label: say('moulds.aDowel'),
    set: 'inserts',
    make: (shape) => ({
      name: say('moulds.aDowel'),
      bottom: 0,
      x: sizesOf(shape).across * 0.25,
      solid: straight(10, sizesOf(shape).rim),
    }),
  },
  {
    key: 'stub',
    label: say('moulds.pipeStub'),
    set: 'inserts',
    make: (shape) => ({ name: say('moulds.pipeStub'), bottom: 0, solid: straight(32, sizesOf(shape).rim) }),
  },
  {
    key: 'through',
    label: say('moulds.pipeThrough'),
    set: 'inserts',
    make: (shape) => {
      const { rim, across } = sizesOf(shape);
      const diameter = Math.min(25, rim * 0.5);
      return {
        name: say('moulds.aPipe'),
        bottom: (rim - diameter) / 2,
        solid: { kind: 'lying-pipe', diameter, run: across },
      };
    },
  },
];

/** What a lamp and a wall piece need, and feet. */
const fittingsIn = (say: Speaker): readonly PartPreset[] => [
  {
    key: 'window',
    label: say('moulds.windowBlank'),
    set: 'inserts',
    make: (shape) => {
      const { rim, across, narrow } = sizesOf(shape);
      return {
        name: say('moulds.aWindow'),
        bottom: rim * 0.3,
        x: across / 2 - 10,
        solid: block(60, narrow * 0.25, rim * 0.3),
      };
    },
  },
  {
    key: 'holder',
    label: say('moulds.holderBlank'),
    set: 'inserts',
    make: (shape) => {
      const { rim, narrow } = sizesOf(shape);
      const depth = Math.min(40, rim * 0.5);
      return {
        name: say('moulds.theHolderBlank'),
        bottom: rim - depth,
        solid: straight(Math.min(40, narrow * 0.5), depth),
      };
    },
  },
  {
    key: 'cable',
    label: say('moulds.cableChannel'),
    set: 'inserts',
    make: (shape) => {
      const { across, rim } = sizesOf(shape);
      const run = across / 2 + 10;
      return {
        name: say('moulds.theCableChannel'),
        bottom: Math.min(12, rim * 0.3),
        x: run / 2,
        solid: { kind: 'lying-pipe', diameter: Math.min(8, rim * 0.3), run },
      };
    },
  },
  {
    key: 'hanger',
    label: say('moulds.aHanger'),
    set: 'inserts',
    make: (shape) => {
      const { rim } = sizesOf(shape);
      return {
        name: say('moulds.aHanger'),
        bottom: rim * 0.5,
        y: sizesOf(shape).deep * 0.25,
        stays: true,
        solid: block(40, 4, rim * 0.5),
      };
    },
  },
  {
    key: 'stud',
    label: say('moulds.aStud'),
    set: 'inserts',
    make: (shape) => ({
      name: say('moulds.aStud'),
      bottom: sizesOf(shape).rim * 0.4,
      stays: true,
      solid: straight(8, sizesOf(shape).rim * 0.6),
    }),
  },
  {
    key: 'feet',
    label: say('moulds.threeFeet'),
    set: 'inserts',
    make: (shape) => ({
      name: say('moulds.feet'),
      bottom: 0,
      stays: true,
      solid: straight(14, Math.min(8, sizesOf(shape).rim * 0.2)),
      pattern: { kind: 'circle', count: 3, radius: sizesOf(shape).narrow * 0.3 },
    }),
  },
];

/** Parts to put in, named in the reader's language. */
export const partPresetsIn = (say: Speaker): readonly PartPreset[] => [...hollowsIn(say), ...fittingsIn(say)];
