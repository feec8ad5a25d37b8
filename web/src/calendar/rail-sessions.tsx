import type { KeyboardEvent } from 'react';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { msg } from '@dewpot/core/units';
import type { CalendarPlan, SessionSlot } from '@dewpot/core/calendar';
import { weekdayClock } from '../ui/format-time';
import { piecesTold } from '../ui/pieces-told';
import { PieceThumb } from '../ui/piece-thumb';
import { useSay } from '../ui/say';
import { DayLines } from './rail-days';
import type { RailScale } from './rail-layout';
import { RailRow } from './rail-row';
import type { CalendarKnown, ShownLine } from './use-calendar-data';
import type { PlanSession } from './plan-sessions';

const HEIGHT = 76;
const THUMB = 34;

/** An evening on which a session may be held. */
function Evening({ slot, scale }: { slot: SessionSlot; scale: RailScale }) {
  const { setNodeRef, isOver } = useDroppable({ id: String(slot.at) });
  return (
    <div
      ref={setNodeRef}
      className={`absolute bottom-0 ${isOver ? 'bg-secondary/30' : ''}`}
      style={{ left: scale.x(slot.at) - scale.day / 2, width: scale.day, height: HEIGHT }}
    >
      <span className="bg-base-content/45 absolute bottom-0 left-1/2 h-1.5 w-0.5" aria-hidden="true" />
    </div>
  );
}

interface ChipProps {
  readonly session: PlanSession;
  readonly lines: readonly ShownLine[];
  readonly wrong: boolean;
  readonly scale: RailScale;
  readonly onStep: (by: 1 | -1) => void;
  readonly onOpen: () => void;
}

/** A session with what it pours: dragged, or moved with the arrows, to another evening. */
function Chip({ session: { at, poured, kept }, lines, wrong, scale, onStep, onOpen }: ChipProps) {
  const say = useSay();
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: String(at) });
  const { 'aria-describedby': how } = attributes;
  const own = poured.flatMap(({ line, count }) => {
    const shown = lines.find((one) => one.line.id === line);
    return shown?.mould && count > 0 ? [{ ...shown, mould: shown.mould, count }] : [];
  });
  const most = own.reduce((best, one) => (one.count > (best?.count ?? 0) ? one : best), own[0]);
  const all = poured.reduce((sum, { count }) => sum + count, 0);
  const key = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : undefined;
    if (by === undefined) return;
    event.preventDefault();
    onStep(by);
  };
  const width = Math.max(THUMB + 4, scale.day);
  return (
    <button
      ref={setNodeRef}
      type="button"
      aria-describedby={how}
      {...listeners}
      className={`session-chip absolute top-1 flex flex-col items-center ${isDragging ? 'z-20 opacity-80' : ''} ${wrong ? 'text-error' : ''}`}
      style={{
        left: scale.x(at) - width / 2,
        width,
        ...(transform && { transform: `translate(${transform.x}px, 0)` }),
      }}
      aria-label={say('calendar.sessionChip', {
        when: weekdayClock(at),
        date: msg('units.plain', { value: { at, as: 'date' } }),
        pieces: piecesTold(own.map(({ count, mould }) => ({ name: mould.name, count }))),
        kept: kept ? 'yes' : 'no',
        wrong: wrong ? 'yes' : 'no',
      })}
      onKeyDown={key}
      onClick={onOpen}
    >
      {most && <PieceThumb shape={most.mould.shape} colour={most.colour} size={THUMB} />}
      <span className="numeral text-sm leading-none font-semibold">
        {all}
        {kept && <span aria-hidden="true">·</span>}
      </span>
    </button>
  );
}

/** Sessions on their evenings. */
export function SessionsRow({
  known,
  plan,
  sessions,
  slots,
  scale,
  breached,
  onMove,
  onOpen,
}: {
  known: CalendarKnown;
  plan: CalendarPlan;
  sessions: readonly PlanSession[];
  slots: readonly SessionSlot[];
  scale: RailScale;
  /** When sessions begin that break a rule, ms. */
  breached: ReadonlySet<number>;
  onMove: (from: number, to: number) => void;
  onOpen: (at: number) => void;
}) {
  const say = useSay();
  const seen = slots.filter(({ at }) => scale.x(at) < scale.width);
  const step = (at: number, by: 1 | -1) => {
    const to = by > 0 ? slots.find((slot) => slot.at > at) : slots.findLast((slot) => slot.at < at);
    if (to) onMove(at, to.at);
  };
  return (
    <RailRow
      name={<p className="font-semibold">{say('calendar.sessions', { count: plan.sessions.length })}</p>}
      aside={<p className="quiet text-sm">{say('calendar.dragHint')}</p>}
    >
      <div className="relative" style={{ width: scale.width, height: HEIGHT }}>
        <svg width={scale.width} height={HEIGHT} className="absolute inset-0" aria-hidden="true">
          <DayLines scale={scale} now={known.data.facts.now} height={HEIGHT} />
        </svg>
        {seen.map((slot) => (
          <Evening key={slot.at} slot={slot} scale={scale} />
        ))}
        {sessions
          .filter(({ at, poured }) => at >= known.data.facts.now && poured.some(({ count }) => count > 0))
          .map((session) => (
            <Chip
              key={session.at}
              session={session}
              lines={known.lines}
              wrong={breached.has(session.at)}
              scale={scale}
              onStep={(by) => step(session.at, by)}
              onOpen={() => onOpen(session.at)}
            />
          ))}
      </div>
    </RailRow>
  );
}
