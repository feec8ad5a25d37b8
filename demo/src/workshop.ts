import type { Exposure, Grade, MouldShape, MouldStuff, PieceKind } from '@dewpot/core';

/** A mould of the demo workshop: sizes in mm, how many copies there are of it. */
export interface DemoMould {
  readonly name: string;
  readonly stuff: MouldStuff;
  readonly piece: PieceKind;
  readonly shape: MouldShape;
  readonly copies: number;
}

type Cone = readonly [bottomDiameter: number, topDiameter: number, height: number];
const cone = ([bottomDiameter, topDiameter, height]: Cone) => ({
  kind: 'round-frustum' as const,
  bottomDiameter,
  topDiameter,
  height,
});

interface Inside {
  readonly core?: Cone;
  readonly base?: number;
  readonly plug?: number;
}

function shape(outer: Cone, { core, base = 0, plug }: Inside = {}): MouldShape {
  return {
    outer: cone(outer),
    cores: core ? [{ name: 'The core', bottom: base, solid: cone(core) }] : [],
    inserts: plug ? [{ name: 'The drain plug', bottom: 0, solid: cone([plug, plug, base]) }] : [],
  };
}

export const moulds: readonly DemoMould[] = [
  {
    name: 'Tall herb pot',
    stuff: 'rigid',
    piece: 'pot',
    copies: 4,
    shape: shape([130, 170, 190], { core: [98, 138, 172], base: 18, plug: 16 }),
  },
  {
    name: 'Nested pail pot',
    stuff: 'rigid',
    piece: 'pot',
    copies: 3,
    shape: shape([160, 200, 180], { core: [124, 160, 162], base: 18, plug: 19 }),
  },
  {
    name: 'Thimble pot',
    stuff: 'flexible',
    piece: 'small-pot',
    copies: 6,
    shape: shape([62, 84, 78], { core: [42, 62, 66], base: 12, plug: 9 }),
  },
  {
    name: 'Alpine pan',
    stuff: 'rigid',
    piece: 'pot',
    copies: 2,
    shape: shape([240, 300, 96], { core: [204, 262, 76], base: 20, plug: 22 }),
  },
  {
    name: 'Tufa bowl',
    stuff: 'rigid',
    piece: 'hypertufa-pot',
    copies: 1,
    shape: shape([190, 260, 150], { core: [112, 178, 112], base: 38, plug: 22 }),
  },
  {
    name: 'Lantern shade',
    stuff: 'flexible',
    piece: 'lamp',
    copies: 2,
    shape: shape([150, 116, 205], { core: [108, 72, 205] }),
  },
  { name: 'Stepping round', stuff: 'rigid', piece: 'slab', copies: 3, shape: shape([292, 300, 45]) },
  {
    name: 'Sundial plinth, upper drum with a moulded waist for the south border',
    stuff: 'flexible',
    piece: 'slab',
    copies: 1,
    shape: shape([236, 190, 245]),
  },
  {
    name: 'Mushroom lamp foot',
    stuff: 'flexible',
    piece: 'lamp',
    copies: 2,
    shape: shape([132, 74, 118], { core: [14, 14, 118] }),
  },
  {
    name: 'Candle dish',
    stuff: 'flexible',
    piece: 'dish',
    copies: 4,
    shape: shape([96, 118, 34], { core: [72, 92, 22], base: 12 }),
  },
];

/** A mix of the demo workshop: materials by their handbook keys. */
export interface DemoMix {
  readonly name: string;
  readonly grade: Grade;
  readonly exposure: Exposure;
  readonly packed: boolean;
  readonly colour: string;
  readonly lines: readonly (readonly [material: string, parts: number])[];
}

export const mixes: readonly DemoMix[] = [
  {
    name: 'Garden grey, 1 to 2½',
    grade: 5,
    exposure: 'outdoors',
    packed: false,
    colour: '#b3ada1',
    lines: [
      ['grey-cement', 1],
      ['sharp-sand', 2.5],
    ],
  },
  {
    name: 'Chalk, 1 to 2',
    grade: 5,
    exposure: 'outdoors',
    packed: false,
    colour: '#e0d9ca',
    lines: [
      ['white-cement', 1],
      ['fine-sand', 2],
    ],
  },
  {
    name: 'Brick blush, 1 to 2',
    grade: 5,
    exposure: 'outdoors',
    packed: false,
    colour: '#bd8a6d',
    lines: [
      ['white-cement', 1],
      ['fine-sand', 1],
      ['sharp-sand', 1],
    ],
  },
  {
    name: 'Canal slate, 1 to 2',
    grade: 5,
    exposure: 'outdoors',
    packed: false,
    colour: '#858c8d',
    lines: [
      ['grey-cement', 1],
      ['fine-sand', 2],
    ],
  },
  {
    name: 'Paver, 1 to 2 to 1',
    grade: 4,
    exposure: 'frost',
    packed: false,
    colour: '#a9a293',
    lines: [
      ['grey-cement', 1],
      ['sharp-sand', 2],
      ['pea-gravel', 1],
    ],
  },
  {
    name: 'Tufa light',
    grade: 3,
    exposure: 'outdoors',
    packed: true,
    colour: '#a0977f',
    lines: [
      ['grey-cement', 1.5],
      ['perlite', 1],
      ['peat', 1],
    ],
  },
];

/** What lies in the store: material, bought kg, left kg, price, days ago. */
export const lots: readonly (readonly [
  material: string,
  bought: number,
  left: number,
  price: number,
  daysAgo: number,
])[] = [
  ['grey-cement', 25, 6.5, 7.4, 96],
  ['grey-cement', 25, 25, 7.9, 12],
  ['white-cement', 20, 13, 16.5, 60],
  ['sharp-sand', 40, 31, 5.2, 40],
  ['fine-sand', 25, 18, 4.1, 44],
  ['pea-gravel', 25, 12, 4.6, 90],
  ['perlite', 2, 1.1, 9.8, 70],
  ['peat', 6, 3.5, 6.4, 80],
];

export const scoops: readonly (readonly [name: string, volume: number])[] = [
  ['the bean can', 400],
  ['the blue cup', 240],
  ['the big tin', 850],
];
