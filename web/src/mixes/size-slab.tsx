import { useMemo, useState } from 'react';
import {
  betterRounding,
  largestFromStore,
  lotInUse,
  massesPerPart,
  roundToScoops,
  sayScoops,
  scaleMasses,
  scoopedRatio,
  sizeToBucket,
  sizeToMass,
  sizeToVolume,
  usualOrder,
  waterPlan,
  weighDose,
  type BatchMasses,
  type ScoopStep,
} from '@dewpot/core';
import type { MixInput, StoresView } from '@dewpot/contract';
import { useSession } from '../api/session';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';
import { WaterGlass } from '../ui/water-glass';
import type { ReckonedMix } from './use-reckoned-mix';

type Wanted = 'volume' | 'bucket' | 'store' | `bag:${string}` | `lot:${string}`;

const off = (share: number) =>
  Math.abs(share) < 0.005 ? '' : `${Math.abs(share * 100).toFixed(0)} % ${share > 0 ? 'over' : 'under'}`;

/** The size that was asked for, and what it goes by. */
function sized(
  perPart: BatchMasses,
  wanted: Wanted,
  { volume, bucket, stores }: { volume: number; bucket: number; stores: StoresView },
): { batch: BatchMasses; by?: string } | undefined {
  if (wanted === 'volume') return { batch: sizeToVolume(perPart, volume) };
  if (wanted === 'bucket') return { batch: sizeToBucket(perPart, bucket), by: 'two thirds of the bucket’s brim' };
  if (wanted === 'store') {
    const most = largestFromStore(perPart, stores.lots);
    return most && { batch: most.batch, by: `then ${most.shortest.name.toLowerCase()} is used up` };
  }
  const id = wanted.slice(4);
  if (wanted.startsWith('lot:')) {
    const lot = lotInUse(id, stores.lots);
    return lot && { batch: sizeToMass(perPart, id, lot.left), by: 'what is left of the lot in use' };
  }
  const lot = stores.lots.find(({ materialId }) => materialId === id)!;
  return { batch: sizeToMass(perPart, id, lot.bought / (lot.bags ?? 1)), by: 'one whole bag' };
}

/** A batch of the mix at a size: in the caster's scoops with what rounding does, its doses by scale and spoon, its water. */
export function SizeSlab({
  draft,
  reckoned: { mix, conditions },
  stores,
}: {
  draft: MixInput;
  reckoned: ReckonedMix;
  stores: StoresView;
}) {
  const units = useUnits();
  const { workshop } = useSession();
  const [wanted, setWanted] = useState<Wanted>('volume');
  const [volume, setVolume] = useState(5000);
  const [scoopId, setScoopId] = useState(stores.scoops[0]?.id ?? '');
  const [step, setStep] = useState<ScoopStep>(0.5);
  const scoop = stores.scoops.find(({ id }) => id === scoopId);
  const perPart = useMemo(() => massesPerPart(mix, conditions), [mix, conditions]);
  const bagged = mix.lines.filter(({ material }) => stores.lots.some(({ materialId }) => materialId === material.id));
  const size = sized(perPart, wanted, { volume, bucket: workshop.bucket, stores });
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
        <SelectField label="As much as" value={wanted} options={sizes} onChange={setWanted} />
        {wanted === 'volume' && (
          <QuantityField
            label="Fresh mix"
            name="volume"
            dimension="volume"
            system={units.system}
            value={volume}
            onChange={(typed) => typed !== undefined && typed > 0 && setVolume(typed)}
          />
        )}
        <SelectField
          label="Scoop"
          value={scoopId}
          options={stores.scoops.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setScoopId}
        />
        <SelectField<ScoopStep>
          label="To the"
          value={step}
          options={[
            { value: 0.25, label: 'quarter' },
            { value: 0.5, label: 'half' },
            { value: 1, label: 'whole' },
          ]}
          onChange={setStep}
        />
      </div>
      {size === undefined && <p className="quiet">The store holds none of one of its materials.</p>}
      {size && scoop && (
        <Scooped
          key={wanted}
          {...{ draft, mix, scoop, step, scaleStep: workshop.scaleStep }}
          batch={size.batch}
          by={size.by}
          onSize={(better) => {
            setWanted('volume');
            setVolume(Math.round(better));
          }}
        />
      )}
    </section>
  );
}

