import type {
  MouldFlexibility,
  MouldMaterial,
  MouldShape,
  PieceKind,
  PlacedSolid,
  TubSolid,
} from '@dewpot/core/moulds';
import type { PlanPoint, Solid } from '@dewpot/core/solids';

/** A mould of the demo workshop: sizes in mm, how many copies there are of it. */
export interface DemoMould {
  readonly name: string;
  readonly flexibility: MouldFlexibility;
  readonly piece: PieceKind;
  readonly material: MouldMaterial;
  readonly shape: MouldShape;
  readonly copies: number;
  readonly once?: boolean;
  readonly remake?: string;
  readonly notes?: string;
}

const cone = (bottomDiameter: number, topDiameter: number, height: number): TubSolid => ({
  kind: 'round-frustum',
  bottomDiameter,
  topDiameter,
  height,
});
const hexagon = (bottomAcross: number, topAcross: number, height: number): Solid => ({
  kind: 'polygon-frustum',
  sides: 6,
  bottomAcross,
  topAcross,
  height,
});
const box = (length: number, width: number, height: number, flare = 0, cornerRadius = 0): TubSolid => ({
  kind: 'rect-frustum',
  bottomLength: length,
  bottomWidth: width,
  topLength: length + flare,
  topWidth: width + flare,
  height,
  cornerRadius,
});
const turned = (smooth: boolean, ...points: [height: number, radius: number][]): Solid => ({
  kind: 'revolution',
  smooth,
  points: points.map(([height, radius]) => ({ height, radius })),
});
const core = (bottom: number, solid: Solid): PlacedSolid => ({ name: 'demo.core', bottom, solid });
const plug = (diameter: number, height: number): PlacedSolid => ({
  name: 'demo.drainPlug',
  bottom: 0,
  solid: cone(diameter, diameter, height),
});
const shape = (outer: Solid, cores: PlacedSolid[] = [], inserts: PlacedSolid[] = []): MouldShape => ({
  outer,
  cores,
  inserts,
});

/** A round whose edge goes in waves. */
const waves = (radius: number, depth: number, count: number): PlanPoint[] =>
  Array.from({ length: count * 8 }, (_, i): PlanPoint => {
    const a = (i / (count * 8)) * 2 * Math.PI;
    const r = radius + depth * Math.cos(count * a);
    return [Math.round(r * Math.cos(a) * 10) / 10, Math.round(r * Math.sin(a) * 10) / 10];
  });

/** A butterbur leaf: a notch where its stem was, lobes along its edge, a blunt tip. */
const butterbur: PlanPoint[] = Array.from({ length: 72 }, (_, i): PlanPoint => {
  const a = (i / 72) * 2 * Math.PI;
  const r = 1 + 0.22 * Math.cos(a) - 0.5 * Math.exp(-10 * (1 + Math.cos(a))) + 0.045 * Math.cos(11 * a);
  return [Math.round(180 * r * Math.cos(a)), Math.round(165 * r * Math.sin(a))];
});

/** Ribs of a lantern shade: ring upon ring, each a little narrower. */
const ribs = Array.from({ length: 7 }, (_, i): [number, number] => [i * 34, (i % 2 ? 66 : 75) - i * 2.4]);

