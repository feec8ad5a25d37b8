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
  readonly reason: string;
  /** Ways that other casters hold to for the same use; undefined is bare. */
  readonly others: readonly (SealerKind | undefined)[];
  readonly cautions: readonly string[];
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
    reason: 'Oil can be renewed and nothing flakes off; only one whose label allows food, and for dry food.',
    others: ['wax'],
  },
  {
    use: 'candle',
    sealer: 'polyurethane',
    coats: 2,
    side: 'both',
    reason: 'A film keeps melted wax out of the pores; bare concrete soaks it up and wicks.',
    others: ['acrylic'],
  },
  {
    use: 'water',
    sealer: 'acrylic',
    coats: 3,
    side: 'both',
    reason: 'Only a film closes the pores for standing water, and only inside as well.',
    others: ['polyurethane', 'wax'],
  },
  {
    use: 'animals',
    coats: 0,
    side: 'both',
    reason: 'Nothing that could come off into their water: leached and left bare.',
    others: ['penetrating'],
  },
  {
    use: 'bare plants',
    coats: 0,
    side: 'both',
    reason: 'Succulents and moss want a wall that breathes.',
    others: ['penetrating'],
  },
  {
    use: 'frost',
    sealer: 'penetrating',
    coats: 2,
    side: 'both',
    reason: 'It keeps water out and lets vapour through, so that nothing freezes behind a film; the look stays.',
    others: [undefined],
  },
  {
    use: 'plants',
    sealer: 'penetrating',
    coats: 2,
    side: 'both',
    reason: 'Inside as well: a pot that is sealed outside only stays wet within and pushes a film off.',
    others: ['acrylic', undefined],
  },
  {
    use: 'outdoors',
    sealer: 'penetrating',
    coats: 2,
    side: 'both',
    reason: 'It sheds rain and keeps the look; it cannot peel.',
    others: ['acrylic', undefined],
  },
  {
    use: 'damp shelf',
    sealer: 'acrylic',
    coats: 2,
    side: 'both',
    reason: 'A film keeps soap and stains out; colours come out deeper.',
    others: ['polyurethane', 'penetrating'],
  },
  {
    use: 'indoors',
    sealer: 'wax',
    coats: 1,
    side: 'both',
    reason: 'A soft sheen that can be renewed by hand; a dry room asks no more of it.',
    others: ['oil', 'acrylic', undefined],
  },
];

const claimsFor: Partial<Record<PieceUse, SealerClaim>> = {
  food: 'dry food',
  candle: 'candle',
  frost: 'frost',
  outdoors: 'outdoors',
};

const cautionsFor: Partial<Record<PieceUse, string>> = {
  food: 'Food only where the product’s own label allows it, and dry food: no cup, no bowl for soup.',
  candle:
    'A candle only in a vessel that was tested for it: a porous one can crack, and melted wax finds its way out. The label must allow the heat.',
  water: 'Let it stand full for a day on paper before it stands on wood.',
  animals: 'Leach it first, and check the pH: 8.5 or lower.',
};

/** Advice for what a piece is for, the handbook's section 13. At least one use; without any it is taken to stand indoors. */
export function sealAdvice(uses: readonly PieceUse[]): SealAdvice {
  const { use: _, ...school } = schools.find(({ use }) => uses.includes(use)) ?? defined(schools[schools.length - 1]);
  const ventilate = school.sealer
    ? ['Open the windows; rags with oil or solvent dry spread out, never in a heap.']
    : [];
  return {
    ...school,
    cautions: [...uses.flatMap((use) => cautionsFor[use] ?? []), ...ventilate],
    claims: school.sealer ? uses.flatMap((use) => claimsFor[use] ?? []) : [],
  };
}

/** What speaks against a sealer for these uses, in sentences; empty where nothing does. */
export function againstSealer(sealer: Sealer, uses: readonly PieceUse[], side: Side): string[] {
  const missing = uses.flatMap((use) => {
    const claim = claimsFor[use];
    return claim && !sealer.claims.includes(claim) ? [claim] : [];
  });
  const wetInside = uses.some((use) => use === 'plants' || use === 'water');
  return [
    ...missing.map(
      (claim) => `The label of ${sealer.name} does not say that it is for ${claim === 'candle' ? 'candles' : claim}.`,
    ),
    ...(sealer.film && side === 'outside' && wetInside
      ? ['A film on the outside only comes off a pot that stays wet within: seal it inside as well.']
      : []),
    ...(sealer.kind === 'wax' && uses.includes('outdoors') ? ['Wax softens in the sun.'] : []),
    ...(uses.includes('candle') && sealer.heat < sealers.polyurethane.heat
      ? [`It softens at ${sealer.heat} °C; a candle warms its vessel to more.`]
      : []),
  ];
}