function Scooped({
  draft,
  mix,
  batch,
  by,
  scoop,
  step,
  scaleStep,
  onSize,
}: {
  draft: MixInput;
  mix: ReckonedMix['mix'];
  batch: BatchMasses;
  by: string | undefined;
  scoop: StoresView['scoops'][number];
  step: ScoopStep;
  scaleStep: number;
  onSize: (volume: number) => void;
}) {
  const units = useUnits();
  const lines = roundToScoops(batch, {}, scoop, step);
  const better = betterRounding(batch, {}, scoop, step);
  const water = waterPlan(mix, batch, { moisture: {}, order: draft.ways?.order ?? usualOrder(draft.setting) });
  const ratio = scoopedRatio(batch, lines, {}, mix.limeCounts);
  return (
    <div className="grid items-start gap-4 md:grid-cols-[1fr_15rem]">
      <div>
        <p>
          <strong className="numeral text-2xl">{units.say(batch.volume, 'mL')}</strong> of fresh mix
          {by && <span className="quiet">: {by}</span>}
        </p>
        <ul className="divide-base-300 mt-2 divide-y">
          {lines.map(({ material, mass, count, ratioError }) => (
            <li key={material.id} className="grid grid-cols-[4rem_1fr_auto] items-baseline gap-3 py-1.5">
              <span className="numeral text-2xl">{sayScoops(count)}</span>
              <span>
                {material.name} <span className="quiet text-sm">{units.say(mass, 'g')}</span>
              </span>
              <span className="text-warning text-sm">{off(ratioError)}</span>
            </li>
          ))}
          {batch.doses.map((portion) => {
            const weighed = weighDose(portion, scaleStep, batch);
            return (
              <li key={weighed.name} className="grid grid-cols-[4rem_1fr_auto] items-baseline gap-3 py-1.5">
                <span className="numeral text-xl whitespace-nowrap">{units.say(weighed.onScale, 'g')}</span>
                <span>
                  {weighed.name}{' '}
                  <span className="quiet text-sm">
                    {weighed.words},{' '}
                    {weighed.spoons === undefined
                      ? `or ${units.say(weighed.milliliters!, 'mL')}`
                      : `or ${sayScoops(weighed.spoons)} level spoons (${off(weighed.spoonError!) || 'even'})`}
                  </span>
                  {weighed.advice && <span className="text-warning block text-sm">{weighed.advice}</span>}
                </span>
                <span className="text-warning text-sm">{off(weighed.scaleError)}</span>
              </li>
            );
          })}
        </ul>
        {ratio > 0 && (
          <p className="quiet mt-1 text-sm">As it is scooped, water to cement comes to {ratio.toFixed(2)}.</p>
        )}
        {better && (
          <p className="mt-2 flex flex-wrap items-center gap-3">
            {units.say(scaleMasses(batch, better.factor).volume, 'mL')} comes out{' '}
            {better.worst < 0.005 ? 'even' : `within ${(better.worst * 100).toFixed(0)} %`} in these scoops.
            <button
              type="button"
              className="btn btn-ghost bg-base-300/60 h-11"
              onClick={() => onSize(scaleMasses(batch, better.factor).volume)}
            >
              Make that much
            </button>
          </p>
        )}
      </div>
      <div>
        <WaterGlass water={water} />
        {water.powderHeld !== undefined && (
          <p className="quiet text-sm">
            All the water at once; hold back {units.say(water.powderHeld, 'g')} of the powder and add it by eye.
          </p>
        )}
      </div>
    </div>
  );
}
