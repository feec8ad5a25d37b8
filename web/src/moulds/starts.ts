import type { Speaker } from '@dewpot/locales';
import type { MouldFlexibility, MouldMaterial, MouldShape, PieceKind, PlacedSolid } from '@dewpot/core/moulds';
import type { PlanPoint, Solid } from '@dewpot/core/solids';

/** A way to begin: a mould as it looks in the caster's hands, with sizes to write over. */
export interface Start {
  readonly key: string;
  readonly name: string;
  /** Where to hold the tape. */
  readonly hint: string;
  readonly shape: MouldShape;
  readonly flexibility: MouldFlexibility;
  readonly piece: PieceKind;
  readonly material?: MouldMaterial;
  readonly once?: boolean;
  readonly remake?: string;
}

const cone = (bottomDiameter: number, topDiameter: number, height: number): Solid => ({
  kind: 'round-frustum',
  bottomDiameter,
  topDiameter,
  height,
});
const box = (
  bottom: readonly [number, number],
  top: readonly [number, number],
  height: number,
  cornerRadius = 0,
): Solid => ({
  kind: 'rect-frustum',
  bottomLength: bottom[0],
  bottomWidth: bottom[1],
  topLength: top[0],
  topWidth: top[1],
  height,
  cornerRadius,
});
const shape = (outer: Solid, cores: PlacedSolid[] = [], inserts: PlacedSolid[] = []): MouldShape => ({
  outer,
  cores,
  inserts,
});

/** An oblong with rounded ends, as an outline to draw over. */
const oblong: PlanPoint[] = Array.from({ length: 48 }, (_, i): PlanPoint => {
  const a = (i / 24) * Math.PI;
  return [160 * Math.cos(a) + 26 * Math.cos(3 * a), 105 * Math.sin(a)];
});

/** A leaf with a heart-shaped foot and a tip, to be drawn as large as its area makes it. */
const leaf: PlanPoint[] = Array.from({ length: 60 }, (_, i): PlanPoint => {
  const t = (i / 60) * 2 * Math.PI;
  const r = 1 + 0.32 * Math.cos(t) - 0.42 * Math.exp(-8 * (1 + Math.cos(t))) + 0.03 * Math.cos(9 * t);
  return [Math.round(150 * r * Math.cos(t)), Math.round(118 * r * Math.sin(t))];
});

/** The names under which cores and plugs begin: who casts may call them otherwise. */
const partsIn = (say: Speaker) => ({
  core: (bottom: number, solid: Solid): PlacedSolid => ({ name: say('moulds.theCore'), bottom, solid }),
  plug: (diameter: number, height: number): PlacedSolid => ({
    name: say('moulds.drainPlug'),
    bottom: 0,
    solid: cone(diameter, diameter, height),
  }),
});

/** Vessels that one has: tubs, pails, boxes, trays. */
function nestedIn(say: Speaker): readonly Start[] {
  const { core, plug } = partsIn(say);
  return [
    {
      key: 'tubs',
      name: say('moulds.startTubs'),
      hint: say('moulds.hintInsideOutside'),
      flexibility: 'rigid',
      piece: 'pot',
      shape: shape(cone(160, 200, 180), [core(18, cone(124, 160, 162))], [plug(19, 18)]),
    },
    {
      key: 'pail',
      name: say('moulds.startPail'),
      hint: say('moulds.hintInside'),
      flexibility: 'rigid',
      piece: 'slab',
      shape: shape(cone(220, 260, 60)),
    },
    {
      key: 'trough',
      name: say('moulds.startBoxes'),
      hint: say('moulds.hintInsideOutside'),
      flexibility: 'apart',
      piece: 'trough',
      material: 'wood',
      shape: shape(
        box([400, 200], [420, 220], 180),
        [core(45, box([300, 100], [315, 115], 135))],
        [{ ...plug(20, 45), pattern: { kind: 'row', count: 2, step: 160 } }],
      ),
    },
    {
      key: 'tray',
      name: say('moulds.startTray'),
      hint: say('moulds.hintInside'),
      flexibility: 'flexible',
      piece: 'slab',
      shape: shape(box([280, 280], [300, 300], 45, 20)),
    },
  ];
}

