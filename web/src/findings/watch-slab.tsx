import { useMemo } from 'react';
import { Link } from 'react-router';
import type { MonthShare, WatchedMass } from '@dewpot/core/findings';
import type { WatchView } from '@dewpot/contract';
import { Chart } from '../ui/chart';
import { useSay } from '../ui/say';
import { massesOption, monthsOption } from './watch-options';
import { wayName } from './way-words';

/** What is watched from cast to cast: good casts by month, masses at demoulding, and how copies wear. */
export function WatchSlab({ watch: { masses, months, copies } }: { watch: WatchView }) {
  const say = useSay();
  return (
    <section className="card-slab space-y-3" aria-label={say('findings.watching')}>
      <h2 className="text-xl">{say('findings.watching')}</h2>
      <Months months={months} />
      <Masses masses={masses} />
      {copies.map(({ copy, stretches }) => (
        <p key={copy} className="text-sm">
          <strong>{copy}</strong>{' '}
          {stretches.map(({ from, to, casts, hurt }) => say('findings.stretch', { from, to, casts, hurt })).join(' ')}
        </p>
      ))}
    </section>
  );
}

function Months({ months }: { months: readonly MonthShare[] }) {
  const say = useSay();
  const option = useMemo(() => monthsOption(months, say), [months, say]);
  const out = months.filter((month) => month.out);
  if (months.length === 0) return <p className="quiet">{say('findings.nothingWatched')}</p>;
  return (
    <figure>
      <figcaption className="text-sm font-semibold">{say('findings.goodByMonth')}</figcaption>
      <Chart option={option} height={170} label={say('findings.goodByMonthChart', { months: months.length })} />
      {out.map(({ month, good, casts }) => (
        <p key={month} className="border-warning border-l-4 pl-2 text-sm">
          {say('findings.monthOut', { month: wayName('month', month), good, casts })}
        </p>
      ))}
    </figure>
  );
}

function Masses({ masses }: { masses: readonly WatchedMass[] }) {
  const say = useSay();
  const option = useMemo(() => massesOption(masses, say), [masses, say]);
  const out = masses.filter((mass) => mass.out).slice(-3);
  if (masses.length < 2) return <p className="quiet text-sm">{say('findings.weighSoon')}</p>;
  return (
    <figure>
      <figcaption className="text-sm font-semibold">{say('findings.massChart')}</figcaption>
      <Chart option={option} height={170} label={say('findings.massChartOf', { casts: masses.length })} />
      {out.map(({ id, code, value }) => (
        <p key={id} className="border-warning border-l-4 pl-2 text-sm">
          <Link className="link" to={`/casts/${id}`}>{code}</Link> {say('findings.massOut', { share: Math.round(value * 100), heavy: value > 1 ? 'yes' : 'no' })}
        </p>
      ))}
    </figure>
  );
} // prettier-ignore
