import { msg } from '@dewpot/core/units';
import { NavLink } from 'react-router';
import type { ReactNode } from 'react';
import { useSay } from '../ui/say';

const places = [
  { to: '/tints', name: msg('shell.tints'), end: true },
  { to: '/tints/wanted', name: msg('shell.matchColour'), end: false },
  { to: '/tints/chips', name: msg('tints.chips'), end: false },
  { to: '/tints/ladder', name: msg('shell.doseSeries'), end: false },
  { to: '/tints/book', name: msg('shell.swatches'), end: false },
  { to: '/tints/ways', name: msg('tints.afterCuring'), end: false },
] as const;

/** Head of every screen of the station: its name, the way to its other screens, and what can be added. */
export function TintHead({ title, children }: { title: string; children?: ReactNode }) {
  const say = useSay();
  return (
    <header className="no-print mb-4">
      <nav
        aria-label={say('tints.inThisStation')}
        className="border-base-300 mb-3 flex gap-x-1 overflow-x-auto border-b text-sm"
      >
        {places.map(({ to, name, end }) => (
          <NavLink
            key={to}
            to={to}
            end={end}
            className={({ isActive }) =>
              `flex min-h-11 items-center px-3 whitespace-nowrap ${isActive ? 'border-primary border-b-3 font-semibold' : 'quiet hover:text-base-content'}`
            }
          >
            {say(name)}
          </NavLink>
        ))}
      </nav>
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h1 className="text-3xl">{title}</h1>
        <div className="flex flex-wrap gap-2">{children}</div>
      </div>
    </header>
  );
}

/** A screen of the station: its width, and room at its edges. */
export const TintRoom = ({ children }: { children: ReactNode }) => (
  <div className="mx-auto max-w-7xl p-4 pt-2">{children}</div>
);
