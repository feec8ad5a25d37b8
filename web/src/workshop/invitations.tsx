import { lazy, Suspense, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import type { InvitationView, Role } from '@dewpot/contract';
import { invitationsQuery, useInvite, useTakeBack } from '../api/people';
import { Button, buttonClass } from '../ui/button';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { roleOptions } from './role-options';

/** Few ever invite somebody: the code is fetched with the first invitation. */
const QrCode = lazy(async () => ({ default: (await import('../ui/qr-code')).QrCode }));

/** An invitation serves for so many days. */
const DAYS = 7;

/** How others come in: by a link, or by its code on somebody's phone. */
export function Invitations() {
  const say = useSay();
  const open = useQuery(invitationsQuery);
  const invite = useInvite();
  const [role, setRole] = useState<Role>('caster');
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.invite')}</summary>
      <div className="mt-3 space-y-3">
        <div className="flex flex-wrap items-end gap-2">
          <SelectField className="w-40" label={say('workshop.inviteAs')} options={roleOptions} value={role} onChange={setRole} />
          <Button look="strong" disabled={invite.isPending} onClick={() => invite.mutate({ role, days: DAYS })}>
            {say('workshop.makeInvitation')}
          </Button>
        </div>
        <Failure error={open.error ?? invite.error} />
        {invite.data && <Link address={`${window.location.origin}/invited#${invite.data.token}`} />}
        <ul className="divide-base-300 divide-y">
          {(open.data ?? []).map((one) => (
            <OpenInvitation key={one.id} {...one} />
          ))}
        </ul>
      </div>
    </details>
  );
} // prettier-ignore

/** The link of a new invitation and its code. The token stands behind the #, so that no server logs it. */
function Link({ address }: { address: string }) {
  const say = useSay();
  return (
    <div className="space-y-2">
      <label className="block text-sm font-semibold">
        {say('workshop.invitationLink', { days: DAYS })}
        <input
          className="input input-bordered mt-1 w-full font-mono text-sm"
          readOnly
          value={address}
          onFocus={(event) => event.target.select()}
        />
      </label>
      <Suspense>
        <QrCode text={address} label={say('workshop.invitationCode')} />
      </Suspense>
    </div>
  );
}

function OpenInvitation({ id, role, invitedBy, expiresAt }: InvitationView) {
  const say = useSay();
  const takeBack = useTakeBack();
  return (
    <li className="flex items-center justify-between gap-2 py-2">
      <p className="text-sm">{say('workshop.openInvitation', { role, invitedBy, until: { at: expiresAt, as: 'day' } })}</p>
      <Button size="low" disabled={takeBack.isPending} onClick={() => takeBack.mutate(id)}>
        {say('workshop.takeBack')}
      </Button>
      <Failure error={takeBack.error} />
    </li>
  );
} // prettier-ignore
