import type { ReactNode } from 'react';
import { exactly, sayDay } from './format-time';
import { useNow } from './use-now';

interface Version {
  readonly revision: number;
  /** ms */
  readonly madeAt: number;
}

/** The versions of a recipe, newest first; what each is, is told by `tell`, which is given the one before it too. */
export function Versions<T extends Version>({
  versions,
  used,
  tell,
}: {
  versions: readonly T[];
  /** Whether the newest was poured. */
  used: boolean;
  tell: (one: T, before: T | undefined) => ReactNode;
}) {
  const now = useNow();
  if (versions.length === 0) return null;
  return (
    <section className="card-slab" aria-label="Versions">
      <h2 className="text-xl">Versions</h2>
      <p className="quiet text-sm">
        {used
          ? 'This version was poured: it stays as it is. What you change is kept as the next one.'
          : 'This version was not poured yet: what you change is kept in it.'}
      </p>
      <ol className="divide-base-300 mt-2 divide-y">
        {versions.map((one, i) => (
          <li key={one.revision} className="py-1.5">
            <strong>Version {one.revision}</strong>{' '}
            <span className="quiet text-sm" title={exactly(one.madeAt)}>
              {sayDay(one.madeAt, now)}
            </span>
            {tell(one, versions[i + 1])}
          </li>
        ))}
      </ol>
    </section>
  );
}
