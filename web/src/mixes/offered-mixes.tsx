import type { MixView } from '@dewpot/contract';
import { useDay } from '../ui/use-now';
import { useSay } from '../ui/say';
import { calculatedMix } from './resolve';
import { ShareStrip } from './share-strip';
import type { MixSources } from './use-mix-sources';

/** So many mixes are shown to be taken; the others are in the list above them. */
const MOST_SHOWN = 12;

/** Mixes that can be taken to compare, each as it dries and by what it is made of. */
export function OfferedMixes({
  mixes,
  sources,
  onTake,
}: {
  mixes: readonly MixView[];
  sources: MixSources;
  onTake: (id: string) => void;
}) {
  const say = useSay();
  const now = useDay();
  return (
    <section aria-label={say('mixes.chooseTwo')} className="mt-4">
      <h2 className="mb-2 text-xl">{say(mixes.length === 0 ? 'mixes.nothingToCompare' : 'mixes.chooseTwo')}</h2>
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {mixes.slice(0, MOST_SHOWN).map((mix) => {
          const figures = calculatedMix(mix, sources, now);
          return (
            <li key={mix.id}>
              <button
                type="button"
                className="card-slab hover:border-secondary flex h-full w-full items-center gap-4 text-left"
                disabled={!figures}
                onClick={() => onTake(mix.id)}
              >
                <span className="chamfer h-16 w-12 shrink-0" style={{ background: mix.colour }} aria-hidden="true" />
                <span className="min-w-0 flex-1">
                  <span className="font-head mb-1 block text-lg leading-tight">{mix.name}</span>
                  {figures && <ShareStrip shares={figures.shares} />}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
