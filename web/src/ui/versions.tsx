import type { ReactNode } from 'react';
import { exactTime, dayOf } from './format-time';
import { useNow } from './use-now';
import { useSay } from './say';

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
  const say = useSay();
  const now = useNow();
  if (versions.length === 0) return null;
  return (
    <section className="card-slab" aria-label={say('ui.versions')}>
      <h2 className="text-xl">{say('ui.versions')}</h2>
      <p className="quiet text-sm">{used ? say('ui.versionPoured') : say('ui.versionUnpoured')}</p>
      <ol className="divide-base-300 mt-2 divide-y">
        {versions.map((one, i) => (
          <li key={one.revision} className="py-1.5">
            <strong>{say('ui.version', { revision: one.revision })}</strong>{' '}
            <span className="quiet text-sm" title={say(exactTime(one.madeAt))}>
              {say(dayOf(one.madeAt, now))}
            </span>
            {tell(one, versions[i + 1])}
          </li>
        ))}
      </ol>
    </section>
  );
}
