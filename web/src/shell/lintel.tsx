import { quantity } from '@dewpot/core/units';
import { evaporation, faceAdvice, faceRisk, overFace } from '@dewpot/core/curing';
import { useQuery } from '@tanstack/react-query';
import { NavLink, useLocation } from 'react-router';
import { useAmbient, useSession } from '../api/session';
import { atBenchQuery } from '../api/pours';
import { GuideLink } from './guide-link';
import { SearchControl } from './search-control';
import { useShelf } from '../shelf';
import { BasisNote } from '../ui/basis-note';
import { useUnits } from '../ui/units';
import { PersonMenu } from './person-menu';
import { Ledge } from './ledge';
import { DIGITS, stations } from './stations';
import { useSay } from '../ui/say';

/** What waits at a station, as a number; 0 where nothing does. */
function useWaitingAt(): Record<string, number> {
  const { groups } = useShelf();
  const atBench = useQuery(atBenchQuery).data?.count ?? 0;
  return {
    '/': groups.filter(({ due }) => due).length,
    '/pours': atBench,
  };
}

function AmbientNow() {
  const say = useSay();
  const told = useAmbient().data;
  const units = useUnits();
  if (!told) return null;
  const { now: ambient, basis } = told;
  const rate = evaporation(overFace(ambient));
  return (
    <p
      className="hidden max-w-56 text-right text-xs leading-tight xl:block"
      title={say('shell.wetFaceLoses', { rate: units.say(rate, 'kg/m²/h') })}
    >
      <span className="font-semibold">
        {say('shell.airNow', {
          temperature: units.say(ambient.temperature, '°C'),
          humidity: quantity(Math.round(ambient.humidity * 100), '%', 0),
        })}
      </span>
      <span className="quiet block">
        {basis === 'simulated' || basis === 'guess' ? <BasisNote basis={basis} /> : say(faceAdvice[faceRisk(rate)])}
      </span>
    </p>
  );
}

/** Across the top: the workshop, its stations, the air and the person. On a phone the stations lie under the thumb. */
export function Lintel() {
  const say = useSay();
  const { workshop } = useSession();
  const waiting = useWaitingAt();
  const { pathname } = useLocation();
  const here = stations.find(({ path }) => (path === '/' ? pathname === '/' : pathname.startsWith(path)));
  return (
    <>
      <header className="lintel no-print bg-base-100 border-base-300 relative z-10 flex h-14 items-center gap-4 border-b px-4">
        <p className="font-head min-w-0 truncate text-xl max-lg:text-lg" title={workshop.name}>
          <span className="lg:hidden">{here ? say(here.name) : workshop.name}</span>
          <span className="hidden lg:inline">{workshop.name}</span>
        </p>
        <nav aria-label={say('shell.stations')} className="mx-auto hidden shrink-0 lg:block">
          <ul className="flex">
            {stations.map(({ path, name }, i) => (
              <li key={path}>
                <NavLink
                  to={path}
                  end={path === '/'}
                  title={i < DIGITS ? say('shell.keyNumber', { i: (i + 1) % DIGITS }) : undefined}
                  className={({ isActive }) =>
                    `station relative block px-2 xl:px-1.5 py-4 text-sm xl:text-base ${isActive ? 'station-here font-semibold' : ''}`
                  }
                >
                  {say(name)}
                  {(waiting[path] ?? 0) > 0 && (
                    <span
                      className="bg-accent text-accent-content ml-1 inline-block min-w-5 px-1 text-center text-xs font-bold"
                      aria-label={say('shell.waiting', { count: waiting[path] ?? 0 })}
                    >
                      {waiting[path]}
                    </span>
                  )}
                </NavLink>
              </li>
            ))}
          </ul>
        </nav>
        <div className="ml-auto flex shrink-0 items-center gap-2 lg:ml-0">
          <SearchControl />
          <GuideLink />
          <AmbientNow />
          <PersonMenu />
        </div>
      </header>
      <Ledge waiting={waiting} />
    </>
  );
}
