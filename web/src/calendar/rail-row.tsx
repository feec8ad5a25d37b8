import type { ReactNode } from 'react';

/** Room for names at the left and for chances at the right, px. */
export const NAMES = 216;
export const CHANCES = 128;

/** A row of the rail: its name stays at the left and what is told of it at the right while the days are scrolled. */
export function RailRow({ name, aside, children }: { name: ReactNode; aside: ReactNode; children: ReactNode }) {
  return (
    <div className="border-base-300 flex border-b last:border-b-0">
      <div
        className="bg-base-100 border-base-300 sticky left-0 z-10 shrink-0 border-r px-3 py-1.5"
        style={{ width: NAMES }}
      >
        {name}
      </div>
      <div className="relative shrink-0">{children}</div>
      <div
        className="bg-base-100 border-base-300 sticky right-0 z-10 shrink-0 border-l px-3 py-1.5"
        style={{ width: CHANCES }}
      >
        {aside}
      </div>
    </div>
  );
}
