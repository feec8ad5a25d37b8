import type { Exposure, Grade } from '@dewpot/core';

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
