import { useState } from 'react';
import { exactly } from '@dewpot/core/units';
import { bulkByWeighing } from '@dewpot/core/materials';
import type { ScoopView } from '@dewpot/contract';
import { QuantityField } from '../ui/quantity-field';
import { sayRefusal } from '../ui/input-error-message';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';

const counts = [1, 2, 3, 5, 10];

/** Weighing a few scoops of a material, step by step: its own loose density in place of the handbook's. */
export function WeighScoop({ scoops, onBulk }: { scoops: readonly ScoopView[]; onBulk: (bulk: number) => void }) {
  const say = useSay();
  const [scoopId, setScoopId] = useState(scoops[0]?.id ?? '');
  const [count, setCount] = useState(3);
  const [told, setTold] = useState<string>();
  const weigh = (mass: number | undefined) => {
    const scoop = scoops.find(({ id }) => id === scoopId);
    if (mass === undefined || !scoop) return;
    try {
      const { value } = bulkByWeighing(mass, count, scoop);
      const bulk = Number(value.toFixed(3));
      setTold(say('materials.soItIsLoose', { bulk: exactly(bulk, 'kg/L') }));
      onBulk(bulk);
    } catch (error) {
      setTold(sayRefusal(error, say));
    }
  };
  return (
    <details>
      <summary className="min-h-8 cursor-pointer py-1 font-semibold">{say('materials.weighScoopField')}</summary>
      <ol className="quiet list-decimal pl-6 text-sm">
        <li>{say('materials.weighScoop1')}</li>
        <li>{say('materials.weighScoop2')}</li>
        <li>{say('materials.weighScoop3')}</li>
      </ol>
      <div className="mt-2 grid gap-3 sm:grid-cols-3">
        <SelectField
          label={say('materials.scoop')}
          value={scoopId}
          options={scoops.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setScoopId}
        />
        <SelectField
          label={say('materials.howMany')}
          value={count}
          options={counts.map((value) => ({ value, label: String(value) }))}
          onChange={setCount}
        />
        <QuantityField
          label={say('materials.massOnScale')}
          name="scoopMass"
          dimension="mass"
          value={undefined}
          onChange={weigh}
        />
      </div>
      {told && <p role="status">{told}</p>}
    </details>
  );
}
