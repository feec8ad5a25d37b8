import { computed, figure, handbook, line, requireNumber, type Figure } from '../../foundation/units/index.js';

/** What holds two castings together. */
export type Bond = 'mortar' | 'polymer mortar' | 'epoxy' | 'construction adhesive' | 'silicone' | 'hot glue' | 'dry';

/** What an article has to stand in use, as far as its joints go. */
export const jointUses = ['outdoors', 'frost', 'water', 'heat', 'food', 'load'] as const;
export type JointUse = (typeof jointUses)[number];

export interface BondGuide {
  readonly name: string;
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
  readonly how: string;
  readonly caution?: string;
}

/** Ordinary trade figures: a product's own sheet wins. */
export const bonds: Record<Bond, BondGuide> = {
  mortar: {
    name: 'Mortar of the same mix',
    stands: ['outdoors', 'frost', 'water', 'heat', 'load'],
    thickness: 4,
    density: 2.1,
    water: 0.13,
    clamp: 24,
    cure: 5,
    face: 'damp',
    how: 'Roughen both faces, damp them, brush on cement slurry, press together and strike off; keep the joint damp.',
    caution: 'Wet mix is caustic: gloves, goggles.',
  },
  'polymer mortar': {
    name: 'Polymer patch mortar',
    stands: ['outdoors', 'frost', 'water', 'load'],
    thickness: 3,
    density: 2,
    water: 0.15,
    clamp: 6,
    cure: 3,
    face: 'damp',
    how: 'Roughen, damp without a shine, spread thin on both faces.',
    caution: 'Wet mix is caustic: gloves, goggles.',
  },
  epoxy: {
    name: 'Two-part epoxy',
    stands: ['outdoors', 'frost', 'water', 'load'],
    thickness: 1,
    density: 1.2,
    water: 0,
    clamp: 12,
    cure: 3,
    face: 'dry',
    how: 'Both faces dry, free of dust and sealer, rubbed rough; mix by mass, small lots.',
    caution: 'Gloves and fresh air: it can make the skin allergic. It softens above about 60 °C.',
  },
  'construction adhesive': {
    name: 'Construction adhesive',
    stands: ['outdoors', 'frost'],
    thickness: 2,
    density: 1.4,
    water: 0,
    clamp: 24,
    cure: 7,
    face: 'dry',
    how: 'Beads a finger apart, pressed flat; both faces dry and brushed.',
    caution: 'Fresh air while it dries.',
  },
  silicone: {
    name: 'Neutral-cure silicone',
    stands: ['outdoors', 'frost', 'water', 'heat'],
    thickness: 2,
    density: 1.05,
    water: 0,
    clamp: 12,
    cure: 2,
    face: 'dry',
    how: 'A soft joint that gives a little: for lids’ rings and glass, not for what is lifted by it.',
  },
  'hot glue': {
    name: 'Hot glue',
    stands: [],
    thickness: 1,
    density: 0.95,
    water: 0,
    clamp: 0.1,
    cure: 0,
    face: 'dry',
    how: 'It holds a form or a felt pad. It does not bond to concrete: use mortar, epoxy or construction adhesive.',
    caution: 'It burns.',
  },
  dry: {
    name: 'Laid dry: wedges, pegs or rods',
    stands: ['outdoors', 'frost', 'water', 'heat', 'food', 'load'],
    thickness: 0,
    density: 1,
    water: 0,
    clamp: 0,
    cure: 0,
    face: 'either',
    how: 'Nothing but its own weight and what is put through it: it can be taken apart again.',
  },
};

export const bondsInOrder = Object.keys(bonds) as readonly Bond[];

/** What speaks against a bond for a use, or undefined. Hot glue holds on no concrete. */
export function againstBond(bond: Bond, uses: readonly JointUse[]): string | undefined {
  const { name, stands } = bonds[bond];
  if (bond === 'hot glue') return 'Hot glue does not hold on concrete: take mortar, epoxy or construction adhesive.';
  const fails = uses.filter((use) => !stands.includes(use));
  return fails.length === 0 ? undefined : `${name} does not stand ${fails.join(' and ')}.`;
}

/** Bonds that hold for these uses, strongest in use first. */
export const bondsFor = (uses: readonly JointUse[]): Bond[] =>
  bondsInOrder.filter((bond) => againstBond(bond, uses) === undefined);

const SPARE = 0.15;

/** What a joint takes: `area` mm² of contact at the bond's thickness, and a seventh more. In g, by mass. @throws InputError */
export function bondMass(bond: Bond, area: number): Figure {
  requireNumber('area', area, 'The joint', { min: 0, max: 4e6, unit: 'mm²' });
  const { name, thickness, density } = bonds[bond];
  const mass = ((area * thickness) / 1000) * density * (1 + SPARE);
  return figure(mass, 'g', handbook, [
    line('Joint', area, 'mm²'),
    line('Spread', thickness, 'mm'),
    line('Density', density, 'kg/L', name),
    line('To mix or squeeze out', mass, 'g', 'area × thickness × density, and 15 % more'),
  ]);
}

/** Hours at 20 °C stretched for the temperature it stands in: half as fast every ten degrees less. Between −5 and 40 °C. @throws InputError */
export function bondHours(hours: number, temperature: number): Figure {
  requireNumber('temperature', temperature, 'The air', { min: -5, max: 40, unit: '°C' });
  const pace = 2 ** ((temperature - 20) / 10);
  return figure(hours / pace, 'h', computed, [
    line('At 20 °C', hours, 'h'),
    line('Air', temperature, '°C'),
    line('It takes', hours / pace, 'h', 'half as fast every ten degrees less'),
  ]);
}
