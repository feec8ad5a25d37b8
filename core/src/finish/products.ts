/** Kinds of sealer. */
export type SealerKind = 'penetrating' | 'acrylic' | 'polyurethane' | 'wax' | 'oil';

export interface Sealer {
  readonly kind: SealerKind;
  readonly name: string;
  /** Square metres that a litre covers in one coat, on a dense and on a porous face. */
  readonly dense: number;
  readonly porous: number;
  /** Forms a film, which damp below it blisters. */
  readonly film: boolean;
}

export const sealers: Record<SealerKind, Sealer> = {
  penetrating: { kind: 'penetrating', name: 'Penetrating silane', dense: 7, porous: 4, film: false },
  acrylic: { kind: 'acrylic', name: 'Acrylic film', dense: 9, porous: 6, film: true },
  polyurethane: { kind: 'polyurethane', name: 'Polyurethane film', dense: 11, porous: 8, film: true },
  wax: { kind: 'wax', name: 'Wax', dense: 20, porous: 12, film: false },
  oil: { kind: 'oil', name: 'Mineral or food-grade oil', dense: 15, porous: 8, film: false },
};
