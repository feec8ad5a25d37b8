import { useMemo, useState } from 'react';
import { rulerSteps, type Message, identity, msg } from '@dewpot/core/units';
import { writeQuantity } from '@dewpot/locales';
import { Choice } from '../ui/choice';
import { useSay } from '../ui/say';
import { useWidth } from '../ui/use-width';
import { inColours, layoutPlank, shelfScale } from './layout';
import { PlankLine } from './plank';
import { planksOf, shelfBys, type Group, type ShelfBy } from './reading';

const byWords: Record<ShelfBy, Message> = {
  stage: msg('shelf.byStage'),
  place: msg('shelf.byPlace'),
  pour: msg('shelf.byPour'),
};

/** Above and below the planks: the lintel, the margins and the scale mark, px. */
const AROUND = 56 + 32 + 30 + 24;

export interface PlanksProps {
  readonly groups: readonly Group[];
  readonly now: number;
  readonly onDue: (group: Group) => void;
}

/** The casts on their planks, all to one scale. Where they find no room yet, none is drawn: it would be drawn twice. */
export function Planks(props: PlanksProps) {
  const [ref, outer] = useWidth<HTMLDivElement>();
  return (
    <div className="px-3 py-4 lg:pl-5" ref={ref}>
      {outer !== undefined && <LaidPlanks {...props} width={outer - 32} />}
    </div>
  );
}

function LaidPlanks({ groups, now, onDue, width }: PlanksProps & { readonly width: number }) {
  const say = useSay();
  const [by, setBy] = useState<ShelfBy>('stage');
  const laidPlanks = useMemo(() => planksOf(inColours(groups, now), by), [groups, now, by]);
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
    <>
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
    </>
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
