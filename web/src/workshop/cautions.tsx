import { mayActAs } from '@dewpot/contract/roles';
import { useState } from 'react';
import { useSaveSettings, useSession, useSettings } from '../api/session';
import { Button } from '../ui/button';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { toast } from '../ui/toast';

/** What holds everywhere, and what holds here beside it. */
export function Cautions() {
  const say = useSay();
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.cautions')}>
      <h2 className="text-2xl">{say('workshop.everywhere')}</h2>
      <ul className="list-disc space-y-1 pl-5">
        <li>{say('workshop.cautionDust')}</li>
        <li>{say('workshop.cautionWet')}</li>
        <li>{say('workshop.cautionHeat')}</li>
        <li>{say('workshop.cautionRinse')}</li>
        <li>{say('workshop.cautionCodes')}</li>
      </ul>
      <OwnRules />
    </section>
  );
}

/** The workshop's own words, which stand with the cautions at each step. */
function OwnRules() {
  const say = useSay();
  const settings = useSettings();
  const save = useSaveSettings();
  const [rules, setRules] = useState(settings.localRules ?? '');
  const may = mayActAs(useSession().person.role, 'caster');
  const keep = () => save.mutate({ ...settings, localRules: rules.trim() }, { onSuccess: () => toast.success(say('workshop.kept')) }); // prettier-ignore
  return (
    <div className="space-y-2">
      <label className="block text-sm font-semibold">
        {say('workshop.localRules')}
        <textarea
          className="textarea textarea-bordered mt-1 w-full font-normal"
          rows={3}
          maxLength={2000}
          readOnly={!may}
          value={rules}
          onChange={({ target }) => setRules(target.value)}
        />
      </label>
      <p className="quiet text-sm">{say('workshop.localRulesHow')}</p>
      <Failure error={save.error} />
      {may && (
        <Button disabled={save.isPending || rules.trim() === (settings.localRules ?? '')} onClick={keep}>
          {say('ui.saveWhat', { what: say('workshop.localRules') })}
        </Button>
      )}
    </div>
  );
}
