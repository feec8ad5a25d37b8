import { Suspense, useEffect, useMemo, useState } from 'react';
import { writeQuantity } from '@dewpot/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { shelfQuery } from '../api/casts';
import { useAir } from '../api/session';
import { CastActions, fetchActionsAhead } from '../casts';
import { Busy, Empty, Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { useNow } from '../ui/use-now';
import { useWidth } from '../ui/use-width';
import { AirStrip } from './air-strip';
import { layoutPlank, shelfScale } from './layout';
import { PlankLine } from './plank';
import { groupCasts, planks, plankWords, type Group } from './reading';
import { Round } from './round';

/** Home: the casts on their planks, the round, the air. */
export function ShelfPage() {
  const shelf = useQuery(shelfQuery);
  const air = useAir().data;
  const now = useNow();
  const [doing, setDoing] = useState<Group>();
  useEffect(fetchActionsAhead, []);
  const groups = useMemo(() => groupCasts(shelf.data ?? [], air, now), [shelf.data, air, now]);
  if (shelf.isPending) return <Busy what="the shelf" />;
  if (shelf.isError && !shelf.data) return <Failure error={shelf.error} />;
  return (
    <div className="shelf-room grid gap-x-6 lg:grid-cols-[minmax(0,2fr)_minmax(19rem,1fr)]">
      <h1 className="sr-only">The shelf</h1>
      <div className="order-2 lg:order-1">
        {groups.length === 0 ? <EmptyShelf /> : <Planks groups={groups} onDue={setDoing} />}
      </div>
      <aside className="card-slab order-1 m-3 self-start lg:order-2 lg:my-4 lg:mr-5 lg:ml-0" aria-label="The round">
        <h2 className="mb-2 text-2xl">The round</h2>
        <Round groups={groups} now={now} onDo={setDoing} />
        {air && (
          <div className="border-base-300 mt-4 border-t pt-3">
            <AirStrip air={air} />
          </div>
        )}
      </aside>
      {doing && (
        <Suspense>
          <CastActions casts={doing.casts} stroke={doing.window?.stroke} onClose={() => setDoing(undefined)} />
        </Suspense>
      )}
    </div>
  );
}

function EmptyShelf() {
  return (
    <Empty title="Nothing stands here yet">
      <p>
        Casts appear on these planks when a pour is finished, and move along as you lift them out, weigh and seal them.
      </p>
      <p className="flex flex-wrap justify-center gap-3">
        <Link to="/moulds/new" className="btn btn-primary">
          Measure a mould
        </Link>
        <Link to="/pours/new" className="btn btn-ghost bg-base-300/60">
          Plan a pour
        </Link>
      </p>
    </Empty>
  );
}

/** Above and below the planks: the lintel, the margins and the scale mark, px. */
const AROUND = 56 + 32 + 30;

function Planks({ groups, onDue }: { groups: readonly Group[]; onDue: (group: Group) => void }) {
  const [ref, outer] = useWidth<HTMLDivElement>(820);
  const width = outer - 32;
  const byPlank = useMemo(() => planks.map((plank) => groups.filter((group) => group.plank === plank)), [groups]);
  const scale = useMemo(() => shelfScale(byPlank, { width, height: window.innerHeight - AROUND }), [byPlank, width]);
  return (
    <div className="px-3 py-4 lg:pl-5" ref={ref}>
      {byPlank.map((here, n) => {
        const lines = layoutPlank(here, width, scale);
        const count = here.reduce((sum, { casts }) => sum + casts.length, 0);
        return (
          <div key={planks[n]}>
            {(lines.length > 0 ? lines : [[]]).map((line, i) => (
              <PlankLine
                key={i}
                line={line}
                label={i === 0 ? plankWords[planks[n]!] : undefined}
                count={count}
                width={width}
                scale={scale}
                onDue={onDue}
              />
            ))}
          </div>
        );
      })}
      <ScaleMark scale={scale} />
    </div>
  );
}

/** Length of the mark in each system, mm: a round figure to read. */
const MARK = { metric: 200, us: 8 * 25.4 } as const;

function ScaleMark({ scale }: { scale: number }) {
  const units = useUnits();
  const mark = MARK[units.system];
  const length = mark * scale;
  return (
    <p className="quiet mt-1 flex items-center gap-2 text-xs">
      <svg width={length + 2} height={8} aria-hidden="true">
        <path d={`M1 1v6M${length + 1} 1v6M1 4h${length}`} stroke="currentColor" />
      </svg>
      {writeQuantity(mark, 'mm', units.system)}; all pieces to one scale, dark where they are wet
    </p>
  );
}
