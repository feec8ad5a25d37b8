import { additives, baseInWords } from '@dewpot/core/materials';
import { sayAmount } from '@dewpot/core/mixes';
import type { MixInput, StoreView } from '@dewpot/contract';
import { X } from 'lucide-react';
import { Button } from '../ui/button';
import { NumberField } from '../ui/number-field';
import type { CalculatedMix } from './use-calculated-mix';

type DoseLine = NonNullable<MixInput['doses']>[number];

/** Lowest, usual and ceiling of a dose as a bar, with where this one stands. */
function DoseBar({ amount, low, usual, ceiling }: { amount: number; low: number; usual: number; ceiling: number }) {
  const most = Math.max(ceiling * 1.25, Math.min(amount, ceiling * 2) * 1.05);
  const at = (n: number) => `${Math.min(100, (n / most) * 100)}%`;
  return (
    <span className="bg-base-300 relative my-1 block h-2.5" aria-hidden="true">
      <span
        className="absolute inset-y-0"
        style={{ left: at(low), width: at(ceiling - low), background: 'var(--good)' }}
      />
      <span className="absolute inset-y-0 right-0" style={{ left: at(ceiling), background: 'var(--late)' }} />
      <span className="bg-base-content absolute -inset-y-0.5 w-px" style={{ left: at(usual) }} />
      {Number.isFinite(amount) && (
        <span
          className="bg-base-content border-base-100 absolute -inset-y-1 -ml-[3px] w-1.5 border"
          style={{ left: at(amount) }}
        />
      )}
    </span>
  );
}

/** What is dosed into a mix, each with its base in words and where it stands in its range. */
export function MixDoses({
  draft,
  calculated: { errors },
  store,
  onChange,
}: {
  draft: MixInput;
  calculated: CalculatedMix;
  store: StoreView;
  onChange: (draft: MixInput) => void;
}) {
  const doses = draft.doses ?? [];
  const put = (next: DoseLine[]) => onChange({ ...draft, doses: next });
  const known = (id: string) => store.materials.find((material) => material.id === id);
  const unused = store.materials.filter(
    ({ id, kind }) => kind === 'additive' && doses.every(({ materialId }) => materialId !== id),
  );
  return (
    <div>
      <h2 className="text-xl">Doses</h2>
      {doses.length === 0 && <p className="quiet text-sm">Pigment, fibre, plasticiser, polymer: none yet.</p>}
      <ul className="divide-base-300 divide-y">
        {doses.map((dose, i) => {
          const material = known(dose.materialId);
          if (!material?.additive) return null;
          const kind = additives[material.additive];
          const shown = kind.measure === 'kg/m³' ? 1 : 100;
          const wrong = errors[`doses.${i}.amount`] ?? errors[`doses.${i}.material`];
          const say = (amount: number) => sayAmount({ material, amount });
          return (
            <li key={dose.materialId} className="py-1.5">
              <div className="grid grid-cols-[4.5rem_1fr_auto] items-center gap-2">
                <NumberField
                  label={`Dose of ${material.name}`}
                  wrong={wrong !== undefined}
                  className="numeral h-12 w-full text-xl"
                  value={dose.amount * shown}
                  onChange={(typed) =>
                    put(doses.map((one, at) => (at === i ? { ...one, amount: typed / shown } : one)))
                  }
                />
                <span className="leading-tight">
                  {material.name}
                  <span className="quiet block text-xs">
                    {kind.measure === 'kg/m³' ? 'kg/m³' : '%'} {baseInWords[kind.base]}
                    {kind.onSolids && ', on its solids'}
                  </span>
                </span>
                <Button
                  look="plain"
                  size="low"
                  className="w-9 p-0"
                  aria-label={`Leave ${material.name} out`}
                  onClick={() => put(doses.filter((_, at) => at !== i))}
                >
                  <X size={16} aria-hidden="true" />
                </Button>
              </div>
              <DoseBar amount={dose.amount} low={kind.low} usual={kind.usual} ceiling={kind.ceiling} />
              <p className="quiet text-xs">
                usually {say(kind.usual)}, at most {say(kind.ceiling)}
              </p>
              {wrong && <p className="text-error text-sm">{wrong}</p>}
            </li>
          );
        })}
      </ul>
      {errors['doses'] && (
        <p role="alert" className="text-error py-1">
          {errors['doses']}
        </p>
      )}
      <select
        className="select select-bordered mt-2 h-12 w-full"
        aria-label="Add a dose"
        value=""
        onChange={({ target }) => {
          const material = known(target.value);
          if (material?.additive)
            put([...doses, { materialId: material.id, amount: additives[material.additive].usual }]);
        }}
      >
        <option value="" disabled>
          Add a dose…
        </option>
        {unused.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </div>
  );
}
