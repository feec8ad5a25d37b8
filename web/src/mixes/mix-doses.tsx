import type { Message } from '@dewpot/core/units';
import { additives, baseInWords, type Additive, type Material } from '@dewpot/core/materials';
import { doseAmount } from '@dewpot/core/mixes';
import type { MixInput, StoreView } from '@dewpot/contract';
import { X } from 'lucide-react';
import { AddSelect } from '../ui/add-select';
import { IconButton } from '../ui/icon-button';
import { NumberField } from '../ui/number-field';
import type { CalculatedMix } from './use-calculated-mix';
import { Wrong } from '../ui/wrong';
import { useSay } from '../ui/say';

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

/** One dose, with its base in words and where it stands in its range. */
function DoseRow({
  material,
  kind,
  amount,
  wrong,
  onAmount,
  onLeaveOut,
}: {
  material: Material;
  kind: Additive;
  amount: number;
  wrong: Message | undefined;
  onAmount: (amount: number) => void;
  onLeaveOut: () => void;
}) {
  const byVolume = kind.measure === 'kg/m³';
  const shown = byVolume ? 1 : 100;
  const say = useSay();
  const dosed = (dose: number) => say.value(doseAmount({ material, amount: dose }));
  return (
    <li className="py-1.5">
      <div className="grid grid-cols-[4.5rem_1fr_auto] items-center gap-2">
        <NumberField
          label={say('mixes.doseOfField', { material: material.name })}
          wrong={wrong !== undefined}
          className="numeral h-12 w-full text-xl"
          value={amount * shown}
          onChange={(typed) => onAmount(typed / shown)}
        />
        <span className="leading-tight">
          {material.name}
          <span className="quiet block text-xs">
            {byVolume
              ? say('mixes.kgPerM3', { base: baseInWords[kind.base] })
              : say('mixes.percentOf', { base: baseInWords[kind.base], solids: kind.onSolids ? 'yes' : 'no' })}
          </span>
        </span>
        <IconButton label={say('mixes.leaveNamedOut', { name: material.name })} icon={X} onClick={onLeaveOut} />
      </div>
      <DoseBar amount={amount} low={kind.low} usual={kind.usual} ceiling={kind.ceiling} />
      <p className="quiet text-xs">
        {say('mixes.usuallyAtMost', { usual: dosed(kind.usual), ceiling: dosed(kind.ceiling) })}
      </p>
      {wrong && <p className="text-error text-sm">{say(wrong)}</p>}
    </li>
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
  const say = useSay();
  const doses = draft.doses ?? [];
  const put = (next: DoseLine[]) => onChange({ ...draft, doses: next });
  const known = (id: string) => store.materials.find((material) => material.id === id);
  const unused = store.materials.filter(
    ({ id, kind }) => kind === 'additive' && doses.every(({ materialId }) => materialId !== id),
  );
  return (
    <div>
      <h2 className="text-xl">{say('mixes.additivesPigments')}</h2>
      {doses.length === 0 && <p className="quiet text-sm">{say('mixes.noDosesYet')}</p>}
      <ul className="divide-base-300 divide-y">
        {doses.map((dose, i) => {
          const material = known(dose.materialId);
          if (!material?.additive) return null;
          return (
            <DoseRow
              key={dose.materialId}
              material={material}
              kind={additives[material.additive]}
              amount={dose.amount}
              wrong={errors[`doses.${i}.amount`] ?? errors[`doses.${i}.material`]}
              onAmount={(amount) => put(doses.map((one, at) => (at === i ? { ...one, amount } : one)))}
              onLeaveOut={() => put(doses.filter((_, at) => at !== i))}
            />
          );
        })}
      </ul>
      <Wrong className="py-1">{errors['doses']}</Wrong>
      <AddSelect
        label={say('mixes.addDose')}
        prompt={say('mixes.addDosePrompt')}
        options={unused.map(({ id, name }) => ({ value: id, label: name }))}
        onAdd={(id) => {
          const material = known(id);
          if (material?.additive)
            put([...doses, { materialId: material.id, amount: additives[material.additive].usual }]);
        }}
      />
    </div>
  );
}
