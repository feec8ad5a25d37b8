import { useState } from 'react';
import { refuses } from '../api/client';
import { Button } from '../ui/button';
import { ReasonField } from '../ui/casts/override-field';
import type { RecordedEvent } from '../ui/casts/action-props';
import { useSay } from '../ui/say';

/** What was sent to be kept. */
export interface Sent {
  readonly said: string;
  readonly happened: readonly RecordedEvent[];
}

/** Fields by which the server asks for a reason, where the sheet saw none: it knew more of the air, or of other casts. */
const overriddenBy = ['sealer', 'decoration'];

type Event = RecordedEvent['event'];

const changed = ({ said, happened }: Sent, change: (event: Event) => Event): Sent => ({
  said,
  happened: happened.map(({ cast, event }) => ({ cast, event: change(event) })),
});

const surely = (event: Event): Event => (event.type === 'weighed' ? { ...event, sure: true } : event);
const isOverridden = (event: Event) => 'overridden' in event && event.overridden !== undefined;
const overriding =
  (overridden: string) =>
  (event: Event): Event =>
    event.type === 'coated' || event.type === 'decorated' ? { ...event, overridden } : event;

/** Where the server refused what the caster may know better: a way to say so, and to send it again. */
export function SecondChance({
  error,
  sent,
  busy,
  onSend,
}: {
  error: unknown;
  sent: Sent;
  busy: boolean;
  onSend: (what: Sent) => void;
}) {
  const say = useSay();
  const [reason, setReason] = useState('');
  if (refuses(error, 'sure'))
    return (
      <Button
        look="warning"
        size="tall"
        className="mt-2 w-full"
        disabled={busy}
        onClick={() => onSend(changed(sent, surely))}
      >
        {say('casts.isRightKeep')}
      </Button>
    );
  const overridden = reason.trim();
  if (!refuses(error, ...overriddenBy) || sent.happened.some(({ event }) => isOverridden(event))) return null;
  return (
    <div className="mt-2 space-y-2">
      <ReasonField label={say('casts.allTheSame')} reason={reason} onReason={setReason} />
      <Button
        look="warning"
        size="tall"
        className="w-full"
        disabled={busy || overridden === ''}
        onClick={() => onSend(changed(sent, overriding(overridden)))}
      >
        {say('casts.saveAgainst')}
      </Button>
    </div>
  );
}
