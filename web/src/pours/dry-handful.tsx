import { useState } from 'react';
import { quantity } from '@dewpot/core/units';
import { moistureByDrying } from '@dewpot/core/mixes';
import { QuantityField } from '../ui/quantity-field';
import { sayRefusal } from '../ui/input-error-message';
import { useSay } from '../ui/say';

/** The moisture of a material by drying a weighed handful, step by step; `most` is the wettest it can be. */
export function DryHandful({
  name,
  most,
  onMoisture,
}: {
  name: string;
  most: number;
  onMoisture: (moisture: number) => void;
}) {
  const say = useSay();
  const [damp, setDamp] = useState<number>();
  const [told, setTold] = useState<string>();
  const dried = (dry: number | undefined) => {
    if (damp === undefined || dry === undefined) return;
    try {
      const { value } = moistureByDrying(damp, dry, most);
      setTold(say('pours.handfulTold', { value: quantity(value, '%', 1) }));
      onMoisture(Number((value / 100).toFixed(3)));
    } catch (error) {
      setTold(sayRefusal(error, say));
    }
  };
  return (
    <details className="text-sm">
      <summary className="min-h-8 cursor-pointer py-1 font-semibold">{say('pours.orDryHandful', { name })}</summary>
      <p className="quiet">{say('pours.dryHandfulHow')}</p>
      <div className="mt-1 grid grid-cols-2 gap-3">
        <QuantityField label={say('pours.dampMass')} name="damp" dimension="mass" value={damp} onChange={setDamp} />
        <QuantityField label={say('pours.driedMass')} name="dry" dimension="mass" value={undefined} onChange={dried} />
      </div>
      {told && <p role="status">{told}</p>}
    </details>
  );
}
