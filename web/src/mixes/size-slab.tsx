import { useMemo, useState } from 'react';
import { msg, type Phrase } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { allScoops, lotInUse, type ScoopStep } from '@dewpot/core/materials';
import {
  largestFromStore,
  massesPerPart,
  sizeToBucket,
  sizeToMass,
  sizeToVolume,
  type BatchMasses,
} from '@dewpot/core/mixes';
import type { MixInput, StoreView } from '@dewpot/contract';
import { useSession } from '../api/session';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { MeasuredBatchView } from './measured-batch-view';
import type { CalculatedMix } from './use-calculated-mix';
import { useSay } from '../ui/say';

type Wanted = 'volume' | 'bucket' | 'store' | `bag:${string}` | `lot:${string}`;

/** The size that was asked for, and what it goes by. */
function sized(
  perPart: BatchMasses,
  wanted: Wanted,
  { volume, bucket, store }: { volume: number; bucket: number; store: StoreView },
): { batch: BatchMasses; by?: Phrase } | undefined {
  if (wanted === 'volume') return { batch: sizeToVolume(perPart, volume) };
  if (wanted === 'bucket') return { batch: sizeToBucket(perPart, bucket), by: msg('mixes.twoThirdsBucket') };
  if (wanted === 'store') {
    const most = largestFromStore(perPart, store.lots);
    return most && { batch: most.batch, by: msg('mixes.thenUsedUp', { shortest: most.shortest.name }) };
  }
  const id = wanted.slice(4);
  if (wanted.startsWith('lot:')) {
    const lot = lotInUse(id, store.lots);
    return lot && { batch: sizeToMass(perPart, id, lot.left), by: msg('mixes.leftOfLot') };
  }
  const lot = defined(store.lots.find(({ materialId }) => materialId === id));
  return { batch: sizeToMass(perPart, id, lot.bought / (lot.bags ?? 1)), by: msg('mixes.oneWholeBag') };
}

/** A batch of the mix at a size: in the caster's scoops with what rounding does, its doses by scale and spoon, its water. */
export function SizeSlab({
  draft,
  calculated: { mix, conditions },
  store,
}: {
  draft: MixInput;
  calculated: CalculatedMix;
  store: StoreView;
}) {
  const say = useSay();
  const { workshop } = useSession();
  const [wanted, setWanted] = useState<Wanted>('volume');
  const [volume, setVolume] = useState(5000);
  const [scoopId, setScoopId] = useState(store.scoops[0]?.id ?? '');
  const [step, setStep] = useState<ScoopStep>(0.5);
  const vessels = useMemo(
    () => ({
      scoop: store.scoops.find(({ id }) => id === scoopId),
      scoops: allScoops(store.scoops),
      step,
      scaleStep: workshop.scaleStep,
    }),
    [store.scoops, scoopId, step, workshop.scaleStep],
  );
  const perPart = useMemo(() => massesPerPart(mix, conditions), [mix, conditions]);
  const bagged = mix.lines.filter(({ material }) => store.lots.some(({ materialId }) => materialId === material.id));
  const size = useMemo(
    () => sized(perPart, wanted, { volume, bucket: workshop.bucket, store }),
    [perPart, wanted, volume, workshop.bucket, store],
  );
  const sizes: { value: Wanted; label: string }[] = [
    { value: 'volume', label: say('mixes.sizeVolume') },
    { value: 'bucket', label: say('mixes.sizeBucket') },
    { value: 'store', label: say('mixes.sizeStore') },
    ...bagged.flatMap(({ material: { id, name } }) => [
      { value: `bag:${id}` as const, label: say('mixes.sizeBag', { name }) },
      { value: `lot:${id}` as const, label: say('mixes.sizeLeft', { name }) },
    ]),
  ];
  return (
    <section className="card-slab space-y-3" aria-label={say('mixes.batchOfIt')}>
      <h2 className="text-xl">{say('mixes.batchOfIt')}</h2>
      <div className="grid gap-3 sm:grid-cols-4">
        <SelectField label={say('mixes.batchSize')} value={wanted} options={sizes} onChange={setWanted} />
        {wanted === 'volume' && (
          <QuantityField
            label={say('mixes.freshMix')}
            name="volume"
            dimension="volume"
            value={volume}
            onChange={(typed) => typed !== undefined && typed > 0 && setVolume(typed)}
          />
        )}
        {store.scoops.length > 0 && (
          <SelectField
            label={say('mixes.scoopAtHand')}
            value={scoopId}
            options={store.scoops.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setScoopId}
          />
        )}
        {store.scoops.length > 0 && (
          <SelectField<ScoopStep>
            label={say('mixes.roundScoops')}
            value={step}
            options={[
              { value: 0.25, label: say('mixes.quarters') },
              { value: 0.5, label: say('mixes.halves') },
              { value: 1, label: say('mixes.wholeOnes') },
            ]}
            onChange={setStep}
          />
        )}
      </div>
      {size === undefined && <p className="quiet">{say('mixes.storeHoldsNone')}</p>}
      {size && <MeasuredBatchView {...{ draft, mix, conditions, vessels }} batch={size.batch} by={size.by} />}
    </section>
  );
}
