import { castItems, partNow, type Run } from '@dewpot/core/bench';
import type { BenchOf } from '@dewpot/core/planning';
import type { PourView } from '@dewpot/contract';
import { Link } from 'react-router';
import { buttonClass } from '../ui/button';
import { useUnits } from '../ui/units';
import type { BenchTimer } from './timers';
import { useSay } from '../ui/say';

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
  const say = useSay();
  const units = useUnits();
  const casts = castItems(parts, run).length;
  const faces = timers.filter(({ kind }) => kind === 'face').length;
  return (
    <div className="space-y-3">
      <h1 className="text-3xl">{say('bench.allPoured')}</h1>
      <div className="card-slab space-y-2">
        {parts.map(({ mixId, mixName }, part) => {
          const left = partNow(parts, steps, run, part).left.value;
          return (
            <p key={mixId} className="text-lg">
              {parts.length > 1 && `${mixName}: `}
              {left >= 0
                ? say('bench.aboutLeft', { left: units.say(left, 'mL') })
                : say('bench.aboutShort', { left: units.say(-left, 'mL') })}
            </p>
          );
        })}
        {faces > 0 && <p>{say('bench.facesWait', { faces })}</p>}
      </div>
      {pour.status === 'started' ? (
        <Link
          to={`/pours/${pour.id}`}
          className={buttonClass({ look: 'main', size: 'own', className: 'h-18 w-full text-xl' })}
        >
          {say('bench.lookOver', { casts })}
        </Link>
      ) : (
        <Link to="/" className={buttonClass({ look: 'main', size: 'own', className: 'h-18 w-full text-xl' })}>
          {say('bench.toShelf')}
        </Link>
      )}
    </div>
  );
}
