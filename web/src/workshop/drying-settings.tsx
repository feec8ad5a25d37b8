import { dryingSchools, usualDrying, type DryingSchool } from '@dewpot/core/sealing';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { toast } from '../ui/toast';
import { overridesQuery } from '../api/finish';
import { useSaveSettings, useSettings } from '../api/session';
import { Choice } from '../ui/choice';
import { dayOf } from '../ui/format-time';
import { Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { identity, fixed } from '@dewpot/core/units';
import { useSay } from '../ui/say';

const schools = (Object.keys(dryingSchools) as DryingSchool[]).map((value) => ({
  value,
  label: dryingSchools[value].name,
  hint: dryingSchools[value].why,
}));

/** How it is told that a piece is dry, and what came of the gates that were overridden. */
export function DryingSettings() {
  const say = useSay();
  const settings = useSettings();
  const save = useSaveSettings();
  const now = useNow();
  const { data } = useQuery(overridesQuery);
  const told = [data?.open.told, data?.film.told].filter((one) => one !== undefined);
  return (
    <section className="card-slab space-y-4" aria-label={say('workshop.dryEnough')}>
      <h2 className="text-2xl">{say('workshop.dryEnoughToSeal')}</h2>
      <Choice
        legend={say('workshop.whenDry')}
        options={schools}
        value={settings.drying ?? usualDrying}
        onChange={(drying) =>
          save.mutate({ ...settings, drying }, { onSuccess: () => toast.success(say('workshop.kept')) })
        }
      />
      {told.map((one) => (
        <p key={identity(one)}>{say.value(one)}</p>
      ))}
      {data && data.seen.length > 0 && (
        <details>
          <summary className="link cursor-pointer">
            {say('workshop.sealedAgainst', {
              seen: data.seen.length,
            })}
          </summary>
          <ul className="mt-1 space-y-1 text-sm">
            {[...data.seen].reverse().map(({ castId, code, at, reason, held, over }) => (
              <li key={`${castId}${at}`}>
                <Link className="link" to={`/casts/${castId}`}>
                  {code}
                </Link>
                {say('workshop.overLimit', { day: dayOf(at, now), over: fixed(over, 1), reason })}{' '}
                {held === undefined
                  ? say('workshop.notLooked')
                  : held
                    ? say('workshop.itHeld')
                    : say('workshop.itDidNotHold')}
              </li>
            ))}
          </ul>
        </details>
      )}
      <Failure error={save.error} />
    </section>
  );
}
