import { useMemo } from 'react';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import type { CalendarPlan, SessionSlot } from '@dewpot/core/calendar';
import type { Speaker } from '@dewpot/locales';
import { useSay } from '../ui/say';
import { useWidth } from '../ui/use-width';
import { CopiesRows } from './rail-copies';
import { RailDays } from './rail-days';
import { lanesOf, railScale } from './rail-layout';
import { RailLegend } from './rail-legend';
import { LineRow, RailPatterns } from './rail-line';
import { CHANCES, NAMES, RailRow } from './rail-row';
import { SessionsRow } from './rail-sessions';
import type { CalendarKnown } from './use-calendar-data';
import type { PlanSession } from './plan-sessions';

/** A press is a drag once it has moved so far, px: less is a tap. */
const DRAG_FROM = 6;

/** What is read out of dragging, in the reader's language: what a move costs is told by the screen itself. */
const spoken = (say: Speaker) => ({
  screenReaderInstructions: { draggable: say('calendar.dragHow') },
  announcements: {
    onDragStart: () => say('calendar.dragging'),
    onDragOver: () => undefined,
    onDragEnd: () => undefined,
    onDragCancel: () => undefined,
  },
});

/** Until its width is known, px. */
const FIRST_WIDTH = 1200;

export interface RailProps {
  readonly known: CalendarKnown;
  readonly plan: CalendarPlan;
  readonly sessions: readonly PlanSession[];
  readonly slots: readonly SessionSlot[];
  /** When sessions begin that break a rule, ms. */
  readonly breached: ReadonlySet<number>;
  readonly now: number;
  readonly onMove: (from: number, to: number) => void;
  readonly onOpen: (at: number) => void;
}

/** The weeks ahead as the work goes: sessions above, each line's pieces on their way to the day they are wanted, copies that are full below. */
export function Rail({ known, plan, sessions, slots, breached, now, onMove, onOpen }: RailProps) {
  const say = useSay();
  const [ref, outer] = useWidth<HTMLDivElement>();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM } }));
  const lanes = useMemo(
    () => known.lines.map((shown) => ({ shown, lanes: lanesOf(plan, shown.line.id, shown.line.state) })),
    [known.lines, plan],
  );
  const times = [
    ...lanes.flatMap((row) => row.lanes.map(({ ready, longest }) => longest ?? ready ?? now)),
    ...known.lines.flatMap(({ line }) => line.by ?? []),
    ...plan.sessions.map(({ at }) => at),
  ];
  const scale = railScale(now, times, Math.max(300, (outer ?? FIRST_WIDTH) - NAMES - CHANCES - 2));
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over) onMove(Number(active.id), Number(over.id));
  };
  return (
    <section aria-label={say('calendar.weeksAhead')} className="card-slab p-0">
      <svg width={0} height={0} className="absolute" aria-hidden="true">
        <RailPatterns />
      </svg>
      <div ref={ref} className="overflow-x-auto">
        <div style={{ width: NAMES + scale.width + CHANCES }}>
          <RailRow name={null} aside={null}>
            <RailDays scale={scale} now={now} />
          </RailRow>
          <DndContext
            sensors={sensors}
            collisionDetection={closestCenter}
            onDragEnd={dropped}
            accessibility={spoken(say)}
          >
            <SessionsRow {...{ known, plan, sessions, slots, scale, breached, onMove, onOpen }} />
          </DndContext>
          {lanes.map((row) => (
            <LineRow
              key={row.shown.line.id}
              {...row}
              outcome={plan.outcomes.find(({ line }) => line === row.shown.line.id)}
              scale={scale}
              now={now}
            />
          ))}
          <CopiesRows known={known} plan={plan} scale={scale} now={now} />
        </div>
      </div>
      <RailLegend />
    </section>
  );
}
