import { InputError } from '@dewpot/core/units';
import { calculateMix, starters, type MixFigures, type Starter } from '@dewpot/core/mixes';
import type { MaterialView } from '@dewpot/contract';
import { Link } from 'react-router';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { useUnits } from '../ui/units';
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
  const units = useUnits();
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title="What is the mix for?">
        <Link to="/mixes" className={buttonClass()}>
          All mixes
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
                <span className="quiet text-sm">{starter.school}</span>
                <span className="text-sm">For {say(starter.suits)}.</span>
                <span className="quiet text-sm">Not for {say(starter.unfit)}.</span>
                {figures && (
                  <span className="mt-auto pt-1 text-sm">
                    <strong>{units.sayFigure(figures.dryDensity)}</strong> dry, {figures.use}
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