/** Vessels of other shapes: pipes, sided pots, bowls, turned ones. */
function otherVesselsIn(say: Speaker): readonly Start[] {
  const { core } = partsIn(say);
  return [
    {
      key: 'pipe',
      name: say('moulds.startPipes'),
      hint: say('moulds.hintBores'),
      flexibility: 'rigid',
      piece: 'lamp',
      shape: shape(cone(152, 152, 200), [core(0, cone(110, 110, 200))]),
    },
    {
      key: 'sided',
      name: say('moulds.startSided'),
      hint: say('moulds.hintSided'),
      flexibility: 'apart',
      piece: 'pot',
      shape: shape({ kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 }, [
        core(20, { kind: 'polygon-frustum', sides: 6, bottomAcross: 140, topAcross: 168, height: 130 }),
      ]),
    },
    {
      key: 'bowl',
      name: say('moulds.startBowls'),
      hint: say('moulds.hintInsideOutside'),
      flexibility: 'rigid',
      piece: 'dish',
      shape: shape({ kind: 'cap', rimDiameter: 330, depth: 90 }, [
        core(18, { kind: 'cap', rimDiameter: 292, depth: 72 }),
      ]),
    },
    {
      key: 'turned',
      name: say('moulds.startTurned'),
      hint: say('moulds.hintTurned'),
      flexibility: 'flexible',
      piece: 'lamp',
      shape: shape(
        {
          kind: 'revolution',
          smooth: true,
          points: [
            { height: 0, radius: 75 },
            { height: 50, radius: 82 },
            { height: 110, radius: 68 },
            { height: 180, radius: 60 },
          ],
        },
        [core(0, cone(90, 72, 180))],
      ),
    },
  ];
}

/** Moulds that are made for the piece: a form, a leaf, strips. */
function madeIn(say: Speaker): readonly Start[] {
  return [
    {
      key: 'shell',
      name: say('moulds.startShell'),
      hint: say('moulds.hintShell'),
      flexibility: 'rigid',
      piece: 'hypertufa-pot',
      shape: { ...shape(box([350, 250], [350, 250], 200)), pressed: { side: 'over', thickness: 35 } },
    },
    {
      key: 'leaf',
      name: say('moulds.startLeaf'),
      hint: say('moulds.hintLeaf'),
      flexibility: 'flexible',
      piece: 'leaf',
      material: 'sand',
      once: true,
      remake: say('moulds.leafRemake'),
      shape: shape({ kind: 'leaf', area: 90000, middle: 20, edge: 12, rise: 60, outline: leaf }),
    },
    {
      key: 'ring',
      name: say('moulds.startRing'),
      hint: say('moulds.hintRing'),
      flexibility: 'apart',
      piece: 'ornament',
      material: 'wood',
      shape: shape({ kind: 'ring', innerDiameter: 260, width: 45, depth: 40 }),
    },
    {
      key: 'bow',
      name: say('moulds.stripsBow'),
      hint: say('moulds.hintBow'),
      flexibility: 'apart',
      piece: 'slab',
      material: 'wood',
      shape: shape({ kind: 'arc', radius: 400, angle: 60, width: 90, depth: 60 }),
    },
    {
      key: 'spiral',
      name: say('moulds.stripSpiral'),
      hint: say('moulds.hintSpiral'),
      flexibility: 'apart',
      piece: 'ornament',
      material: 'metal',
      shape: shape({ kind: 'spiral', startRadius: 30, pitch: 60, turns: 3, width: 35, depth: 25 }),
    },
  ];
}

/** Slabs with pipes, folded solids, outlines, bought moulds. */
function otherIn(say: Speaker): readonly Start[] {
  return [
    {
      key: 'pipes',
      name: say('moulds.startSlabPipes'),
      hint: say('moulds.hintSlabPipes'),
      flexibility: 'apart',
      piece: 'panel',
      material: 'wood',
      shape: shape(
        box([500, 300], [500, 300], 60),
        [],
        [{ name: say('moulds.thePipe'), bottom: 18, y: 80, solid: { kind: 'lying-pipe', diameter: 25, run: 500 } }],
      ),
    },
    {
      key: 'faces',
      name: say('moulds.equalFaces'),
      hint: say('moulds.hintFaces'),
      flexibility: 'apart',
      piece: 'ornament',
      material: 'card',
      shape: shape({ kind: 'polyhedron', which: 'dodecahedron', edge: 70, open: 'pentagon' }),
    },
    {
      key: 'outline',
      name: say('moulds.startOutline'),
      hint: say('moulds.hintOutline'),
      flexibility: 'flexible',
      piece: 'slab',
      shape: shape({ kind: 'prism', outline: oblong, depth: 45, draft: 4 }),
    },
    {
      key: 'bought',
      name: say('moulds.startBought'),
      hint: say('moulds.hintBought'),
      flexibility: 'flexible',
      piece: 'dish',
      material: 'silicone',
      shape: shape({ kind: 'known-volume', volume: 480, length: 120, width: 120, height: 60 }),
    },
  ];
}

/** Ways to begin a mould, named in the reader's language. */
export const startsIn = (say: Speaker): readonly Start[] => [
  ...nestedIn(say),
  ...otherVesselsIn(say),
  ...madeIn(say),
  ...otherIn(say),
];