export const moulds: readonly DemoMould[] = [
  {
    name: 'demo.hexagonPot',
    flexibility: 'apart',
    piece: 'pot',
    material: 'wood',
    copies: 4,
    notes: 'demo.hexagonPotNotes',
    shape: shape(hexagon(130, 160, 170), [core(18, hexagon(98, 126, 152))], [plug(16, 18)]),
  },
  {
    name: 'demo.pailPot',
    flexibility: 'rigid',
    piece: 'pot',
    material: 'rigid-plastic',
    copies: 3,
    shape: shape(cone(160, 200, 180), [core(18, cone(124, 160, 162))], [plug(19, 18)]),
  },
  {
    name: 'demo.thimblePot',
    flexibility: 'flexible',
    piece: 'small-pot',
    material: 'silicone',
    copies: 6,
    shape: shape(cone(62, 84, 78), [core(12, cone(42, 62, 66))], [plug(9, 12)]),
  },
  {
    name: 'demo.alpineTrough',
    flexibility: 'apart',
    piece: 'trough',
    material: 'wood',
    copies: 2,
    shape: shape(
      box(340, 170, 110, 16),
      [core(46, box(246, 76, 64, 10))],
      [{ ...plug(16, 46), pattern: { kind: 'row', count: 3, step: 80 } }],
    ),
  },
  {
    name: 'demo.tufaBowl',
    flexibility: 'rigid',
    piece: 'hypertufa-pot',
    material: 'film-lined',
    copies: 1,
    shape: { ...shape({ kind: 'cap', rimDiameter: 250, depth: 95 }), pressed: { side: 'over', thickness: 36 } },
  },
  {
    name: 'demo.lanternShade',
    flexibility: 'flexible',
    piece: 'lamp',
    material: 'silicone',
    copies: 2,
    shape: shape(turned(true, ...ribs), [core(0, cone(104, 84, 204))]),
  },
  {
    name: 'demo.steppingRound',
    flexibility: 'rigid',
    piece: 'slab',
    material: 'rigid-plastic',
    copies: 3,
    shape: shape({ kind: 'prism', outline: waves(145, 7, 12), depth: 45, draft: 5 }),
  },
  {
    name: 'demo.sundialPlinth',
    flexibility: 'flexible',
    piece: 'slab',
    material: 'latex',
    copies: 1,
    shape: shape(turned(true, [0, 118], [18, 118], [34, 96], [130, 86], [205, 98], [222, 108], [245, 108])),
  },
  {
    name: 'demo.lampFoot',
    flexibility: 'flexible',
    piece: 'lamp',
    material: 'silicone',
    copies: 2,
    shape: shape(
      turned(true, [0, 66], [22, 62], [50, 38], [90, 34], [118, 44]),
      [],
      [{ name: 'demo.cableChannel', bottom: 0, solid: cone(14, 14, 118) }],
    ),
  },
  {
    name: 'demo.candleDish',
    flexibility: 'flexible',
    piece: 'dish',
    material: 'silicone',
    copies: 4,
    shape: shape(cone(96, 118, 34), [core(12, cone(72, 92, 22))]),
  },
  {
    name: 'demo.edgingBlock',
    flexibility: 'rigid',
    piece: 'slab',
    material: 'rigid-plastic',
    copies: 5,
    shape: shape(box(240, 90, 60, 8, 10)),
  },
  {
    name: 'demo.bookendWedge',
    flexibility: 'flexible',
    piece: 'ornament',
    material: 'silicone',
    copies: 2,
    shape: shape({
      kind: 'prism',
      outline: [
        [-70, -60],
        [70, -60],
        [-40, 90],
        [-70, 90],
      ],
      depth: 80,
      draft: 1,
    }),
  },
  {
    name: 'demo.butterburLeaf',
    flexibility: 'flexible',
    piece: 'leaf',
    material: 'sand',
    copies: 0,
    once: true,
    remake: 'demo.leafRemake',
    shape: shape({ kind: 'leaf', area: 118000, middle: 24, edge: 13, rise: 70, outline: butterbur }),
  },
  {
    name: 'demo.twelveFacedLamp',
    flexibility: 'apart',
    piece: 'lamp',
    material: 'card',
    copies: 1,
    shape: {
      ...shape({ kind: 'polyhedron', which: 'dodecahedron', edge: 62, open: 'pentagon' }),
      pressed: { side: 'inside', thickness: 22 },
    },
  },
  {
    name: 'demo.trellisPanel',
    flexibility: 'apart',
    piece: 'panel',
    material: 'wood',
    copies: 1,
    shape: shape(
      box(420, 260, 55),
      [],
      [
        { name: 'demo.pipe', bottom: 15, y: -80, solid: { kind: 'lying-pipe', diameter: 25, run: 420 } },
        { name: 'demo.otherPipe', bottom: 15, y: 80, solid: { kind: 'lying-pipe', diameter: 25, run: 420 } },
      ],
    ),
  },
];

/** A tub that the two own: its inside and its wall, mm. */
export interface DemoTub {
  readonly name: string;
  readonly inside: TubSolid;
  readonly wall: number;
}

export const tubs: readonly DemoTub[] = [
  { name: 'demo.tenLitrePail', inside: cone(212, 264, 238), wall: 2 },
  { name: 'demo.bulbTub', inside: cone(162, 206, 190), wall: 1.5 },
  { name: 'demo.beanTub', inside: cone(118, 150, 172), wall: 1.5 },
  { name: 'demo.yoghurtPail', inside: cone(96, 116, 120), wall: 1 },
  { name: 'demo.washUpBowl', inside: box(300, 240, 120, 40, 30), wall: 2 },
  { name: 'demo.seedTray', inside: box(330, 190, 60, 16, 10), wall: 1.5 },
  { name: 'demo.breadCrock', inside: cone(190, 200, 210), wall: 9 },
  { name: 'demo.drainPipe', inside: cone(110, 110, 240), wall: 3 },
];
