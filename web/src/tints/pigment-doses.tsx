import type { Message } from '@dewpot/core/units';
import { PIGMENT_STOP, type Material } from '@dewpot/core/materials';
import { additiveOf, doseInWords } from '@dewpot/core/mixes';
import type { TintInput } from '@dewpot/contract';
import { X } from 'lucide-react';
import type { Palette } from '../api/tints';
import { AddSelect } from '../ui/add-select';
import { IconButton } from '../ui/icon-button';
import { NumberField } from '../ui/number-field';
import { PigmentDot } from './pigment-dot';
import { pigmentsOf } from './tint-words';
import { Wrong } from '../ui/wrong';
import { useSay } from '../ui/say';

type Doses = TintInput['doses'];

/** Where the handle of a dose stands at its least, share of the binder. */
const FINEST = 0.0005;
/** Most that a slider reaches; more is typed. */
const REACH = 0.08;

/** The pigments of a tint, each with a slider and a figure, and where its ceiling lies. */
export function PigmentDoses({
  doses,
  palette,
  errors,
  onChange,
}: {
  doses: Doses;
  palette: Palette;
  errors: Readonly<Record<string, Message>>;
  onChange: (doses: Doses) => void;
}) {
  const say = useSay();
  const put = (at: number, amount: number) => onChange(doses.map((one, i) => (i === at ? { ...one, amount } : one)));
  const unused = pigmentsOf(palette).filter(({ id }) => doses.every(({ materialId }) => materialId !== id));
  return (
    <div>
      <h2 className="text-xl">{say('tints.pigments')}</h2>
      {doses.length === 0 && <p className="quiet text-sm">{say('tints.noneYetBase')}</p>}
      <ul className="divide-base-300 divide-y">
        {doses.map(({ materialId, amount }, i) => {
          const material = palette.find(materialId);
          if (!material) return null;
          return (
            <PigmentRow
              key={materialId}
              material={material}
              amount={amount}
              wrong={errors[`doses.${i}.amount`] ?? errors[`doses.${i}.material`]}
              onAmount={(next) => put(i, next)}
              onLeaveOut={() => onChange(doses.filter((_, at) => at !== i))}
            />
          );
        })}
      </ul>
      <Wrong className="py-1">{errors['doses']}</Wrong>
      <AddSelect
        label={say('tints.addPigment')}
        prompt={say('tints.addPigmentPrompt')}
        options={unused.map(({ id, name }) => ({ value: id, label: name }))}
        onAdd={(id) => onChange([...doses, { materialId: id, amount: Math.min(0.02, PIGMENT_STOP) }])}
      />
    </div>
  );
}

/** One pigment with its figure, its slider, and where its ceiling lies. */
function PigmentRow({
  material,
  amount,
  wrong,
  onAmount,
  onLeaveOut,
}: {
  material: Material;
  amount: number;
  wrong: Message | undefined;
  onAmount: (amount: number) => void;
  onLeaveOut: () => void;
}) {
  const say = useSay();
  const { ceiling } = additiveOf(material);
  return (
    <li className="py-2">
      <div className="grid grid-cols-[1.5rem_1fr_4.5rem_1rem_auto] items-center gap-2">
        <PigmentDot colour={material.colour} />
        <span className="leading-tight font-semibold">{material.name}</span>
        <NumberField
          label={say('tints.dosePercent', { material: material.name })}
          wrong={wrong !== undefined}
          className="numeral h-11 w-full text-lg"
          value={amount * 100}
          onChange={(typed) => onAmount(typed / 100)}
        />
        <span aria-hidden="true">%</span>
        <IconButton label={say('mixes.leaveNamedOut', { name: material.name })} icon={X} onClick={onLeaveOut} />
      </div>
      <input
        type="range"
        className="dose-slider"
        aria-label={say('tints.byEyeOf', { material: material.name })}
        min={FINEST}
        max={REACH}
        step={FINEST}
        value={Number.isFinite(amount) ? Math.min(REACH, amount) : FINEST}
        onChange={(event) => onAmount(event.target.valueAsNumber)}
      />
      <p className={`text-xs ${amount > ceiling ? 'text-warning font-semibold' : 'quiet'}`}>
        {say('tints.doseCeiling', {
          over: amount > ceiling ? 'yes' : 'no',
          dose: doseInWords({ material, amount: ceiling }),
        })}
      </p>
      {wrong && <p className="text-error text-sm">{say(wrong)}</p>}
    </li>
  );
}
