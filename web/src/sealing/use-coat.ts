import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { againstSealer, sealAdvice, sealerVolume, type CoatTool, type PieceUse, type Side } from '@dewpot/core/sealing';
import { useQuery } from '@tanstack/react-query';
import { storeQuery } from '../api/materials';
import { useAmbient } from '../api/session';
import type { ActionProps } from '../ui/casts/action-props';
import { usualUses } from '../ui/casts/seal-words';
import { useNow } from '../ui/use-now';
import { lotOf, productsOf, remarksOn, shutFor, useGateGrounds } from './coat-grounds';
import { areaToSeal, porousOf } from './faces-of';
import { useSay } from '../ui/say';

/** What is chosen of a coat; what is left open goes by the advice for its uses. */
interface CoatChoices {
  readonly uses: readonly PieceUse[];
  readonly product?: string | undefined;
  readonly coats?: number | undefined;
  readonly side?: Side | undefined;
  readonly tool: CoatTool;
  readonly reason: string;
}

/** A coat on like casts: what is chosen, what follows from it, what speaks against it, and how it is recorded. */
export function useCoat({ casts, record }: Pick<ActionProps, 'casts' | 'record'>) {
  const say = useSay();
  const now = useNow();
  const store = useQuery(storeQuery).data;
  const ambient = useAmbient().data?.now;
  const grounds = useGateGrounds();
  const first = defined(casts[0]);
  const plan = first.life.sealPlan;
  const [chosen, setChosen] = useState<CoatChoices>({
    uses: plan?.uses ?? usualUses(first.snapshot.piece),
    product: plan?.materialId ?? plan?.sealer,
    coats: plan?.coats || undefined,
    side: plan?.side,
    tool: 'brush',
    reason: '',
  });
  const { uses, tool } = chosen;
  const advice = sealAdvice(uses);
  const products = productsOf(store?.materials);
  const product =
    products.find(({ id, sealer }) => id === chosen.product || sealer.kind === chosen.product) ??
    products.find(({ sealer }) => sealer.kind === (advice.sealer ?? 'penetrating')) ??
    defined(products[0]);
  const { sealer, materialId } = product;
  const lot = lotOf(product, store?.lots ?? [], now);
  const remarks = remarksOn(casts, sealer, now, ambient, lot?.openMonths);
  const soon = remarks.filter(({ severity }) => severity === 'refuse');
  const shut = shutFor(casts, sealer, grounds, now);
  const coats = chosen.coats ?? Math.max(1, advice.coats);
  const side = chosen.side ?? advice.side;
  const done = first.life.coats.length;
  const volume = sealerVolume(areaToSeal(casts, side), 1, sealer, porousOf(first) ? 'porous' : 'dense');
  const overridden = chosen.reason.trim();
  const planned = { type: 'seal-planned' as const, uses: [...uses], side };
  const by = { sealer: sealer.kind, ...(materialId && { materialId }) };
  const coatOf = (cast: ActionProps['casts'][number]) => {
    const isShut = soon.length > 0 || shut.some((one) => one.cast.id === cast.id);
    const share = volume.value / casts.length;
    return { type: 'coated' as const, ...by, side, tool, volume: share, ...(isShut && { overridden }) };
  };
  return {
    chosen,
    choose: (part: Partial<CoatChoices>) => setChosen({ ...chosen, ...part }),
    products,
    product,
    lot,
    told: remarks.filter(({ severity }) => severity === 'tell'),
    against: againstSealer(sealer, uses, side),
    soon,
    shut,
    advised: shut.length > 0 || soon.length > 0,
    coats,
    side,
    done,
    volume,
    now,
    save: () =>
      record(
        casts.length > 1 ? say('sealing.castsCoated', { casts: casts.length }) : say('sealing.coated'),
        casts.flatMap((cast) => [
          ...(done === 0 ? [{ cast, event: { ...planned, ...by, coats } }] : []),
          { cast, event: coatOf(cast) },
        ]),
      ),
    leaveBare: () =>
      record(
        say('sealing.staysBare'),
        casts.map((cast) => ({ cast, event: { ...planned, coats: 0 } })),
      ),
  };
}

export type Coat = ReturnType<typeof useCoat>;
