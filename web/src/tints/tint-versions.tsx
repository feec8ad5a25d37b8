import { tintOf } from '@dewpot/core/tints';
import { useQuery } from '@tanstack/react-query';
import { tintRevisionsQuery, type Palette } from '../api/tints';
import { Versions } from '../ui/versions';
import { PigmentDot } from './pigment-dot';
import { dryOf, tellDoses } from './tint-words';
import { useSay } from '../ui/say';

/** The versions of a tint, newest first, each with its colour. */
export function TintVersions({ id, used, palette }: { id: string; used: boolean; palette: Palette }) {
  const say = useSay();
  const { data = [] } = useQuery(tintRevisionsQuery(id));
  return (
    <Versions
      versions={data}
      used={used}
      tell={({ body }) => (
        <span className="flex items-center gap-2 text-sm">
          <PigmentDot colour={dryOf(body, palette)} />
          {say.value(tellDoses(tintOf(body, palette.find)?.doses ?? []))}
        </span>
      )}
    />
  );
}
