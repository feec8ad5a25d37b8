import { useQuery } from '@tanstack/react-query';
import { Link, useLocation } from 'react-router';
import { useReachable, useSeenAt } from '../api/connection';
import { sessionQuery } from '../api/session';
import { useRefusedWrites, useWaiting } from '../api/waiting';
import { whenOf } from '../ui/format-time';
import { useSay } from '../ui/say';
import { useNow } from '../ui/use-now';

/** How often it is asked whether the server is back, ms. */
const ASKS = 10_000;

/** What there is to say of the connection: that there is none, how old is what one sees, what waits, and what was not taken. */
export function ConnectionNote() {
  const say = useSay();
  const connected = useReachable();
  const unsent = useWaiting();
  const refused = useRefusedWrites().length;
  const { pathname } = useLocation();
  if (connected && unsent === 0 && refused === 0) return null;
  return (
    <div role="status" className="bg-accent text-accent-content no-print px-4 py-2 text-center text-sm font-semibold">
      {(!connected || unsent > 0) && <Unconnected unsent={unsent} />}
      {refused > 0 && <span>{say('shell.refused', { refused })} </span>}
      {unsent + refused > 0 && pathname !== '/waiting' && (
        <Link to="/waiting" className="inline-block min-h-6 underline">
          {say('shell.lookAtWaiting')}
        </Link>
      )}
    </div>
  );
}

function Unconnected({ unsent }: { unsent: number }) {
  const say = useSay();
  const now = useNow();
  const seenAt = useSeenAt();
  // Where nothing else asks, the server would count as away long after it is back.
  useQuery({ ...sessionQuery, refetchInterval: ASKS });
  return (
    <span>
      {say('shell.noConnection', { unsent })}{' '}
      {seenAt !== undefined && say('shell.seenAt', { at: whenOf(seenAt, now) })}{' '}
    </span>
  );
}
