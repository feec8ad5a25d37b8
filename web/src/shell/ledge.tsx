import { useState } from 'react';
import { LayoutGrid } from 'lucide-react';
import { NavLink } from 'react-router';
import { Dialog } from '../ui/dialog';
import { stations, type Station } from './stations';
import { useSay } from '../ui/say';

/** What is reached with one tap of the thumb; all stations are reached with two. */
const underThumb = stations.filter(({ thumb }) => thumb);

const spot = 'relative flex h-16 w-full min-w-0 flex-col items-center justify-center gap-0.5 text-[0.7rem]';

function Waiting({ count }: { count: number }) {
  const say = useSay();
  if (count === 0) return null;
  return (
    <span
      className="bg-accent text-accent-content absolute top-1 right-2 min-w-4 px-1 text-center text-[0.65rem] font-bold"
      aria-label={say('shell.waiting', { count })}
    >
      {count}
    </span>
  );
}

function Spot({
  station: { path, name, icon: Icon },
  waiting,
  onGo,
}: {
  station: Station;
  waiting: number;
  onGo?: () => void;
}) {
  const say = useSay();
  return (
    <NavLink
      to={path}
      end={path === '/'}
      onClick={onGo}
      className={({ isActive }) => `${spot} ${isActive ? 'text-primary font-bold' : ''}`}
    >
      <Icon size={20} aria-hidden="true" />
      <span className="max-w-full truncate">{say(name)}</span>
      <Waiting count={waiting} />
    </NavLink>
  );
}

/** Along the bottom of a phone, under the thumb: the stations one is at most, and the way to all of them. */
export function Ledge({ waiting }: { waiting: Readonly<Record<string, number>> }) {
  const say = useSay();
  const [all, setAll] = useState(false);
  const hidden = stations.filter(({ thumb }) => !thumb).reduce((sum, { path }) => sum + (waiting[path] ?? 0), 0);
  return (
    <nav
      aria-label={say('shell.stations')}
      className="ledge no-print bg-base-100 border-base-300 fixed inset-x-0 bottom-0 z-10 border-t lg:hidden"
    >
      <ul className="grid grid-cols-5">
        {underThumb.map((station) => (
          <li key={station.path}>
            <Spot station={station} waiting={waiting[station.path] ?? 0} />
          </li>
        ))}
        <li>
          <button type="button" className={spot} aria-haspopup="dialog" onClick={() => setAll(true)}>
            <LayoutGrid size={20} aria-hidden="true" />
            <span>{say('shell.all')}</span>
            <Waiting count={hidden} />
          </button>
        </li>
      </ul>
      {all && (
        <Dialog title={say('shell.allStations')} onClose={() => setAll(false)}>
          <ul className="grid grid-cols-3 gap-2">
            {stations.map((station) => (
              <li key={station.path} className="bg-base-200">
                <Spot station={station} waiting={waiting[station.path] ?? 0} onGo={() => setAll(false)} />
              </li>
            ))}
          </ul>
        </Dialog>
      )}
    </nav>
  );
}
