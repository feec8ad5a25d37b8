import { msg, type Phrase } from '../../foundation/units/index.js';
/** Kinds of sealer. */
export type SealerKind = 'penetrating' | 'acrylic' | 'polyurethane' | 'wax' | 'oil';

/** What a product's own label may allow; nothing here is allowed by the kind alone. */
export const sealerClaims = ['dry food', 'drinking water', 'candle', 'outdoors', 'frost'] as const;
export type SealerClaim = (typeof sealerClaims)[number];

/** What the sheet of a sealer says. Coverage in m² a litre and coat, times in hours at 20 °C and half damp. */
export interface SealerSheet {
  readonly kind: SealerKind;
  /** Square metres that a litre covers in one coat, on a dense and on a porous face. */
  readonly dense: number;
  readonly porous: number;
  /** The next coat goes on no sooner and, without roughening, no later than so long after the last, h. */
  readonly recoatFrom: number;
  readonly recoatTo: number;
  /** Days to its full hardness. */
  readonly cureDays: number;
  /** Hotter than this it softens or yellows, °C. */
  readonly heat: number;
  readonly claims: readonly SealerClaim[];
  /** Youngest piece it goes on, days; by the binder where the sheet is silent. */
  readonly leastDays?: number;
  /** Months that it keeps once it was opened. */
  readonly keepsMonths: number;
}

export interface Sealer extends SealerSheet {
  readonly name: Phrase;
  /** Forms a film, which damp below it blisters. */
  readonly film: boolean;
}

const plain = { claims: [] as readonly SealerClaim[], keepsMonths: 12 };

/** The handbook's sealers: ordinary figures of each kind, until a product's own sheet replaces them. */
export const sealers: Record<SealerKind, Sealer> = {
  penetrating: {
    ...plain,
    kind: 'penetrating',
    name: msg('materials.sealerSilane'),
    dense: 7,
    porous: 4,
    film: false,
    recoatFrom: 0.25,
    recoatTo: 4,
    cureDays: 3,
    heat: 120,
    claims: ['outdoors', 'frost'],
  },
  acrylic: {
    ...plain,
    kind: 'acrylic',
    name: msg('materials.sealerAcrylic'),
    dense: 9,
    porous: 6,
    film: true,
    recoatFrom: 2,
    recoatTo: 24,
    cureDays: 7,
    heat: 60,
    claims: ['outdoors'],
  },
  polyurethane: {
    ...plain,
    kind: 'polyurethane',
    name: msg('materials.sealerPolyurethane'),
    dense: 11,
    porous: 8,
    film: true,
    recoatFrom: 4,
    recoatTo: 24,
    cureDays: 7,
    heat: 80,
  },
  wax: {
    ...plain,
    kind: 'wax',
    name: msg('materials.sealerWax'),
    dense: 20,
    porous: 12,
    film: false,
    recoatFrom: 1,
    recoatTo: 72,
    cureDays: 2,
    heat: 40,
    keepsMonths: 36,
  },
  oil: {
    ...plain,
    kind: 'oil',
    name: msg('materials.sealerOil'),
    dense: 15,
    porous: 8,
    film: false,
    recoatFrom: 6,
    recoatTo: 72,
    cureDays: 3,
    heat: 60,
    keepsMonths: 24,
  },
};

export const sealerKinds = Object.keys(sealers) as readonly SealerKind[];

/** A product by its own sheet. */
export const sealerOf = (name: string, sheet: SealerSheet): Sealer => ({
  ...sheet,
  name,
  film: sealers[sheet.kind].film,
});
