import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { mayActAs, roles, type PersonView } from '@dewpot/contract';
import { useState } from 'react';
import { peopleQuery, useChangeRole, useLetRenew, useRemovePerson } from '../api/people';
import { useLeave, useSession } from '../api/session';
import { Button } from '../ui/button';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { toast } from '../ui/toast';
import { useSay } from '../ui/say';
import { InvitationLink } from './invitation-link';
import { Invitations } from './invitations';
import { roleOptions } from './role-options';

/** Who works here, and what each may do; owners change that, and invite others. */
export function PeopleSlab() {
  const say = useSay();
  const people = useQuery(peopleQuery);
  const { person } = useSession();
  const owns = person.role === 'owner';
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.people')}>
      <h2 className="text-2xl">{say('workshop.people')}</h2>
      <Failure error={people.error} />
      <ul className="divide-base-300 divide-y">
        {(people.data ?? []).map((one) => (
          <PersonRow key={one.id} owns={owns} {...one} />
        ))}
      </ul>
      <dl className="quiet text-sm">
        {[...roles].reverse().map((role) => (
          <div key={role}>
            <dt className="inline font-semibold">{say('workshop.role', { role })}</dt>{' '}
            <dd className="inline">{say('workshop.roleMeans', { role })}</dd>
          </div>
        ))}
      </dl>
      {mayActAs(person.role, 'caster') && (
        <p>
          <Link className="link" to="/workshop/audit">
            {say('workshop.whoDidWhat')}
          </Link>
        </p>
      )}
      {owns && <Invitations />}
    </section>
  );
}

function PersonRow({ id, name, email, role, owns }: PersonView & { owns: boolean }) {
  const say = useSay();
  const mine = id === useSession().person.id;
  const change = useChangeRole();
  const remove = useRemovePerson();
  const leave = useLeave();
  const renew = useLetRenew();
  return (
    <li className="py-2">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <div className="min-w-0 flex-1 basis-40">
          <p className="truncate font-semibold">{name}</p>
          <p className="quiet truncate text-sm">{email}</p>
        </div>
        {owns ? (
          <SelectField
            className="w-32"
            label={say('workshop.roleOf', { name })}
            options={roleOptions}
            value={role}
            onChange={(next) => change.mutate({ id, role: next })}
          />
        ) : (
          <p className="quiet">{say('workshop.role', { role })}</p>
        )}
        {mine && <Sure ask={say('workshop.leave')} now={say('workshop.leaveNow')} onSure={() => leave.mutate()} />}
        {owns && !mine && (
          <Button
            size="low"
            aria-label={say('workshop.newPassphraseOf', { name })}
            disabled={renew.isPending}
            onClick={() => renew.mutate(id)}
          >
            {say('workshop.renewPassphrase')}
          </Button>
        )}
        {owns && !mine && (
          <Sure
            ask={say('workshop.removePerson', { name })}
            now={say('workshop.removeNow', { name })}
            onSure={() => remove.mutate(id, { onSuccess: () => toast.success(say('workshop.removed', { name })) })}
          />
        )}
      </div>
      {renew.data && (
        <InvitationLink
          token={renew.data.token}
          label={say('workshop.renewalLink', { name })}
          mailed={{ to: email, state: renew.data.mail }}
        />
      )}
      <Failure error={change.error ?? remove.error ?? leave.error ?? renew.error} />
    </li>
  );
}

/** A control that is tapped twice: what it does is not undone. */
function Sure({ ask, now, onSure }: { ask: string; now: string; onSure: () => void }) {
  const [sure, setSure] = useState(false);
  return (
    <Button
      look={sure ? 'danger' : 'soft'}
      size="low"
      onClick={() => (sure ? onSure() : setSure(true))}
      onBlur={() => setSure(false)}
    >
      {sure ? now : ask}
    </Button>
  );
}
