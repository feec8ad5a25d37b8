import { Suspense, useEffect, useState } from 'react';
import { defined } from '@dewpot/core/math';
import { Link, useNavigate } from 'react-router';
import type { CastView } from '@dewpot/contract';
import { useAmbient } from '../api/session';
import { CastActions, fetchActionsAhead } from '../casts';
import { buttonClass } from '../ui/button';
import { useMay } from '../ui/for-role';
import { Busy, Empty, Failure } from '../ui/states';
import { beginFirstPiece } from '../ui/first-piece';
import { retried } from '../ui/retried';
import { AmbientStrip } from './ambient-strip';
import { OutOfLimits } from './out-of-limits';
import { PlannedToday } from './planned-today';
import type { Group } from './reading';
import { Round, type Doing } from './today';
import { useShelf } from './use-shelf';
import { usePainted } from '../ui/use-painted';
import { useSay } from '../ui/say';

/** Pieces are drawn once it is told what is to be done: that is what most come for, and drawing takes longer. */
const Planks = retried(async () => ({ default: (await import('./planks')).Planks }));

/** Home: the casts on their planks, the round, the air. */
export function ShelfPage() {
  const say = useSay();
  const { shelf, now, groups } = useShelf();
  useEffect(fetchActionsAhead, []);
  if (shelf.isPending) return <Busy what={say('shelf.theShelfSmall')} />;
  if (shelf.isError && !shelf.data) return <Failure error={shelf.error} />;
  return <Shelf casts={shelf.data ?? []} now={now} groups={groups} />;
}

interface ShelfProps {
  readonly casts: readonly CastView[];
  readonly now: number;
  readonly groups: readonly Group[];
}

function Shelf({ casts, now, groups }: ShelfProps) {
  const say = useSay();
  const ambient = useAmbient().data;
  const [doing, setDoing] = useState<Doing>();
  const told = usePainted();
  const may = useMay('helper');
  const navigate = useNavigate();
  // Whoever only looks is led to what is known of it.
  const doGroup = ({ casts: alike, window }: Group) =>
    may
      ? setDoing({ casts: alike, task: window?.task, ...(window && { due: window }) })
      : void navigate(`/casts/${defined(alike[0]).id}`);
  return (
    <div className="shelf-room grid grid-cols-[minmax(0,1fr)] gap-x-6 lg:grid-cols-[minmax(0,2fr)_minmax(19rem,1fr)]">
      <h1 className="sr-only">{say('shelf.theShelf')}</h1>
      <div className="order-2 lg:order-1">
        {groups.length === 0 ? (
          <EmptyShelf />
        ) : (
          told && (
            <Suspense>
              <Planks groups={groups} now={now} onDue={doGroup} />
            </Suspense>
          )
        )}
      </div>
      <aside
        className="card-slab order-1 m-3 self-start lg:order-2 lg:my-4 lg:mr-5 lg:ml-0"
        aria-label={say('shelf.today')}
      >
        <h2 className="mb-2 text-2xl">{say('shelf.today')}</h2>
        <PlannedToday now={now} />
        <Round casts={casts} now={now} whole={told} onDo={setDoing} />
        <OutOfLimits />
        {told && ambient && (
          <div className="border-base-300 mt-4 border-t pt-3">
            <AmbientStrip ambient={ambient} />
          </div>
        )}
      </aside>
      {doing && (
        <Suspense>
          <CastActions {...doing} onClose={() => setDoing(undefined)} />
        </Suspense>
      )}
    </div>
  );
}

function EmptyShelf() {
  const say = useSay();
  return (
    <Empty title={say('shelf.nothingYet')}>
      <p>{say('shelf.castsAppear')}</p>
      <p className="flex flex-wrap justify-center gap-3">
        <Link to="/moulds/new" className={buttonClass({ look: 'main', size: 'own' })} onClick={beginFirstPiece}>
          {say('shelf.firstPiece')}
        </Link>
        <Link to="/moulds/new" className={buttonClass({ size: 'own' })}>
          {say('shell.measureMould')}
        </Link>
        <Link to="/pours/new" className={buttonClass({ size: 'own' })}>
          {say('shell.planPour')}
        </Link>
      </p>
    </Empty>
  );
}
