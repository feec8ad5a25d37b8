import { msg, quantity } from '@dewpot/core/units';
import { plannedTasks, type CalendarPlan, type SessionSlot } from '@dewpot/core/calendar';
import { Link } from 'react-router';
import { buttonClass } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { weekdayClock } from '../ui/format-time';
import { PieceThumb } from '../ui/piece-thumb';
import { piecesTold } from '../ui/pieces-told';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';
import type { CalendarKnown } from './use-calendar-data';
import type { Planner } from './use-planner';

interface SessionDialogProps {
  readonly known: CalendarKnown;
  readonly planner: Planner;
  readonly plan: CalendarPlan;
  readonly slots: readonly SessionSlot[];
  readonly at: number;
  readonly now: number;
  readonly onClose: () => void;
}

/** Evenings that a session may be moved to. */
const OFFERED = 24;

/** One session: what it pours, how long it takes, what has to be out of its moulds before; opened as a pour, or moved. */
export function SessionDialog({ known, planner, plan, slots, at, onClose }: SessionDialogProps) {
  const say = useSay();
  const session = plan.sessions.find((one) => one.at === at);
  if (!session) return null;
  const date = (time: number) => msg('units.plain', { value: { at: time, as: 'date' } });
  const buckets = session.batches.reduce((sum, one) => sum + one.buckets, 0);
  const minutes = (value: number) => quantity(Math.round(value), 'min', 0);
  return (
    <Dialog title={say('calendar.sessionOn', { when: weekdayClock(at), date: date(at) })} onClose={onClose}>
      <ul className="divide-base-300 divide-y">
        {session.poured
          .filter(({ count }) => count > 0)
          .map(({ line, count }) => {
            const shown = known.lines.find((one) => one.line.id === line);
            return (
              <li key={line} className="flex items-center gap-3 py-2">
                {shown?.mould && <PieceThumb shape={shown.mould.shape} colour={shown.colour} size={52} />}
                <span className="numeral w-12 text-3xl">{count}</span>
                <span>
                  {shown?.mould?.name}
                  <span className="quiet block text-sm">
                    {[shown?.mix?.name, shown?.tint?.name, shown?.line.order].filter(Boolean).join(' · ')}
                  </span>
                </span>
              </li>
            );
          })}
      </ul>
      <p className="my-3">
        {say('calendar.sessionTakes', { buckets, minutes: minutes(session.minutes), room: minutes(session.room) })}
      </p>
      <FreedFirst known={known} plan={plan} at={at} />
      <div className="mt-4 flex flex-wrap items-end gap-3">
        <Link
          to={`/pours/new?session=${at}`}
          className={buttonClass({ look: 'main', size: 'tall', className: 'flex-1' })}
        >
          {say('calendar.openAsPour')}
        </Link>
        <SelectField
          label={say('calendar.moveTo')}
          className="min-w-52"
          value={at}
          options={slots.slice(0, OFFERED).map((slot) => ({
            value: slot.at,
            label: msg('calendar.evening', { when: weekdayClock(slot.at), date: date(slot.at) }),
          }))}
          onChange={(to) => {
            planner.move(at, to);
            onClose();
          }}
        />
      </div>
    </Dialog>
  );
}

/** What has to be out of its moulds before a session begins. */
function FreedFirst({ known, plan, at }: { known: CalendarKnown; plan: CalendarPlan; at: number }) {
  const say = useSay();
  const before = plan.sessions.findLast((one) => one.at < at)?.at ?? known.data.facts.now;
  const wanted = new Set(plan.sessions.find((one) => one.at === at)?.poured.map(({ line }) => known.lines.find((one) => one.line.id === line)?.line.mouldId)); // prettier-ignore
  const mouldOf = (line: string) => known.lines.find((one) => one.line.id === line)?.mould;
  const tasks = plannedTasks(plan, known.lines.map(({ line }) => line)); // prettier-ignore
  const planned = tasks.flatMap(({ task, line, count, at: when }) => {
    const mould = mouldOf(line);
    const own = task === 'demould' && when > before && when <= at && mould && wanted.has(mould.id);
    return own ? [{ name: mould.name, count }] : [];
  });
  const standing = known.data.facts.standing.flatMap(({ mouldId, freeAt }) => {
    const mould = known.data.moulds.find(({ id }) => id === mouldId);
    const own = freeAt !== undefined && freeAt <= at && freeAt > before && mould && wanted.has(mouldId);
    return own ? [{ name: mould.name, count: 1 }] : [];
  });
  const counts = new Map<string, number>();
  for (const { name, count } of [...planned, ...standing]) counts.set(name, (counts.get(name) ?? 0) + count);
  if (counts.size === 0) return null;
  const pieces = piecesTold([...counts].map(([name, count]) => ({ name, count })));
  return <p className="quiet">{say('calendar.freedFirst', { pieces })}</p>;
}
