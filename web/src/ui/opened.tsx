import { useState, type ReactNode } from 'react';

/** What is beneath a line, opened by its words. It is written only then: most is never asked for. */
export function Opened({ label, className = '', children }: { label: string; className?: string; children: () => ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <details className={`${className} mt-0.5 text-sm`} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="quiet hover:text-base-content w-fit cursor-pointer list-none text-xs leading-6 underline decoration-dotted underline-offset-4">
        {label}
      </summary>
      {open && children()}
    </details>
  );
} // prettier-ignore
