import { msg, exactly, type Message } from '../../foundation/units/index.js';
import { defined } from '../../foundation/math/index.js';
import { sealers, type Sealer, type SealerClaim, type SealerKind } from '../../mixing/materials/index.js';
import type { Side } from './coats.js';

/** What a piece is for, as far as its sealer goes. */
export const pieceUses = [
  'plants',
  'bare plants',
  'water',
  'animals',
  'food',
  'candle',
  'outdoors',
  'frost',
  'indoors',
  'damp shelf',
] as const;
export type PieceUse = (typeof pieceUses)[number];

/** A way to seal a piece, why, and what else would do. */
export interface SealAdvice {
  /** Undefined: it is left bare. */
  readonly sealer?: SealerKind;
  readonly coats: number;
  readonly side: Side;
  readonly reason: Message;
  /** Ways that other casters hold to for the same use; undefined is bare. */
  readonly others: readonly (SealerKind | undefined)[];
  readonly cautions: readonly Message[];
  /** What the label of the product must say. */
  readonly claims: readonly SealerClaim[];
}

type School = Omit<SealAdvice, 'cautions' | 'claims'>;

/** The schools by use: the first that is asked for decides, since it is the one that can hurt or fail. */
const schools: readonly (School & { readonly use: PieceUse })[] = [
  {
    use: 'food',
    sealer: 'oil',
    coats: 2,
    side: 'both',
    reason: msg('sealing.sealFood'),
    others: ['wax'],
  },
  {
    use: 'candle',
    sealer: 'polyurethane',
    coats: 2,
    side: 'both',
    reason: msg('sealing.sealCandle'),
    others: ['acrylic'],
  },
  {
    use: 'water',
    sealer: 'acrylic',
    coats: 3,
    side: 'both',
    reason: msg('sealing.sealWater'),
    others: ['polyurethane', 'wax'],
  },
  {
    use: 'animals',
    coats: 0,
    side: 'both',
    reason: msg('sealing.sealAnimals'),
    others: ['penetrating'],
  },
  {
    use: 'bare plants',
    coats: 0,
    side: 'both',
    reason: msg('sealing.sealBarePlants'),
    others: ['penetrating'],
  },
  {
    use: 'frost',
    sealer: 'penetrating',
    coats: 2,
    side: 'both',
    reason: msg('sealing.sealFrost'),
    others: [undefined],
  },
  {
    use: 'plants',
    sealer: 'penetrating',
    coats: 2,
    side: 'both',
    reason: msg('sealing.sealPlants'),
    others: ['acrylic', undefined],
  },
  {
    use: 'outdoors',
    sealer: 'penetrating',
    coats: 2,
    side: 'both',
    reason: msg('sealing.sealOutdoors'),
    others: ['acrylic', undefined],
  },
  {
    use: 'damp shelf',
    sealer: 'acrylic',
    coats: 2,
    side: 'both',
    reason: msg('sealing.sealDampShelf'),
    others: ['polyurethane', 'penetrating'],
  },
  {
    use: 'indoors',
    sealer: 'wax',
    coats: 1,
    side: 'both',
    reason: msg('sealing.sealIndoors'),
    others: ['oil', 'acrylic', undefined],
  },
];

const claimsFor: Partial<Record<PieceUse, SealerClaim>> = {
  food: 'dry food',
  candle: 'candle',
  frost: 'frost',
  outdoors: 'outdoors',
};

/** Claims as a sentence chooses its word by them. */
const claimCodes: Record<SealerClaim, string> = {
  'dry food': 'food',
  'drinking water': 'water',
  candle: 'candle',
  outdoors: 'outdoors',
  frost: 'frost',
};

const cautionsFor: Partial<Record<PieceUse, Message>> = {
  food: msg('sealing.cautionFood'),
  candle: msg('sealing.cautionCandle'),
  water: msg('sealing.cautionWater'),
  animals: msg('sealing.cautionAnimals'),
};

/** Advice for what a piece is for, the handbook's section 13. At least one use; without any it is taken to stand indoors. */
export function sealAdvice(uses: readonly PieceUse[]): SealAdvice {
  const { use: _, ...school } = schools.find(({ use }) => uses.includes(use)) ?? defined(schools[schools.length - 1]);
  const ventilate = school.sealer ? [msg('sealing.cautionVentilate')] : [];
  return {
    ...school,
    cautions: [...uses.flatMap((use) => cautionsFor[use] ?? []), ...ventilate],
    claims: school.sealer ? uses.flatMap((use) => claimsFor[use] ?? []) : [],
  };
}

/** What speaks against a sealer for these uses, in sentences; empty where nothing does. */
export function againstSealer(sealer: Sealer, uses: readonly PieceUse[], side: Side): Message[] {
  const missing = uses.flatMap((use) => {
    const claim = claimsFor[use];
    return claim && !sealer.claims.includes(claim) ? [claim] : [];
  });
  const wetInside = uses.some((use) => use === 'plants' || use === 'water');
  return [
    ...missing.map((claim) => msg('sealing.labelSilent', { sealer: sealer.name, claim: claimCodes[claim] })),
    ...(sealer.film && side === 'outside' && wetInside ? [msg('sealing.filmOutsideOnly')] : []),
    ...(sealer.kind === 'wax' && uses.includes('outdoors') ? [msg('sealing.waxSoftens')] : []),
    ...(uses.includes('candle') && sealer.heat < sealers.polyurethane.heat
      ? [msg('sealing.softensAt', { heat: exactly(sealer.heat, '°C') })]
      : []),
  ];
}
