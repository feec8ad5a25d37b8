import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PasskeyView } from '@dewpot/contract';
import { passkeysQuery, useAddPasskey, useRemovePasskey } from '../api/passkeys';
import { Button, buttonClass } from '../ui/button';
import { passkeyFailure, passkeyPlace } from '../ui/passkey-place';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { toast } from '../ui/toast';
import { browserName } from './browser-name';

/** One's passkeys, each with what it is called, and one more of this device. */
export function Passkeys() {
  const say = useSay();
  const { data = [], error } = useQuery(passkeysQuery);
  const place = passkeyPlace();
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.passkeys')}</summary>
      <div className="mt-3 space-y-3">
        <p className="quiet text-sm">{say('workshop.passkeysHow')}</p>
        <Failure error={error} />
        <ul className="divide-base-300 divide-y">
          {data.map((one) => (
            <PasskeyRow key={one.id} {...one} />
          ))}
        </ul>
        {place === 'here' && <AddPasskey />}
        {place === 'no passkeys' && <p>{say('workshop.passkeyNotHere')}</p>}
        {typeof place === 'object' && <p>{say('workshop.passkeyNeedsName', { address: place.address })}</p>}
      </div>
    </details>
  );
}

function PasskeyRow({ id, label, usedAt }: PasskeyView) {
  const say = useSay();
  const remove = useRemovePasskey();
  return (
    <li className="flex flex-wrap items-center justify-between gap-2 py-2">
      <div className="min-w-0 flex-1">
        <p className="truncate font-semibold">{label}</p>
        <p className="quiet text-sm">
          {usedAt === undefined
            ? say('workshop.passkeyNeverUsed')
            : say('workshop.lastUsed', { usedAt: { at: usedAt, as: 'day' } })}
        </p>
      </div>
      <Button
        size="low"
        aria-label={say('workshop.removePasskey', { name: label })}
        disabled={remove.isPending}
        onClick={() => remove.mutate(id)}
      >
        {say('ui.remove')}
      </Button>
      <Failure error={remove.error} />
    </li>
  );
}

function AddPasskey() {
  const say = useSay();
  const add = useAddPasskey();
  const [label, setLabel] = useState(() => browserName(navigator.userAgent, say));
  return (
    <form
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(label.trim(), { onSuccess: () => toast.success(say('workshop.passkeyAdded')) });
      }}
    >
      <TextField label={say('workshop.passkeyLabel')} maxLength={60} required value={label} onChange={(event) => setLabel(event.target.value)} />
      <Failure error={passkeyFailure(add.error, say('workshop.passkeyNotMade'))} />
      <Button type="submit" look="strong" className="w-full" disabled={add.isPending || label.trim() === ''}>
        {say('workshop.addPasskey')}
      </Button>
    </form>
  );
} // prettier-ignore
