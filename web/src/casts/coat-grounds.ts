import {
  lotInUse,
  lotMonths,
  remarksOnCoat,
  sealerOf,
  sealers,
  sealingGate,
  type DryingAir,
  type Sealer,
  type DryingSchool,
} from '@dewpot/core';
import type { CastView, LotView, MaterialView } from '@dewpot/contract';

/** A sealer to choose: of the stores, or a kind of the handbook. */
export interface Product {
  readonly id: string;
  readonly sealer: Sealer;
  readonly materialId?: string;
  /** kg/L */
  readonly density?: number;
}

/** Sealers to choose from: those of the stores, else the handbook's kinds. */
export function productsOf(materials: readonly MaterialView[] | undefined): Product[] {
  const own = (materials ?? []).flatMap(({ id, name, sealer, bulk }) =>
    sealer ? [{ id, materialId: id, density: bulk, sealer: sealerOf(name, sealer) }] : [],
  );
  return own.length > 0 ? own : Object.values(sealers).map((sealer) => ({ id: sealer.kind, sealer }));
}

/** Casts that are not dry enough for a sealer yet, each with what is missing. */
export function shutFor(casts: readonly CastView[], sealer: Sealer, drying: DryingSchool, now: number) {
  return casts
    .filter(({ life }) => life.coats.length === 0)
    .flatMap((cast) => {
      const { life, expected, snapshot, dry } = cast;
      if (dry.inferredFrom && !sealer.film) return dry.dryEnough ? [] : [{ cast, reasons: dry.missing }];
      const gate = sealingGate(life, expected, snapshot.setting, sealer, now, { drying });
      return gate.open ? [] : [{ cast, reasons: gate.reasons }];
    });
}

/** The lot that a product is taken from next: what is left of it in mL, and how long it has stood open. */
export function lotOf({ materialId, density = 1 }: Product, lots: readonly LotView[], now: number) {
  const lot = materialId === undefined ? undefined : lotInUse(materialId, lots);
  return (
    lot && {
      left: lot.left / density,
      boughtAt: lot.boughtAt,
      ...(lot.openedAt && { openMonths: lotMonths(lot, now) }),
    }
  );
}

/** What speaks against a coat on these casts now: by the coat before, a decoration, the air, the product's age. */
export function remarksOn(
  casts: readonly CastView[],
  sealer: Sealer,
  now: number,
  air: DryingAir | undefined,
  openMonths: number | undefined,
) {
  const known = { sealer, at: now, ...(air && { air }), ...(openMonths !== undefined && { openMonths }) };
  const all = casts.flatMap(({ life }) => remarksOnCoat(life, known));
  return all.filter(({ told }, i) => all.findIndex((one) => one.told === told) === i);
}
