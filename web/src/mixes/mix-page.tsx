import { listed } from '@dewpot/core/units';
import { starters } from '@dewpot/core/mixes';
import type { MixInput, MixView } from '@dewpot/contract';
import { useParams, useSearchParams } from 'react-router';
import { mixesQuery } from '../api/mixes';
import { Known } from '../ui/known';
import { Busy, Failure } from '../ui/states';
import { MixEditor } from './mix-editor';
import { MixStarts } from './mix-starts';
import { mixOfStarter } from './starter-mix';
import { useMixSources } from './use-mix-sources';
import { useSay } from '../ui/say';

/** A kept mix as it is edited. */
function draftOf({ id: _id, revision: _revision, used: _used, ...mix }: MixView): MixInput {
  return {
    ...mix,
    lines: mix.lines.map((line) => ({ ...line })),
    ...(mix.doses && { doses: mix.doses.map((dose) => ({ ...dose })) }),
  };
}

/** One mix, new or known. A new one begins from the library. */
export function MixPage() {
  const say = useSay();
  const { id = 'new' } = useParams();
  const [search] = useSearchParams();
  const { sources, error, isPending } = useMixSources();
  if (isPending) return <Busy what={say('mixes.theMix')} />;
  if (!sources) return <Failure error={error} />;
  if (id === 'new') {
    const starter = starters.find(({ key }) => key === search.get('as'));
    if (!starter) return <MixStarts materials={sources.store.materials} />;
    const { draft, missing } = mixOfStarter(starter, sources.store.materials, say);
    return (
      <>
        {missing.length > 0 && (
          <p role="status" className="border-warning mx-auto mt-4 max-w-7xl border-l-4 pl-3">
            {say('mixes.notInStore', { missing: listed(missing.map((name) => say.inline(name))) })}
          </p>
        )}
        <MixEditor key={starter.key} first={draft} sources={sources} />
      </>
    );
  }
  const mix = sources.mixes.find((one) => one.id === id);
  return (
    <Known list={mixesQuery} ids={[id]} what={say('mixes.theMix')}>
      {mix && <MixEditor key={id} id={id} first={draftOf(mix)} used={mix.used} sources={sources} />}
    </Known>
  );
}
