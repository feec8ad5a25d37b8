import { lotInUse, lotMonths, sealerOf, sealers, type Sealer } from '@dewpot/core/materials';
import { usualDrying, type DryingAmbient } from '@dewpot/core/sealing';
import { remarksOnCoat, sealingGate, type GateWays } from '@dewpot/core/casts';
import { useQuery } from '@tanstack/react-query';
import type { CastView, LotView, MaterialView } from '@dewpot/contract';
import { shelfQuery } from '../api/casts';
import { overridesQuery } from '../api/finish';
import { useSession } from '../api/session';

/** A sealer to choose: of the store, or a kind of the handbook. */
export interface SealerProduct {
  readonly id: string;
  readonly sealer: Sealer;
  readonly materialId?: string;
  /** kg/L */
  readonly density?: number;
}

/** Sealers to choose from: those of the store, else the handbook's kinds. */
export function productsOf(materials: readonly MaterialView[] | undefined): SealerProduct[] {
  const own = (materials ?? []).flatMap(({ id, name, sealer, bulk }) =>
    sealer ? [{ id, materialId: id, density: bulk, sealer: sealerOf(name, sealer) }] : [],
  );
  return own.length > 0 ? own : Object.values(sealers).map((sealer) => ({ id: sealer.kind, sealer }));
}

/** How the workshop judges dryness, and all its casts: some stand for others. */
export interface GateGrounds extends Pick<GateWays, 'drying' | 'ease'> {
  readonly all: readonly CastView[];
}

/** What is known to judge casts by: the school, the learned limits, like pieces. What is not loaded yet counts as not learned. */
export function useGateGrounds(): GateGrounds {
  const { workshop } = useSession();
  const overrides = useQuery(overridesQuery).data;
  const all = useQuery(shelfQuery).data ?? [];
  return {
    drying: workshop.drying ?? usualDrying,
    ...(overrides && { ease: { open: overrides.open.ease, film: overrides.film.ease } }),
    all,
  };
}

/** Casts that are not dry enough for a sealer yet, each with what is missing: judged by what the server judges them by. */
export function shutFor(casts: readonly CastView[], sealer: Sealer, { all, ...ways }: GateGrounds, now: number) {
  return casts
    .filter(({ life }) => life.coats.length === 0)
    .flatMap((cast) => {
      const { life, expected, snapshot, dry } = cast;
      const siblings = all.filter(({ code }) => dry.inferredFrom?.includes(code));
      const gate = sealingGate(life, expected, snapshot.binderClass, sealer, now, {
        ...ways,
        siblings,
        ...(dry.pace !== undefined && { pace: dry.pace }),
      });
      return gate.open ? [] : [{ cast, reasons: gate.reasons }];
    });
}

/** The lot that a product is taken from next: what is left of it in mL, and how long it has stood open. */
export function lotOf({ materialId, density = 1 }: SealerProduct, lots: readonly LotView[], now: number) {
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
  ambient: DryingAmbient | undefined,
  openMonths: number | undefined,
) {
  const known = { sealer, at: now, ...(ambient && { ambient }), ...(openMonths !== undefined && { openMonths }) };
  const all = casts.flatMap(({ life }) => remarksOnCoat(life, known));
  return all.filter(({ told }, i) => all.findIndex((one) => one.told === told) === i);
}
