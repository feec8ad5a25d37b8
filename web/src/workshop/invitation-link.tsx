import { lazy, Suspense } from 'react';
import type { MailState } from '@dewpot/contract';
import { useSay } from '../ui/say';
import { ShownOnce } from './shown-once';

/** Few ever let somebody in: the code is fetched with the first link. */
const QrCode = lazy(async () => ({ default: (await import('../ui/qr-code')).QrCode }));

interface Props {
  readonly token: string;
  readonly label: string;
  /** Whom it was mailed to, and how far the mail is. */
  readonly mailed: { readonly to: string | undefined; readonly state: MailState | undefined };
}

/** The link of an invitation and its code. The token stands behind the #, so that no server logs it. */
export function InvitationLink({ token, label, mailed }: Props) {
  const say = useSay();
  const address = `${window.location.origin}/invited#${token}`;
  return (
    <div className="space-y-2">
      {mailed.to !== undefined && mailed.state && (
        <p role="status">{say('workshop.mailedTo', { to: mailed.to, state: mailed.state })}</p>
      )}
      <ShownOnce label={label} value={address} />
      <Suspense>
        <QrCode text={address} label={say('workshop.invitationCode')} />
      </Suspense>
    </div>
  );
}
