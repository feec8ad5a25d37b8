import {
  computed,
  figure,
  handbook,
  line,
  requireNumber,
  type Figure,
  msg,
  listed,
  type Message,
  exactly,
} from '../../foundation/units/index.js';

/** What holds two castings together. */
export type Bond = 'mortar' | 'polymer mortar' | 'epoxy' | 'construction adhesive' | 'silicone' | 'hot glue' | 'dry';

/** What an article has to stand in use, as far as its joints go. */
export const jointUses = ['outdoors', 'frost', 'water', 'heat', 'food', 'load'] as const;
export type JointUse = (typeof jointUses)[number];

export interface BondGuide {
  readonly name: Message;
  /** Uses it stands. */
  readonly stands: readonly JointUse[];
  /** Joint in mm: what is spread. */
  readonly thickness: number;
  /** As it is spread, kg/L. */
  readonly density: number;
  /** Of its mass as it is spread, so much is water that joins the piece. */
  readonly water: number;
  /** Clamped or propped for so many hours, and so many days until it carries, at 20 °C. */
  readonly clamp: number;
  readonly cure: number;
  /** How the faces must be. */
  readonly face: 'damp' | 'dry' | 'either';
  readonly how: Message;
  readonly caution?: Message;
}

/** Ordinary trade figures: a product's own sheet wins. */
export const bonds: Record<Bond, BondGuide> = {
  mortar: {
    name: msg('assembly.mortar'),
    stands: ['outdoors', 'frost', 'water', 'heat', 'load'],
    thickness: 4,
    density: 2.1,
    water: 0.13,
    clamp: 24,
    cure: 5,
    face: 'damp',
    how: msg('assembly.mortarHow'),
    caution: msg('assembly.mortarCaution'),
  },
  'polymer mortar': {
    name: msg('assembly.polymerMortar'),
    stands: ['outdoors', 'frost', 'water', 'load'],
    thickness: 3,
    density: 2,
    water: 0.15,
    clamp: 6,
    cure: 3,
    face: 'damp',
    how: msg('assembly.polymerMortarHow'),
    caution: msg('assembly.mortarCaution'),
  },
  epoxy: {
    name: msg('assembly.epoxy'),
    stands: ['outdoors', 'frost', 'water', 'load'],
    thickness: 1,
    density: 1.2,
    water: 0,
    clamp: 12,
    cure: 3,
    face: 'dry',
    how: msg('assembly.epoxyHow'),
    caution: msg('assembly.epoxyCaution', { heat: exactly(60, '°C') }),
  },
  'construction adhesive': {
    name: msg('assembly.adhesive'),
    stands: ['outdoors', 'frost'],
    thickness: 2,
    density: 1.4,
    water: 0,
    clamp: 24,
    cure: 7,
    face: 'dry',
    how: msg('assembly.adhesiveHow'),
    caution: msg('assembly.adhesiveCaution'),
  },
  silicone: {
    name: msg('assembly.silicone'),
    stands: ['outdoors', 'frost', 'water', 'heat'],
    thickness: 2,
    density: 1.05,
    water: 0,
    clamp: 12,
    cure: 2,
    face: 'dry',
    how: msg('assembly.siliconeHow'),
  },
  'hot glue': {
    name: msg('assembly.hotGlue'),
    stands: [],
    thickness: 1,
    density: 0.95,
    water: 0,
    clamp: 0.1,
    cure: 0,
    face: 'dry',
    how: msg('assembly.hotGlueHow'),
    caution: msg('assembly.hotGlueCaution'),
  },
  dry: {
    name: msg('assembly.laidDry'),
    stands: ['outdoors', 'frost', 'water', 'heat', 'food', 'load'],
    thickness: 0,
    density: 1,
    water: 0,
    clamp: 0,
    cure: 0,
    face: 'either',
    how: msg('assembly.laidDryHow'),
  },
};

const jointUseWords: Record<JointUse, Message> = {
  outdoors: msg('assembly.useOutdoors'),
  frost: msg('assembly.useFrost'),
  water: msg('assembly.useWater'),
  heat: msg('assembly.useHeat'),
  food: msg('assembly.useFood'),
  load: msg('assembly.useLoad'),
};

export const bondsInOrder = Object.keys(bonds) as readonly Bond[];

/** What speaks against a bond for a use, or undefined. Hot glue holds on no concrete. */
export function againstBond(bond: Bond, uses: readonly JointUse[]): Message | undefined {
  const { name, stands } = bonds[bond];
  if (bond === 'hot glue') return msg('assembly.hotGlueFails');
  const fails = uses.filter((use) => !stands.includes(use));
  return fails.length === 0
    ? undefined
    : msg('assembly.bondFails', { name, fails: listed(fails.map((use) => jointUseWords[use])) });
}

/** Bonds that hold for these uses, strongest in use first. */
export const bondsFor = (uses: readonly JointUse[]): Bond[] =>
  bondsInOrder.filter((bond) => againstBond(bond, uses) === undefined);

const SPARE = 0.15;

/** What a joint takes: `area` mm² of contact at the bond's thickness, and a seventh more. In g, by mass. @throws InputError */
export function bondMass(bond: Bond, area: number): Figure {
  requireNumber('area', area, msg('assembly.theJoint'), { min: 0, max: 4e6, unit: 'mm²' });
  const { name, thickness, density } = bonds[bond];
  const mass = ((area * thickness) / 1000) * density * (1 + SPARE);
  return figure(mass, 'g', handbook, [
    line(msg('assembly.joint'), area, 'mm²'),
    line(msg('assembly.spread'), thickness, 'mm'),
    line(msg('assembly.density'), density, 'kg/L', name),
    line(msg('assembly.toMixOrSqueeze'), mass, 'g', msg('assembly.bondFormula')),
  ]);
}

/** Hours after the joining until the joint carries, in air of `temperature` °C between −5 and 40. @throws InputError */
export const carriesAfter = (bond: Bond, temperature: number): Figure => bondHours(bonds[bond].cure * 24, temperature);

/** Hours at 20 °C stretched for the temperature it stands in: half as fast every ten degrees less. Between −5 and 40 °C. @throws InputError */
export function bondHours(hours: number, temperature: number): Figure {
  requireNumber('temperature', temperature, msg('assembly.theAir'), { min: -5, max: 40, unit: '°C' });
  const pace = 2 ** ((temperature - 20) / 10);
  return figure(hours / pace, 'h', computed, [
    line(msg('assembly.at20', { temperature: exactly(20, '°C') }), hours, 'h'),
    line(msg('assembly.air'), temperature, '°C'),
    line(msg('assembly.takes'), hours / pace, 'h', msg('assembly.halfAsFast', { ten: exactly(10, 'K') })),
  ]);
}
