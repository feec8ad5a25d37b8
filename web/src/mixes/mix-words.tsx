import { msg, type Message } from '@dewpot/core/units';
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

const exposures: readonly { value: Exposure; label: Message }[] = [
  { value: 'indoors', label: msg('mixes.indoors') },
  { value: 'outdoors', label: msg('mixes.outdoors') },
  { value: 'frost', label: msg('mixes.inFrost') },
];

const settings: readonly { value: BinderClass; label: Message }[] = [
  { value: 'portland', label: msg('mixes.classPortland') },
  { value: 'high-early', label: msg('mixes.classHighEarly') },
  { value: 'fast-setting', label: msg('mixes.classFast') },
  { value: 'gypsum', label: msg('mixes.classGypsum') },
  { value: 'underlayment', label: msg('mixes.classUnderlayment') },
  { value: 'patch', label: msg('mixes.classPatch') },
  { value: 'lime', label: msg('mixes.classLime') },
];

interface WordsProps {
  readonly draft: MixInput;
  readonly calculated: CalculatedMix;
  readonly onChange: (draft: MixInput) => void;
}

/** Whether a recipe counts in scoops or on the scale. The mix stays the same when it is told the other way. */
export function PartsMeasuredBy({ draft, calculated, onChange }: WordsProps) {
  const say = useSay();
  return (
    <Choice
      legend={say('mixes.partsAreOf')}
      value={draft.by}
      options={[
        { value: 'volume', label: say('mixes.byVolumeScoops') },
        { value: 'mass', label: say('mixes.byMassScale') },
      ]}
      onChange={(by) => onChange(withRecipe(draft, toldBy(calculated.mix, by)))}
    />
  );
}

/** Where the times of a mix come from while none are entered for it. */
const timesFrom = ({ lines }: Mix) =>
  lines.some(({ material }) => isBinder(material) && material.times) ? msg('mixes.fromBag') : msg('mixes.byHandbook');

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
        label={say('mixes.consistency')}
        value={draft.grade}
        options={consistencies.map(({ grade, name, usedFor }) => ({
          value: grade,
          label: `${grade}: ${say(name)} — ${say(usedFor)}`,
        }))}
        onChange={(grade) => set({ grade })}
      />
      <Choice
        legend={say('mixes.exposureField')}
        value={draft.exposure}
        options={exposures}
        onChange={(exposure) => set({ exposure })}
      />
      <div className="grid grid-cols-[1fr_7rem] gap-3">
        <SelectField
          label={say('mixes.binderType')}
          value={draft.binderClass}
          options={settings}
          onChange={(binderClass) => set({ binderClass })}
        />
        <SelectField
          label={say('mixes.moistCuring')}
          value={draft.moistCuringDays}
          options={[...new Set([0, 1, 2, 3, 7, 14, 28, draft.moistCuringDays])]
            .sort((a, b) => a - b)
            .map((value) => ({ value, label: say.quantity(value, 'days', 0) }))}
          onChange={(moistCuringDays) => set({ moistCuringDays })}
        />
      </div>
      <details open={draft.times !== undefined}>
        <summary className="cursor-pointer py-2">
          {say('mixes.potLifeAndSet')}{' '}
          <span className="quiet">{draft.times ? say('mixes.asEntered') : say(timesFrom(calculated.mix))}</span>
        </summary>
        <SettingTimesFields
          times={draft.times}
          usual={timesAt20({ ...calculated.mix, times: {} }, draft.binderClass)}
          errors={calculated.errors}
          onChange={(times) => onChange(withTimes(draft, times))}
        />
      </details>
      {tick(say('mixes.packedByHandField'), draft.packed, (packed) => set({ packed }))}
      {limed && tick(say('mixes.limeCountsField'), draft.limeCounts ?? false, (limeCounts) => set({ limeCounts }))}
    </>
  );
}
