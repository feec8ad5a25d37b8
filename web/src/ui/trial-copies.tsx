import type { PourView } from '@dewpot/contract';
import { useSay } from './say';
import { dealtInWords } from './trial-words';

/** Which copies of a pour get which way of its trial; nothing where it is in none. */
export function TrialCopies({ pour: { trial, parts } }: { pour: Pick<PourView, 'trial' | 'parts'> }) {
  const say = useSay();
  if (!trial) return null;
  return (
    <section className="border-secondary border-l-4 pl-3" aria-label={say('findings.trialHere')}>
      <h3 className="font-sans font-semibold">{say('findings.trialNamed', { name: trial.name })}</h3>
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-3">
        {dealtInWords(trial, parts).map(({ side, way, moulds }) => (
          <div key={side} className="contents">
            <dt className="font-semibold">{say.value(way)}</dt>
            <dd>{moulds.map((mould) => say(mould)).join('; ') || say('findings.trialNoCopy')}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
