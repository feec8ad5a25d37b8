import type { ReactNode } from 'react';
import { ChevronDown } from 'lucide-react';

/** Choices that are rarely changed: folded, with what is chosen in a line. */
export function Fold({ title, state, children }: { title: string; state: string; children: ReactNode }) {
  return (
    <details className="group border-base-300 border-t">
      <summary className="flex min-h-12 cursor-pointer list-none items-center gap-2 py-1.5">
        <span className="min-w-0 flex-1">
          <span className="block text-sm font-semibold">{title}</span>
          <span className="quiet block truncate text-sm" title={state}>
            {state}
          </span>
        </span>
        <ChevronDown size={18} aria-hidden="true" className="shrink-0 group-open:rotate-180" />
      </summary>
      <div className="space-y-4 pb-4">{children}</div>
    </details>
  );
}
