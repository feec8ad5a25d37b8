import { Amounts } from '../ui/amounts';
import { schoolWords, useWords } from './mix-labels';
import { InputError, msg } from '@dewpot/core/units';
import { calculateMix, starters, type MixFigures, type Starter } from '@dewpot/core/mixes';
import type { MaterialView } from '@dewpot/contract';
import { Link } from 'react-router';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { resolveMix } from './resolve';
import { ShareStrip } from './share-strip';
import { mixOfStarter } from './starter-mix';
import type { Speaker } from '@dewpot/locales';
import { useSay } from '../ui/say';

function figuresOf(starter: Starter, materials: readonly MaterialView[], say: Speaker): MixFigures | undefined {
  try {
    const { draft } = mixOfStarter(starter, materials, say);
    return calculateMix(resolveMix(draft, materials), { moistCuringDays: draft.moistCuringDays });
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** The way into a new mix: by what it is for. */
export function MixStarts({ materials }: { materials: readonly MaterialView[] }) {
  const say = useSay();
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('mixes.whatIsMixFor')}>
        <Link to="/mixes" className={buttonClass()}>
          {say('mixes.allMixes')}
        </Link>
      </PageHead>
      <ul className="grid gap-2.5 sm:grid-cols-2 lg:grid-cols-4">
        {starters.map((starter) => {
          const figures = figuresOf(starter, materials, say);
          return (
            <li key={starter.key}>
              <Link
                to={`/mixes/new?as=${starter.key}`}
                className="card-slab hover:border-secondary flex h-full flex-col gap-1.5 p-3 leading-tight"
              >
                {figures && <ShareStrip shares={figures.shares} />}
                <span className="font-head text-lg">{say(starter.name)}</span>
                <span className="quiet text-sm">{say(schoolWords[starter.school])}</span>
                <span className="text-sm">{say('mixes.forSuits', { suits: say(starter.suits) })}</span>
                <span className="quiet text-sm">{say('mixes.notForUnfit', { unfit: say(starter.unfit) })}</span>
                {figures && (
                  <span className="mt-auto pt-1 text-sm">
                    <Amounts of={msg('mixes.starterTold', { dry: figures.dryDensity, use: useWords[figures.use] })} />
                  </span>
                )}
              </Link>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
