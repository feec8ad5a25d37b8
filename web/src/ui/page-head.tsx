import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { buttonClass } from './button';

/** Head of a station: its name and its way to add. */
export function PageHead({
  title,
  to,
  add,
  children,
}: {
  title: string;
  to?: string;
  add?: string;
  children?: ReactNode;
}) {
  return (
    <header className="no-print mb-4 flex flex-wrap items-end justify-between gap-3">
      <h1 className="text-3xl">{title}</h1>
      <div className="flex flex-wrap gap-2">
        {children}
        {to && (
          <Link to={to} className={buttonClass({ look: 'main' })}>
            {add}
          </Link>
        )}
      </div>
    </header>
  );
}
