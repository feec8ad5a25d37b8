import { listed } from '@dewpot/core/units';
import type { CastEventTold } from '@dewpot/contract';
import { tellTold } from '../ui/casts/event-words';
import { useSay } from '../ui/say';

/** What was recorded on this device and waits to be sent. */
export function UnsentLine({ events }: { events: readonly CastEventTold[] }) {
  const say = useSay();
  const told = new Set(events.map((event) => tellTold(event, say)));
  return (
    <p className="border-accent mt-1 border-l-4 pl-2 text-sm font-semibold">
      {say('shelf.recordedUnsent', { what: listed([...told]) })}
    </p>
  );
}
