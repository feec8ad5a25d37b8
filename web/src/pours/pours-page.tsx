import { useQuery } from '@tanstack/react-query';
import type { PourStatus, PourView } from '@dewpot/contract';
import { Link } from 'react-router';
import { poursQuery } from '../api/pours';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { exactly, sayWhen } from '../ui/format-time';
import { Busy, Empty, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { mixNames } from './mix-names';

const statusWords: Record<PourStatus, string> = { planned: 'planned', started: 'at the bench now', finished: 'poured' };

/** All pours, the newest first. */
export function PoursPage() {
  const { data, isPending, error } = useQuery(poursQuery);
  if (isPending) return <Busy what="the pours" />;
  if (!data) return <Failure error={error} />;
  return (
    <div className="mx-auto max-w-4xl p-4">
      <PageHead title="Pours" to="/pours/new" add="Plan a pour" />
      {data.length === 0 ? (
        <Empty title="Nothing was poured yet">
          <p>Choose moulds and a mix, and get a sheet that says how many scoops of what.</p>
          <p>
            <Link to="/pours/new" className={buttonClass({ look: 'main', size: 'own' })}>
              Plan a pour
            </Link>
          </p>
        </Empty>
      ) : (
        <ul className="card-slab divide-base-300 divide-y py-1">
          {data.map((pour) => (
            <PourRow key={pour.id} pour={pour} />
          ))}
        </ul>
      )}
    </div>
  );
}

function PourRow({ pour: { id, number, status, parts, pouredAt } }: { pour: PourView }) {
  const now = useNow();
  return (
    <li>
      <Link
        to={`/pours/${id}`}
        className="hover:bg-base-200 grid grid-cols-[3.5rem_1fr_auto] items-baseline gap-3 px-1 py-3"
      >
        <span className="numeral text-2xl">{number}</span>
        <span className="min-w-0">
          <span className="block truncate font-semibold">
            {parts.flatMap(({ plan }) => plan.items.map(({ count, name }) => `${count} × ${name}`)).join(', ')}
          </span>
          <span className="quiet block text-sm">{mixNames(parts)}</span>
        </span>
        <span
          className={status === 'finished' ? 'quiet text-sm' : 'text-accent font-semibold'}
          title={pouredAt ? exactly(pouredAt) : undefined}
        >
          {status === 'finished' && pouredAt ? sayWhen(pouredAt, now) : statusWords[status]}
        </span>
      </Link>
    </li>
  );
}
