import { Suspense, useEffect, useMemo, useState } from 'react';
import { rulerSteps, type Message, identity, msg } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { writeQuantity } from '@dewpot/locales';
import { Link, useNavigate } from 'react-router';
import { CastActions, fetchActionsAhead } from '../casts';
import { buttonClass } from '../ui/button';
import { Choice } from '../ui/choice';
import { useMay } from '../ui/for-role';
import { Busy, Empty, Failure } from '../ui/states';
import { beginFirstPiece } from '../ui/first-piece';
import { useWidth } from '../ui/use-width';
import { AmbientStrip } from './ambient-strip';
import { layoutPlank, shelfScale } from './layout';
import { PlankLine } from './plank';
import { OutOfLimits } from './out-of-limits';
import { PlannedToday } from './planned-today';
import { planksOf, shelfBys, type Group, type ShelfBy } from './reading';
import { Round, type Doing } from './today';
import { useShelf } from './use-shelf';
import { useSay } from '../ui/say';

/** Home: the casts on their planks, the round, the air. */
export function ShelfPage() {
  const say = useSay();
  const { shelf, ambient, now, groups } = useShelf();
  const [doing, setDoing] = useState<Doing>();
  const may = useMay('helper');
  const navigate = useNavigate();
  // Whoever only looks is led to what is known of it.
  const doGroup = ({ casts, window }: Group) =>
    may
      ? setDoing({ casts, task: window?.task, ...(window && { due: window }) })
      : void navigate(`/casts/${defined(casts[0]).id}`);
  useEffect(fetchActionsAhead, []);
  if (shelf.isPending) return <Busy what={say('shelf.theShelfSmall')} />;
  if (shelf.isError && !shelf.data) return <Failure error={shelf.error} />;
  return (
    <div className="shelf-room grid grid-cols-[minmax(0,1fr)] gap-x-6 lg:grid-cols-[minmax(0,2fr)_minmax(19rem,1fr)]">
      <h1 className="sr-only">{say('shelf.theShelf')}</h1>
      <div className="order-2 lg:order-1">
        {groups.length === 0 ? <EmptyShelf /> : <Planks groups={groups} onDue={doGroup} />}
      </div>
      <aside
        className="card-slab order-1 m-3 self-start lg:order-2 lg:my-4 lg:mr-5 lg:ml-0"
        aria-label={say('shelf.today')}
      >
        <h2 className="mb-2 text-2xl">{say('shelf.today')}</h2>
        <PlannedToday now={now} />
        <Round casts={shelf.data ?? []} now={now} onDo={setDoing} />
        <OutOfLimits />
        {ambient && (
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

const byWords: Record<ShelfBy, Message> = {
  stage: msg('shelf.byStage'),
  place: msg('shelf.byPlace'),
  pour: msg('shelf.byPour'),
};

/** Above and below the planks: the lintel, the margins and the scale mark, px. */
const AROUND = 56 + 32 + 30 + 24;

function Planks({ groups, onDue }: { groups: readonly Group[]; onDue: (group: Group) => void }) {
  const say = useSay();
  const [ref, outer] = useWidth<HTMLDivElement>(820);
  const width = outer - 32;
  const [by, setBy] = useState<ShelfBy>('stage');
  const laidPlanks = useMemo(() => planksOf(groups, by), [groups, by]);
  const scale = useMemo(() => {
    const room = { width, height: window.innerHeight - AROUND };
    return shelfScale(
      laidPlanks.map((plank) => plank.groups),
      room,
      say,
    );
  }, [laidPlanks, width, say]);
  const laid = useMemo(
    () =>
      laidPlanks.map(({ name, groups: here }) => {
        const lines = layoutPlank(here, width, scale, say);
        return {
          name,
          lines: lines.length > 0 ? lines : [[]],
          count: here.reduce((sum, { casts }) => sum + casts.length, 0),
        };
      }),
    [laidPlanks, width, scale, say],
  );
  return (
    <div className="px-3 py-4 lg:pl-5" ref={ref}>
      {laid.map(({ name, lines, count }) => (
        <div key={identity(name)}>
          {lines.map((line, i) => (
            <PlankLine
              key={i}
              line={line}
              label={i === 0 ? say.value(name) : undefined}
              count={count}
              width={width}
              scale={scale}
              onDue={onDue}
            />
          ))}
        </div>
      ))}
      <div className="flex flex-wrap items-center justify-between gap-3">
        <ScaleMark scale={scale} />
        <Choice
          legend={say('shelf.groupBy')}
          hideLegend
          options={shelfBys.map((value) => ({ value, label: byWords[value] }))}
          value={by}
          onChange={setBy}
        />
      </div>
    </div>
  );
}

/** Least length of the mark, mm: it is the next round figure of a ruler. */
const MARK = 200;

function ScaleMark({ scale }: { scale: number }) {
  const say = useSay();
  const mark = rulerSteps[say.reader.system].mm.find((step) => step >= MARK) ?? MARK;
  const length = mark * scale;
  return (
    <p className="quiet mt-1 flex items-center gap-2 text-xs">
      <svg width={length + 2} height={8} aria-hidden="true">
        <path d={`M1 1v6M${length + 1} 1v6M1 4h${length}`} stroke="currentColor" />
      </svg>
      {say('shelf.oneScale', { mark: writeQuantity(mark, 'mm', say.reader) })}
    </p>
  );
}
