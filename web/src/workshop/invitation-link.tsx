import { lazy, Suspense } from 'react';
import { useSay } from '../ui/say';
import { ShownOnce } from './shown-once';

/** Few ever let somebody in: the code is fetched with the first link. */
const QrCode = lazy(async () => ({ default: (await import('../ui/qr-code')).QrCode }));

/** The link of an invitation and its code. The token stands behind the #, so that no server logs it. */
export function InvitationLink({ token, label }: { token: string; label: string }) {
  const say = useSay();
  const address = `${window.location.origin}/invited#${token}`;
  return (
    <div className="space-y-2">
      <ShownOnce label={label} value={address} />
      <Suspense>
        <QrCode text={address} label={say('workshop.invitationCode')} />
      </Suspense>
    </div>
  );
}
