import { msg, type Message } from '../../foundation/units/index.js';
import type { SealerKind } from '../../mixing/materials/index.js';
import type { PieceUse } from './seal-school.js';

/** What is tried once the last coat has hardened. */
export const sealChecks = ['bead', 'standing water', 'look'] as const;
export type SealCheck = (typeof sealChecks)[number];

/** How each check is done. */
export const sealCheckWords: Record<SealCheck, { readonly name: Message; readonly how: Message }> = {
  bead: { name: msg('today.checkBead'), how: msg('sealing.checkBeadHow') },
  'standing water': {
    name: msg('today.checkWater'),
    how: msg('sealing.checkWaterHow'),
  },
  look: { name: msg('today.checkLook'), how: msg('sealing.checkLookHow') },
};

/** The checks that a piece wants for its uses. */
export const checksFor = (uses: readonly PieceUse[], sealer: SealerKind | undefined): SealCheck[] => [
  ...(sealer ? (['bead', 'look'] as const) : []),
  ...(uses.some((use) => use === 'water' || use === 'animals' || use === 'candle')
    ? (['standing water'] as const)
    : []),
];

/** Months after which a sealed face wants looking at again, by where it stands. Ordinary figures; the bead test decides. */
const months: Record<SealerKind, { readonly indoors: number; readonly outdoors: number }> = {
  penetrating: { indoors: 120, outdoors: 60 },
  acrylic: { indoors: 48, outdoors: 24 },
  polyurethane: { indoors: 60, outdoors: 24 },
  wax: { indoors: 12, outdoors: 4 },
  oil: { indoors: 6, outdoors: 3 },
};

const outside: readonly PieceUse[] = ['outdoors', 'frost', 'plants'];

/** Months after the last coat at which to try it with a drop of water and seal it again where that soaks in. */
export function resealMonths(sealer: SealerKind, uses: readonly PieceUse[]): number {
  return months[sealer][uses.some((use) => outside.includes(use)) ? 'outdoors' : 'indoors'];
}
