import { useState } from 'react';
import { usualSetup } from '@dewpot/core/calendar';
import { useSaveSettings, useSettings } from '../api/session';
import { Button } from '../ui/button';
import { NumberField } from '../ui/number-field';
import { Failure } from '../ui/states';
import { toast } from '../ui/toast';
import { useSay } from '../ui/say';

const MOST = 240;

/** What a session takes beside its pour. */
export function SessionSettings() {
  const say = useSay();
  const settings = useSettings();
  const save = useSaveSettings();
  const [session, setSession] = useState(settings.session ?? usualSetup);
  const isWrong = (minutes: number) => !(minutes >= 0 && minutes <= MOST);
  const field = (key: keyof typeof session, label: string) => (
    <label className="block text-sm font-semibold">
      {label}
      <NumberField
        label={label}
        className="mt-1 w-full"
        value={session[key]}
        wrong={isWrong(session[key])}
        onChange={(minutes) => setSession({ ...session, [key]: minutes })}
      />
    </label>
  );
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.sessions')}>
      <h2 className="text-2xl">{say('workshop.sessions')}</h2>
      <p className="quiet">{say('workshop.sessionsTold')}</p>
      <div className="grid gap-3 sm:grid-cols-2">
        {field('setUp', say('workshop.sessionSetUp'))}
        {field('cleanUp', say('workshop.sessionCleanUp'))}
      </div>
      <Failure error={save.error} />
      <Button
        disabled={save.isPending || isWrong(session.setUp) || isWrong(session.cleanUp)}
        onClick={() => save.mutate({ ...settings, session }, { onSuccess: () => toast.success(say('workshop.kept')) })}
      >
        {say('ui.saveWhat', { what: say('workshop.sessions') })}
      </Button>
    </section>
  );
}
