import { msg, type Message } from '@dewpot/core/units';
import { useQuery } from '@tanstack/react-query';
import type { PourStatus, PourView } from '@dewpot/contract';
import { Link } from 'react-router';
import { poursQuery } from '../api/pours';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { exactTime, whenOf } from '../ui/format-time';
import { Busy, Empty, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { mixNames } from './mix-names';
import { useSay } from '../ui/say';

const statusWords: Record<PourStatus, Message> = {
  planned: msg('pours.statusPlanned'),
  started: msg('pours.atBenchNow'),
  finished: msg('ui.eventPoured'),
};

/** All pours, the newest first. */
export function PoursPage() {
  const say = useSay();
  const { data, isPending, error } = useQuery(poursQuery);
  if (isPending) return <Busy what={say('pours.busyPours')} />;
  if (!data) return <Failure error={error} />;
  return (
    <div className="mx-auto max-w-4xl p-4">
      <PageHead title={say('pours.pours')} to="/pours/new" add={say('shell.planPour')} />
      {data.length === 0 ? (
        <Empty title={say('pours.nothingPoured')}>
          <p>{say('pours.nothingPouredHow')}</p>
          <p>
            <Link to="/pours/new" className={buttonClass({ look: 'main', size: 'own' })}>
              {say('shell.planPour')}
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
  const say = useSay();
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
            {parts
              .flatMap(({ plan }) => plan.items.map(({ count, name }) => say('pours.itemCount', { count, name })))
              .join(', ')}
          </span>
          <span className="quiet block text-sm">{say.value(mixNames(parts))}</span>
        </span>
        <span
          className={status === 'finished' ? 'quiet text-sm' : 'text-accent font-semibold'}
          title={pouredAt ? say(exactTime(pouredAt)) : undefined}
        >
          {status === 'finished' && pouredAt ? say(whenOf(pouredAt, now)) : say(statusWords[status])}
        </span>
      </Link>
    </li>
  );
}
