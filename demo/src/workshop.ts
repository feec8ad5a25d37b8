import type { BinderClass } from '@dewpot/core/binders';
import type { Stock } from '@dewpot/core/cutting';
import type { Exposure, Grade, PartsBy } from '@dewpot/core/mixes';

/** A mix of the demo workshop: materials by their handbook keys. */
export interface DemoMix {
  readonly name: string;
  readonly grade: Grade;
  readonly exposure: Exposure;
  readonly packed: boolean;
  readonly colour: string;
  readonly lines: readonly (readonly [material: string, parts: number])[];
  readonly doses?: readonly (readonly [material: string, amount: number])[];
  readonly by?: PartsBy;
  readonly binderClass?: BinderClass;
  readonly moistCuringDays?: number;
  readonly suits?: string;
  readonly unfit?: string;
}

export const mixes: readonly DemoMix[] = [
  {
    name: 'demo.gardenGrey',
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
    name: 'demo.chalk',
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
    name: 'demo.brickBlush',
    grade: 5,
    exposure: 'outdoors',
    packed: false,
    colour: '#bd8a6d',
    lines: [
      ['white-cement', 1],
      ['fine-sand', 1],
      ['sharp-sand', 1],
    ],
    doses: [['red-oxide', 0.03]],
    suits: 'demo.brickSuits',
  },
  {
    name: 'demo.canalSlate',
    grade: 5,
    exposure: 'outdoors',
    packed: false,
    colour: '#858c8d',
    lines: [
      ['grey-cement', 1],
      ['fine-sand', 2],
    ],
    doses: [['carbon-black', 0.006]],
  },
  {
    name: 'demo.paver',
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
    name: 'demo.tufaLight',
    grade: 3,
    exposure: 'outdoors',
    packed: true,
    colour: '#a0977f',
    lines: [
      ['grey-cement', 1.5],
      ['perlite', 1],
      ['peat', 1],
    ],
    doses: [['pp-fibre', 0.9]],
    moistCuringDays: 14,
    suits: 'demo.tufaSuits',
    unfit: 'demo.tufaUnfit',
  },
  {
    name: 'demo.quickJar',
    grade: 5,
    exposure: 'indoors',
    packed: false,
    colour: '#c6c1b6',
    by: 'mass',
    binderClass: 'fast-setting',
    moistCuringDays: 1,
    lines: [['fast-setting', 1]],
    doses: [['yellow-oxide', 0.01]],
    suits: 'demo.jarSuits',
    unfit: 'demo.jarUnfit',
  },
  {
    name: 'demo.lightPanel',
    grade: 4,
    exposure: 'outdoors',
    packed: false,
    colour: '#cfcabd',
    lines: [
      ['white-cement', 1],
      ['fine-sand', 1],
      ['glass-beads', 1.5],
    ],
    doses: [
      ['plasticiser', 0.005],
      ['glass-fibre', 4],
    ],
    suits: 'demo.panelSuits',
  },
];

/** What was changed in a mix after it was poured: its next version. */
export const nextVersion = { mix: 4, doses: [['plasticiser', 0.006]] } as const;

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
  ['fast-setting', 15, 9, 21, 30],
  ['glass-beads', 3, 2.4, 14, 55],
  ['red-oxide', 1, 0.62, 8.5, 120],
  ['yellow-oxide', 1, 0.9, 8.5, 120],
  ['carbon-black', 0.5, 0.41, 7, 120],
  ['chromium-green', 0.5, 0.44, 12, 62],
  ['titanium-white', 1, 0.85, 9.5, 62],
  ['brown-oxide', 1, 0.9, 8.5, 62],
  ['ultramarine', 0.5, 0.5, 9, 20],
  ['pp-fibre', 0.6, 0.45, 9, 110],
  ['glass-fibre', 1, 0.8, 12, 55],
  ['plasticiser', 1.07, 0.8, 11, 65],
];

export const scoops: readonly (readonly [name: string, volume: number])[] = [
  ['demo.beanCan', 400],
  ['demo.blueCup', 240],
  ['demo.bigTin', 850],
];

/** What the workshop cuts its patterns from, mm. */
export const cutStock: readonly (Stock & { readonly name: string })[] = [
  { name: 'demo.birchPly', kind: 'sheet', length: 600, width: 300, thickness: 3, count: 4, price: 8.5 },
  { name: 'demo.shutteringOffcut', kind: 'sheet', length: 1220, width: 610, thickness: 18, count: 1 },
  { name: 'demo.larchBoard', kind: 'stick', length: 3000, width: 145, thickness: 18, count: 6, price: 7.2 },
  { name: 'demo.galvanisedMesh', kind: 'mesh', length: 2000, width: 1000, thickness: 1.2, count: 2, price: 11 },
];
