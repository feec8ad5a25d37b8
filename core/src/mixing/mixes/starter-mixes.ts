import { msg, type Message } from '../../foundation/units/index.js';
import type { BinderClass } from '../binders/index.js';
import type { Grade } from './consistency.js';
import type { Exposure, PartsBy } from './mix.js';

/** What casters of a kind mix by. */
type School =
  | 'sand-cement'
  | 'gravelled'
  | 'hypertufa'
  | 'lightweight'
  | 'fast-setting'
  | 'gypsum'
  | 'underlayment'
  | 'patch'
  | 'bagged';

/** A mix to start from: materials by their handbook keys, with what it is for and not for. */
export interface Starter {
  readonly key: string;
  readonly name: Message;
  readonly school: School;
  readonly suits: Message;
  readonly unfit: Message;
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
  name: Message,
  school: School,
  suits: Message,
  unfit: Message,
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
  starter(
    'garden',
    msg('mixes.starterGarden'),
    'sand-cement',
    msg('mixes.starterGardenSuits'),
    msg('mixes.starterGardenUnfit'),
    [
      ['grey-cement', 1],
      ['sharp-sand', 2.5],
    ],
  ),
  starter(
    'fine',
    msg('mixes.starterFine'),
    'sand-cement',
    msg('mixes.starterFineSuits'),
    msg('mixes.starterFineUnfit'),
    [
      ['white-cement', 1],
      ['fine-sand', 2],
    ],
    { colour: '#e0d9ca', doses: [['plasticiser', 0.004]], exposure: 'indoors' },
  ),
  starter(
    'leaf',
    msg('mixes.starterLeaf'),
    'sand-cement',
    msg('mixes.starterLeafSuits'),
    msg('mixes.starterLeafUnfit'),
    [
      ['grey-cement', 1],
      ['fine-sand', 1],
      ['sharp-sand', 1],
    ],
    { grade: 2, packed: true, doses: [['acrylic-polymer', 0.05]] },
  ),
  starter(
    'paver',
    msg('mixes.starterStone'),
    'gravelled',
    msg('mixes.starterStoneSuits'),
    msg('mixes.starterStoneUnfit'),
    [
      ['grey-cement', 1],
      ['sharp-sand', 2],
      ['pea-gravel', 2],
    ],
    { grade: 4, exposure: 'frost', colour: '#a9a293', doses: [['plasticiser', 0.006]] },
  ),
  starter(
    'tufa-peat',
    msg('mixes.starterTufaPeat'),
    'hypertufa',
    msg('mixes.starterTufaPeatSuits'),
    msg('mixes.starterTufaPeatUnfit'),
    [
      ['grey-cement', 1],
      ['perlite', 1],
      ['peat', 1],
    ],
    { grade: 3, packed: true, colour: '#a0977f', moistCuringDays: 28 },
  ),
  starter(
    'tufa-coir',
    msg('mixes.starterTufaCoir'),
    'hypertufa',
    msg('mixes.starterTufaCoirSuits'),
    msg('mixes.starterTufaCoirUnfit'),
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
    msg('mixes.starterPanel'),
    'lightweight',
    msg('mixes.starterPanelSuits'),
    msg('mixes.starterPanelUnfit'),
    [
      ['grey-cement', 1],
      ['fine-sand', 1],
      ['perlite', 2],
    ],
    { grade: 4, colour: '#bab5a8', doses: [['pp-fibre', 0.9]] },
  ),
  starter(
    'beads',
    msg('mixes.starterLightFine'),
    'lightweight',
    msg('mixes.starterLightFineSuits'),
    msg('mixes.starterLightFineUnfit'),
    [
      ['white-cement', 1],
      ['fine-sand', 1],
      ['glass-beads', 1.5],
    ],
    { grade: 4, exposure: 'indoors', colour: '#e3ded2', doses: [['plasticiser', 0.005]] },
  ),
  starter(
    'quick',
    msg('mixes.starterJar'),
    'fast-setting',
    msg('mixes.starterJarSuits'),
    msg('mixes.starterJarUnfit'),
    [['fast-setting', 1]],
    { by: 'mass', grade: 5, binderClass: 'fast-setting', moistCuringDays: 1, colour: '#c4bfb4' },
  ),
  starter(
    'gypsum',
    msg('mixes.starterGypsum'),
    'gypsum',
    msg('mixes.starterGypsumSuits'),
    msg('mixes.starterGypsumUnfit'),
    [['gypsum-cement', 1]],
    { by: 'mass', grade: 6, binderClass: 'gypsum', exposure: 'indoors', moistCuringDays: 0, colour: '#f1ede4' },
  ),
  starter(
    'level',
    msg('mixes.starterLevelling'),
    'underlayment',
    msg('mixes.starterLevellingSuits'),
    msg('mixes.starterLevellingUnfit'),
    [['underlayment', 1]],
    { by: 'mass', grade: 6, binderClass: 'underlayment', exposure: 'indoors', moistCuringDays: 1, colour: '#a8a49b' },
  ),
  starter(
    'patch',
    msg('mixes.starterPatch'),
    'patch',
    msg('mixes.starterPatchSuits'),
    msg('mixes.starterPatchUnfit'),
    [['patch', 1]],
    { by: 'mass', grade: 3, binderClass: 'patch', moistCuringDays: 2, colour: '#9d9a93' },
  ),
  starter(
    'bagged',
    msg('mixes.starterBag'),
    'bagged',
    msg('mixes.starterBagSuits'),
    msg('mixes.starterBagUnfit'),
    [
      ['bagged-sand-mix', 5],
      ['grey-cement', 1],
    ],
    { grade: 4, colour: '#aca79b' },
  ),
];
