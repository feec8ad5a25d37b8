import { checksToCome, coatsToCome, curedAt, lastCoat, resealAt, sealerOfCoat } from '@dewpot/core/casts';
import type { CastDetail } from '@dewpot/contract';
import { format } from 'date-fns';
import { sayDay } from '../ui/format-time';
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
  const tried = (life.checks ?? []).map(({ check, held }) => `${checkWords[check]} ${held ? 'held' : 'did not hold'}`);
  return (
    <section className="card-slab" aria-label="Sealed">
      <h2 className="mb-2 text-xl">Sealed</h2>
      <ol className="divide-base-300 divide-y">
        {life.coats.map((coat, i) => (
          <li key={coat.id} className="flex flex-wrap justify-between gap-x-4 py-1">
            <span>
              Coat {i + 1}: {say.value(sealerOfCoat(coat).name)}, {sideWords[coat.side]}
            </span>
            <span className="quiet">{sayDay(coat.at, now)}</span>
            {coat.overridden !== undefined && (
              <span className="text-accent w-full text-sm">Against the advice: {coat.overridden}</span>
            )}
          </li>
        ))}
      </ol>
      <p className="mt-2">
        {toCome > 0 ? `${toCome} more to come.` : `Fully hard ${cured > now ? 'from' : 'since'} ${sayDay(cured, now)}.`}{' '}
        {tried.length > 0 && `Tried: ${tried.join(', ')}. `}
        {toCome === 0 && checks.length > 0 && `Not tried yet: ${checks.map((one) => checkWords[one]).join(', ')}.`}
      </p>
      {again !== undefined && toCome === 0 && (
        <p className="quiet text-sm">
          Try it with a drop of water about {format(again, 'MMMM yyyy')}; where that soaks in, seal it again.
        </p>
      )}
    </section>
  );
}
