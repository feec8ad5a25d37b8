import { useMemo, useState } from 'react';
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

type Wanted = 'volume' | 'bucket' | 'store' | `bag:${string}` | `lot:${string}`;

/** The size that was asked for, and what it goes by. */
function sized(
  perPart: BatchMasses,
  wanted: Wanted,
  { volume, bucket, store }: { volume: number; bucket: number; store: StoreView },
): { batch: BatchMasses; by?: string } | undefined {
  if (wanted === 'volume') return { batch: sizeToVolume(perPart, volume) };
  if (wanted === 'bucket') return { batch: sizeToBucket(perPart, bucket), by: 'two thirds of the bucket’s brim' };
  if (wanted === 'store') {
    const most = largestFromStore(perPart, store.lots);
    return most && { batch: most.batch, by: `then ${most.shortest.name.toLowerCase()} is used up` };
  }
  const id = wanted.slice(4);
  if (wanted.startsWith('lot:')) {
    const lot = lotInUse(id, store.lots);
    return lot && { batch: sizeToMass(perPart, id, lot.left), by: 'what is left of the lot in use' };
  }
  const lot = defined(store.lots.find(({ materialId }) => materialId === id));
  return { batch: sizeToMass(perPart, id, lot.bought / (lot.bags ?? 1)), by: 'one whole bag' };
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
    { value: 'volume', label: 'a volume' },
    { value: 'bucket', label: 'a bucketful' },
    { value: 'store', label: 'all that the store allows' },
    ...bagged.flatMap(({ material: { id, name } }) => [
      { value: `bag:${id}` as const, label: `one bag of ${name.toLowerCase()}` },
      { value: `lot:${id}` as const, label: `what is left of ${name.toLowerCase()}` },
    ]),
  ];
  return (
    <section className="card-slab space-y-3" aria-label="A batch of it">
      <h2 className="text-xl">A batch of it</h2>
      <div className="grid gap-3 sm:grid-cols-4">
        <SelectField label="Batch size" value={wanted} options={sizes} onChange={setWanted} />
        {wanted === 'volume' && (
          <QuantityField
            label="Fresh mix"
            name="volume"
            dimension="volume"
            value={volume}
            onChange={(typed) => typed !== undefined && typed > 0 && setVolume(typed)}
          />
        )}
        {store.scoops.length > 0 && (
          <SelectField
            label="Scoop at hand"
            value={scoopId}
            options={store.scoops.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setScoopId}
          />
        )}
        {store.scoops.length > 0 && (
          <SelectField<ScoopStep>
            label="Round scoops to"
            value={step}
            options={[
              { value: 0.25, label: 'quarters' },
              { value: 0.5, label: 'halves' },
              { value: 1, label: 'whole ones' },
            ]}
            onChange={setStep}
          />
        )}
      </div>
      {size === undefined && <p className="quiet">The store holds none of one of its materials.</p>}
      {size && <MeasuredBatchView {...{ draft, mix, conditions, vessels }} batch={size.batch} by={size.by} />}
    </section>
  );
}
