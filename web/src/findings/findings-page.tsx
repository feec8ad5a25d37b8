import { Link } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { wayKindName, type WaysTable } from '@dewpot/core/findings';
import type { AllWaysView } from '@dewpot/contract';
import { waysQuery, watchQuery } from '../api/findings';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { Busy, Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { MeasuredLine, PairLine, WaysSlab } from './ways-slab';
import { TrialsSlab } from './trials-slab';
import { WatchSlab } from './watch-slab';

/** Findings: what the record says of how things are done, and what is watched. */
export function FindingsPage() {
  const say = useSay();
  const ways = useQuery(waysQuery);
  const watch = useQuery(watchQuery);
  return (
    <div className="mx-auto max-w-7xl p-4">
      <PageHead title={say('findings.title')} to="/findings/voids" add={say('findings.countVoids')} least="guest">
        <Link to="/findings/learned" className={buttonClass()}>
          {say('findings.learned')}
        </Link>
        <Link to="/findings/money" className={buttonClass()}>
          {say('money.whatItCosts')}
        </Link>
        <Link to="/findings/season" className={buttonClass()}>
          {say('money.season')}
        </Link>
      </PageHead>
      <Failure error={ways.error ?? watch.error} />
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        {ways.isPending && <Busy what={say('findings.busyWays')} />}
        {ways.data && (
          <div className="space-y-4">
            <Says ways={ways.data} />
            <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 md:grid-cols-2">
              {ways.data.tables.map((table) => (
                <WaysSlab key={table.kind} table={table} />
              ))}
            </div>
          </div>
        )}
        <div className="space-y-4">
          <TrialsSlab />
          {watch.data && <WatchSlab watch={watch.data} />}
        </div>
      </div>
    </div>
  );
}

const saidOf = ({ kind, pairs, measured }: WaysTable) => [
  ...pairs.filter(({ verdict }) => verdict === 'says').map((pair) => ({ kind, pair, line: <PairLine kind={kind} pair={pair} /> })),
  ...measured.filter(({ verdict }) => verdict === 'says').map((pair) => ({ kind, pair, line: <MeasuredLine kind={kind} pair={pair} /> })),
]; // prettier-ignore

/** What stands among all comparisons, first of all. */
function Says({ ways: { tables, comparisons, casts, left } }: { ways: AllWaysView }) {
  const say = useSay();
  const spoken = tables.flatMap(saidOf);
  return (
    <section className="card-slab" aria-label={say('findings.whatItSays')}>
      <h2 className="text-xl">{say('findings.whatItSays')}</h2>
      {casts === 0 && <p>{say('findings.noCastsYet')}</p>}
      {casts > 0 && spoken.length === 0 && <p>{say('findings.saysNothing')}</p>}
      <ul className="space-y-2">
        {spoken.map(({ kind, pair, line }) => (
          <li key={`${kind} ${'measure' in pair ? pair.measure : ''} ${pair.a.way} ${pair.b.way}`}>
            <span className="quiet text-sm">{say(wayKindName(kind))}</span>
            <ul>{line}</ul>
          </li>
        ))}
      </ul>
      {casts > 0 && (
        <p className="quiet mt-2 text-sm">
          {say('findings.howManyCompared', { comparisons, casts })}{' '}
          {left > 0 && say('findings.stillGathering', { left })}
        </p>
      )}
    </section>
  );
}
