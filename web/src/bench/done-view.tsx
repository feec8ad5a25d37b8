import { castItems, partNow, type Run } from '@dewpot/core/bench';
import type { BenchOf } from '@dewpot/core/planning';
import type { PourView } from '@dewpot/contract';
import { Link } from 'react-router';
import { buttonClass } from '../ui/button';
import { useUnits } from '../ui/units';
import type { BenchTimer } from './timers';

/** All buckets are done: what is left, and the way to the shelf. */
export function DoneView({
  pour,
  bench: { parts, steps },
  run,
  timers,
}: {
  pour: PourView;
  bench: BenchOf;
  run: Run;
  timers: readonly BenchTimer[];
}) {
  const units = useUnits();
  const casts = castItems(parts, run).length;
  const faces = timers.filter(({ kind }) => kind === 'face').length;
  return (
    <div className="space-y-3">
      <h1 className="text-3xl">All poured</h1>
      <div className="card-slab space-y-2">
        {parts.map(({ mixId, mixName }, part) => {
          const left = partNow(parts, steps, run, part).left.value;
          return (
            <p key={mixId} className="text-lg">
              {parts.length > 1 && `${mixName}: `}
              {left >= 0 ? `about ${units.say(left, 'mL')} left over` : `about ${units.say(-left, 'mL')} short`}
            </p>
          );
        })}
        {faces > 0 && (
          <p>
            {faces} {faces === 1 ? 'face waits' : 'faces wait'} for finishing, by the tags above; they stay here once
            the pour is logged.
          </p>
        )}
      </div>
      {pour.status === 'started' ? (
        <Link
          to={`/pours/${pour.id}`}
          className={buttonClass({ look: 'main', size: 'own', className: 'h-18 w-full text-xl' })}
        >
          Look over what went in: {casts} {casts === 1 ? 'cast' : 'casts'}
        </Link>
      ) : (
        <Link to="/" className={buttonClass({ look: 'main', size: 'own', className: 'h-18 w-full text-xl' })}>
          To the shelf
        </Link>
      )}
    </div>
  );
}
