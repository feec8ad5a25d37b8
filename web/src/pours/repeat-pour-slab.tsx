import { identity } from '@dewpot/core/units';
import { repeatPourAdvice, type AgainAdvice } from '@dewpot/core/casts';
import type { PourInput, PourView } from '@dewpot/contract';
import { useCastsOf } from '../api/casts';
import { Button } from '../ui/button';
import { useSay } from '../ui/say';

/** What an earlier pour suggests changing when it is poured again, each with its evidence. */
export function AgainSlab({
  pour,
  input,
  onChange,
}: {
  pour: PourView;
  input: PourInput;
  onChange: (part: Partial<PourInput>) => void;
}) {
  const say = useSay();
  const casts = useCastsOf({ pour: pour.id });
  const advice = pour.parts.flatMap((part): AgainAdvice[] => {
    const own = casts.filter(({ snapshot }) => snapshot.mixName === part.mixName);
    return repeatPourAdvice(
      part,
      own.map(({ life }) => life),
    );
  });
  return (
    <section className="card-slab no-print" aria-label={say('pours.repeatPour')}>
      <h2 className="text-xl">{say('pours.pourAgain', { number: pour.number })}</h2>
      {advice.length === 0 ? (
        <p className="quiet">{say('pours.nothingToChange')}</p>
      ) : (
        <ul className="mt-1 space-y-2">
          {advice.map(({ change, evidence, spare }) => (
            <li key={identity(change)} className="border-warning flex flex-wrap items-center gap-x-4 border-l-4 pl-3">
              <span>
                <strong>{say(change)}</strong> <span className="quiet">{say(evidence)}</span>
              </span>
              {spare !== undefined && spare !== input.spare && (
                <Button size="low" onClick={() => onChange({ spare })}>
                  {say('pours.doSo')}
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
