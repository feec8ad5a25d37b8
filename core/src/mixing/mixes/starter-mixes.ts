import type { BinderClass } from '../binders/index.js';
import type { Grade } from './consistency.js';
import type { Exposure, PartsBy } from './mix.js';

/** A mix to start from: materials by their handbook keys, with what it is for and not for. */
export interface Starter {
  readonly key: string;
  readonly name: string;
  readonly school: string;
  readonly suits: string;
  readonly unfit: string;
  readonly by: PartsBy;
  readonly grade: Grade;
  readonly exposure: Exposure;
  readonly packed: boolean;
  readonly binderClass: BinderClass;
  readonly moistCuringDays: number;
  readonly colour: string;
  readonly lines: readonly (readonly [material: string, parts: number])[];
  readonly doses: readonly (readonly [material: string, amount: number])[];
}

const starter = (
  key: string,
  name: string,
  school: string,
  suits: string,
  unfit: string,
  lines: Starter['lines'],
  over: Partial<Starter> = {},
): Starter => ({
  key,
  name,
  school,
  suits,
  unfit,
  lines,
  by: 'volume',
  grade: 5,
  exposure: 'outdoors',
  packed: false,
  binderClass: 'portland',
  moistCuringDays: 7,
  colour: '#b3ada1',
  doses: [],
  ...over,
});

/** Mixes to start from, across the schools; ratios of our own within the usual ranges. */
export const starters: readonly Starter[] = [
  starter('garden', 'Garden grey', 'sand-cement', 'pots, nested moulds, edging', 'thin dishes with fine detail', [
    ['grey-cement', 1],
    ['sharp-sand', 2.5],
  ]),
  starter(
    'fine',
    'Fine and pale',
    'sand-cement',
    'dishes, detail, pale tints',
    'slabs that are walked on in frost',
    [
      ['white-cement', 1],
      ['fine-sand', 2],
    ],
    { colour: '#e0d9ca', doses: [['plasticiser', 0.004]], exposure: 'indoors' },
  ),
  starter(
    'leaf',
    'Leaf skin',
    'sand-cement',
    'leaf casts and shells pressed by hand',
    'pouring: it does not flow',
    [
      ['grey-cement', 1],
      ['fine-sand', 1],
      ['sharp-sand', 1],
    ],
    { grade: 2, packed: true, doses: [['acrylic-polymer', 0.05]] },
  ),
  starter(
    'paver',
    'Stepping stone',
    'gravelled',
    'stepping stones, plinths, thick slabs',
    'walls under 30 mm: the gravel jams',
    [
      ['grey-cement', 1],
      ['sharp-sand', 2],
      ['pea-gravel', 2],
    ],
    { grade: 4, exposure: 'frost', colour: '#a9a293', doses: [['plasticiser', 0.006]] },
  ),
  starter(
    'tufa-peat',
    'Tufa with peat',
    'hypertufa',
    'troughs and rough pots, moss',
    'holding water, fine edges',
    [
      ['grey-cement', 1],
      ['perlite', 1],
      ['peat', 1],
    ],
    { grade: 3, packed: true, colour: '#a0977f', moistCuringDays: 28 },
  ),
  starter(
    'tufa-coir',
    'Tufa with coir and sand',
    'hypertufa',
    'troughs that are moved, alpines',
    'thin walls under 35 mm',
    [
      ['grey-cement', 2],
      ['coir', 2],
      ['perlite', 1],
      ['sharp-sand', 1],
    ],
    { grade: 3, packed: true, colour: '#9c8f76', moistCuringDays: 28, doses: [['pp-fibre', 0.9]] },
  ),
  starter(
    'light',
    'Light panel',
    'lightweight',
    'panels, large pots that are carried',
    'steps, and anything that is knocked',
    [
      ['grey-cement', 1],
      ['fine-sand', 1],
      ['perlite', 2],
    ],
    { grade: 4, colour: '#bab5a8', doses: [['pp-fibre', 0.9]] },
  ),
  starter(
    'beads',
    'Light and fine',
    'lightweight',
    'lamp shades, thin pale bowls',
    'the ground, and frost',
    [
      ['white-cement', 1],
      ['fine-sand', 1],
      ['glass-beads', 1.5],
    ],
    { grade: 4, exposure: 'indoors', colour: '#e3ded2', doses: [['plasticiser', 0.005]] },
  ),
  starter(
    'quick',
    'Quick jar',
    'fast-setting',
    'jars, small pots, several a day',
    'anything larger than one can fill in ten minutes',
    [['fast-setting', 1]],
    { by: 'mass', grade: 5, binderClass: 'fast-setting', moistCuringDays: 1, colour: '#c4bfb4' },
  ),
  starter(
    'gypsum',
    'Gypsum cast',
    'gypsum',
    'indoor ornaments, trays, sharp detail',
    'the wet, the garden, food',
    [['gypsum-cement', 1]],
    { by: 'mass', grade: 6, binderClass: 'gypsum', exposure: 'indoors', moistCuringDays: 0, colour: '#f1ede4' },
  ),
  starter(
    'level',
    'Self-levelling',
    'underlayment',
    'thin trays and layers that find their level',
    'outdoors, unless its bag allows it',
    [['underlayment', 1]],
    { by: 'mass', grade: 6, binderClass: 'underlayment', exposure: 'indoors', moistCuringDays: 1, colour: '#a8a49b' },
  ),
  starter(
    'patch',
    'Neat patch',
    'patch',
    'thin skins, mending, sharp edges',
    'thick pours: dear, and it shrinks',
    [['patch', 1]],
    { by: 'mass', grade: 3, binderClass: 'patch', moistCuringDays: 2, colour: '#9d9a93' },
  ),
  starter(
    'bagged',
    'From the bag, with a little extra',
    'bagged',
    'a first slab from one bag',
    'fine faces',
    [
      ['bagged-sand-mix', 5],
      ['grey-cement', 1],
    ],
    { grade: 4, colour: '#aca79b' },
  ),
];
