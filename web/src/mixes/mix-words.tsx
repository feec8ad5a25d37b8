import type { BinderClass } from '@dewpot/core/binders';
import { isBinder } from '@dewpot/core/materials';
import { consistencies, timesAt20, toldBy, type Exposure, type Grade, type Mix } from '@dewpot/core/mixes';
import type { MixInput } from '@dewpot/contract';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { SettingTimesFields, withTimes } from '../ui/setting-times-fields';
import { withRecipe } from './resolve';
import type { CalculatedMix } from './use-calculated-mix';
import { useSay } from '../ui/say';

const exposures: readonly { value: Exposure; label: string }[] = [
  { value: 'indoors', label: 'Indoors' },
  { value: 'outdoors', label: 'Outdoors' },
  { value: 'frost', label: 'Out in frost' },
];

const settings: readonly { value: BinderClass; label: string }[] = [
  { value: 'portland', label: 'cement: hours' },
  { value: 'high-early', label: 'high-early cement: strong sooner' },
  { value: 'fast-setting', label: 'fast-setting: minutes' },
  { value: 'gypsum', label: 'gypsum: minutes' },
  { value: 'underlayment', label: 'underlayment: half an hour' },
  { value: 'patch', label: 'patch: under an hour' },
  { value: 'lime', label: 'lime: days' },
];

interface WordsProps {
  readonly draft: MixInput;
  readonly calculated: CalculatedMix;
  readonly onChange: (draft: MixInput) => void;
}

/** Whether a recipe counts in scoops or on the scale. The mix stays the same when it is told the other way. */
export function PartsMeasuredBy({ draft, calculated, onChange }: WordsProps) {
  return (
    <Choice
      legend="Parts are of"
      value={draft.by}
      options={[
        { value: 'volume', label: 'Volume, in scoops' },
        { value: 'mass', label: 'Mass, by the scale' },
      ]}
      onChange={(by) => onChange(withRecipe(draft, toldBy(calculated.mix, by)))}
    />
  );
}

/** Where the times of a mix come from while none are entered for it. */
const timesFrom = ({ lines }: Mix) =>
  lines.some(({ material }) => isBinder(material) && material.times) ? 'from the bag' : 'by the handbook';

/** How wet a mix is, how it sets, where its pieces live, and what of it is counted. */
export function MixWordFields({ draft, calculated, onChange }: WordsProps) {
  const say = useSay();
  const set = (part: Partial<MixInput>) => onChange({ ...draft, ...part });
  const limed = calculated.mix.lines.some(({ material: { family } }) => family === 'lime' || family === 'pozzolan');
  const tick = (label: string, checked: boolean, put: (checked: boolean) => void) => (
    <label className="flex min-h-11 items-center gap-3">
      <input type="checkbox" className="checkbox" checked={checked} onChange={(event) => put(event.target.checked)} />
      {label}
    </label>
  );
  return (
    <>
      <SelectField<Grade>
        label="Consistency"
        value={draft.grade}
        options={consistencies.map(({ grade, name, usedFor }) => ({
          value: grade,
          label: `${grade}: ${say(name)} — ${say(usedFor)}`,
        }))}
        onChange={(grade) => set({ grade })}
      />
      <Choice legend="Exposure" value={draft.exposure} options={exposures} onChange={(exposure) => set({ exposure })} />
      <div className="grid grid-cols-[1fr_7rem] gap-3">
        <SelectField
          label="Binder type"
          value={draft.binderClass}
          options={settings}
          onChange={(binderClass) => set({ binderClass })}
        />
        <SelectField
          label="Moist curing"
          value={draft.moistCuringDays}
          options={[...new Set([0, 1, 2, 3, 7, 14, 28, draft.moistCuringDays])]
            .sort((a, b) => a - b)
            .map((value) => ({ value, label: value === 1 ? '1 day' : `${value} days` }))}
          onChange={(moistCuringDays) => set({ moistCuringDays })}
        />
      </div>
      <details open={draft.times !== undefined}>
        <summary className="cursor-pointer py-2">
          Pot life and set{' '}
          <span className="quiet">{draft.times ? 'as you entered them' : timesFrom(calculated.mix)}</span>
        </summary>
        <SettingTimesFields
          times={draft.times}
          usual={timesAt20({ ...calculated.mix, times: {} }, draft.binderClass)}
          errors={calculated.errors}
          onChange={(times) => onChange(withTimes(draft, times))}
        />
      </details>
      {tick('Packed into the mould by hand, which leaves more air', draft.packed, (packed) => set({ packed }))}
      {limed &&
        tick('Lime and metakaolin count as cement', draft.limeCounts ?? false, (limeCounts) => set({ limeCounts }))}
    </>
  );
}
