import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Role } from '@dewpot/contract';
import { buttonClass } from './button';
import { ForRole } from './for-role';

/** Head of a station: its name and its way to add. */
export function PageHead({
  title,
  to,
  add,
  least = 'caster',
  children,
}: {
  title: string;
  to?: string;
  add?: string;
  /** Who may add at the least. */
  least?: Role;
  children?: ReactNode;
}) {
  return (
    <header className="no-print mb-4 flex flex-wrap items-end justify-between gap-3">
      <h1 className="text-3xl">{title}</h1>
      <div className="flex flex-wrap gap-2">
        {children}
        {to && (
          <ForRole least={least}>
            <Link to={to} className={buttonClass({ look: 'main' })}>
              {add}
            </Link>
          </ForRole>
        )}
      </div>
    </header>
  );
}
