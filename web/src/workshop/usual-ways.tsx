import { useState } from 'react';
import type { Phrase } from '@dewpot/core/units';
import { useSaveSettings, useSettings } from '../api/session';
import { Button } from '../ui/button';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { toast } from '../ui/toast';
import { coverNames, releaseNames } from '../ui/word-names';
import { useSay } from '../ui/say';

/** How things are done where nothing else is chosen; a trial can set it. */
export function UsualWays() {
  const say = useSay();
  const settings = useSettings();
  const save = useSaveSettings();
  const [usual, setUsual] = useState(settings.usual ?? {});
  const [lines, setLines] = useState(() => (settings.usual?.ways ?? []).join('\n'));
  const field = (key: 'release' | 'cover', label: string, names: Readonly<Record<string, Phrase>>) => {
    const options = [{ value: '', label: say('workshop.noneUsual') }, ...Object.entries(names).map(([value, name]) => ({ value, label: name }))];
    const { [key]: before = '', ...others } = usual;
    return <SelectField label={label} value={before} options={options} onChange={(way) => setUsual(way ? { ...others, [key]: way } : others)} />;
  };
  const keep = () => {
    const { ways: _before, ...chosen } = usual;
    const ways = lines.split('\n').map((line) => line.trim()).filter(Boolean);
    save.mutate({ ...settings, usual: { ...chosen, ...(ways.length > 0 && { ways }) } }, { onSuccess: () => toast.success(say('workshop.kept')) });
  };
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.usualWays')}>
      <h2 className="text-2xl">{say('workshop.usualWays')}</h2>
      <p className="quiet">{say('workshop.usualWaysHow')}</p>
      <div className="grid gap-3 sm:grid-cols-2">
        {field('release', say('pours.release'), releaseNames)}
        {field('cover', say('pours.cover'), coverNames)}
      </div>
      <label className="block text-sm font-semibold">
        {say('workshop.usualBesides')}
        <textarea className="textarea textarea-bordered mt-1 w-full" rows={2} maxLength={1600} value={lines} onChange={({ target }) => setLines(target.value)} />
      </label>
      <Failure error={save.error} />
      <Button disabled={save.isPending} onClick={keep}>{say('ui.saveWhat', { what: say('workshop.usualWays') })}</Button>
    </section>
  );
} // prettier-ignore
