import { listed } from '@dewpot/core/units';
import { checksToCome, coatsToCome, curedAt, lastCoat, resealAt, sealerOfCoat } from '@dewpot/core/casts';
import type { CastDetail } from '@dewpot/contract';
import { dayOf } from '../ui/format-time';
import { checkWords } from '../ui/casts/seal-words';
import { sideWords } from '../ui/casts/event-words';
import { useSay } from '../ui/say';

/** The coats that are on a piece, what was tried of them and what is still to be, and when to look at them again. */
export function SealedSlab({ cast: { life }, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
  const last = lastCoat(life);
  if (!last) return null;
  const toCome = coatsToCome(life);
  const cured = curedAt(last);
  const checks = checksToCome(life);
  const again = resealAt(life);
  const tried = (life.checks ?? []).map(({ check, held }) =>
    say('sealing.checkHeld', { check: checkWords[check], held: held ? 'yes' : 'no' }),
  );
  return (
    <section className="card-slab" aria-label={say('sealing.sealed')}>
      <h2 className="mb-2 text-xl">{say('sealing.sealed')}</h2>
      <ol className="divide-base-300 divide-y">
        {life.coats.map((coat, i) => (
          <li key={coat.id} className="flex flex-wrap justify-between gap-x-4 py-1">
            <span>
              {say('sealing.coatLine', {
                i: i + 1,
                name: say.value(sealerOfCoat(coat).name),
                sideWords: say(sideWords[coat.side]),
              })}
            </span>
            <span className="quiet">{say(dayOf(coat.at, now))}</span>
            {coat.overridden !== undefined && (
              <span className="text-accent w-full text-sm">
                {say('sealing.againstAdvice', { overridden: coat.overridden })}
              </span>
            )}
          </li>
        ))}
      </ol>
      <p className="mt-2">
        {toCome > 0
          ? say('sealing.moreToCome', { toCome })
          : say('sealing.fullyHard', { past: cured > now ? 'no' : 'yes', cured: dayOf(cured, now) })}{' '}
        {tried.length > 0 && `${say('sealing.triedTold', { tried: listed(tried) })} `}
        {toCome === 0 &&
          checks.length > 0 &&
          say('sealing.notTried', { checks: listed(checks.map((one) => checkWords[one]).map((one) => say(one))) })}
      </p>
      {again !== undefined && toCome === 0 && (
        <p className="quiet text-sm">{say('sealing.tryDropAbout', { again: { at: again, as: 'month' } })}</p>
      )}
    </section>
  );
}
