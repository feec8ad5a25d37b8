import { differencesOf } from '@dewpot/core';
import type { MixEditionView, StoresView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { mixEditionsQuery } from '../api/work';
import { exactly, sayDay } from '../ui/say-when';
import { useNow } from '../ui/use-now';
import { resolveMix } from './resolve';

/** The versions of a recipe, newest first, each with what differs from the one before. */
export function VersionsSlab({ id, used, stores }: { id: string; used: boolean; stores: StoresView }) {
  const { data = [] } = useQuery(mixEditionsQuery(id));
  const now = useNow();
  if (data.length === 0) return null;
  const changes = (one: MixEditionView, before: MixEditionView | undefined) =>
    before ? differencesOf(resolveMix(before.body, stores.materials), resolveMix(one.body, stores.materials)) : [];
  return (
    <section className="card-slab" aria-label="Versions">
      <h2 className="text-xl">Versions</h2>
      <p className="quiet text-sm">
        {used
          ? 'This version was poured: it stays as it is. What you change is kept as the next one.'
          : 'This version was not poured yet: what you change is kept in it.'}
      </p>
      <ol className="divide-base-300 mt-2 divide-y">
        {data.map((one, i) => (
          <li key={one.edition} className="py-1.5">
            <strong>Version {one.edition}</strong>{' '}
            <span className="quiet text-sm" title={exactly(one.madeAt)}>
              {sayDay(one.madeAt, now)}
            </span>
            <ul className="text-sm">
              {changes(one, data[i + 1]).map(({ what, before, after }) => (
                <li key={what}>
                  {what}: {before} → <strong>{after}</strong>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </section>
  );
}
