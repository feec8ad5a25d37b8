import { differencesOf } from '@dewpot/core';
import type { StoresView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { mixEditionsQuery } from '../api/mixes';
import { Versions } from '../ui/versions';
import { resolveMix } from './resolve';

/** The versions of a recipe, newest first, each with what differs from the one before. */
export function VersionsSlab({ id, used, stores }: { id: string; used: boolean; stores: StoresView }) {
  const { data = [] } = useQuery(mixEditionsQuery(id));
  return (
    <Versions
      versions={data}
      used={used}
      tell={(one, before) =>
        before && (
          <ul className="text-sm">
            {differencesOf(resolveMix(before.body, stores.materials), resolveMix(one.body, stores.materials)).map(
              ({ what, before: was, after }) => (
                <li key={what}>
                  {what}: {was} → <strong>{after}</strong>
                </li>
              ),
            )}
          </ul>
        )
      }
    />
  );
}
