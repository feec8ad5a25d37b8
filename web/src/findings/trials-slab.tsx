import { Link } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { trialsQuery } from '../api/trials';
import { buttonClass } from '../ui/button';
import { useSay } from '../ui/say';
import { trialSays } from './trial-words';

/** Trials that are under way, and the way to plan one. */
export function TrialsSlab() {
  const say = useSay();
  const trials = useQuery(trialsQuery).data ?? [];
  return (
    <section className="card-slab space-y-2" aria-label={say('findings.trials')}>
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-xl">{say('findings.trials')}</h2>
        <Link to="/findings/trials/new" className={buttonClass({ look: 'soft', size: 'low', className: 'px-3 text-sm' })}>
          {say('findings.planTrial')}
        </Link>
      </div>
      {trials.length === 0 && <p className="quiet text-sm">{say('findings.noTrials')}</p>}
      <ul className="space-y-1">
        {trials.map((trial) => (
          <li key={trial.id} className={trial.closed ? 'quiet text-sm' : ''}>
            <Link className="link font-semibold" to={`/findings/trials/${trial.id}`}>{trial.name}</Link>{' '}
            <span className="text-sm">{trial.closed ? say('findings.trialClosedShort') : say(trialSays(trial))}</span>
          </li>
        ))}
      </ul>
    </section>
  );
} // prettier-ignore
