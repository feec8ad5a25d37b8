import { identity } from '@dewpot/core/units';
import { differencesOf } from '@dewpot/core/mixes';
import type { StoreView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { mixRevisionsQuery } from '../api/mixes';
import { Versions } from '../ui/versions';
import { resolveMix } from './resolve';
import { useSay } from '../ui/say';

/** The versions of a recipe, newest first, each with what differs from the one before. */
export function VersionsSlab({ id, used, store }: { id: string; used: boolean; store: StoreView }) {
  const say = useSay();
  const { data = [] } = useQuery(mixRevisionsQuery(id));
  return (
    <Versions
      versions={data}
      used={used}
      tell={(one, before) =>
        before && (
          <ul className="text-sm">
            {differencesOf(resolveMix(before.body, store.materials), resolveMix(one.body, store.materials)).map(
              ({ what, before: was, after }) => (
                <li key={identity(what)}>
                  {say.value(what)}: {say(was)} → <strong>{say(after)}</strong>
                </li>
              ),
            )}
          </ul>
        )
      }
    />
  );
}
