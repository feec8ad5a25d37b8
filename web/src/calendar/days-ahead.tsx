import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { defined } from '@dewpot/core/math';
import { DAY, msg, type Message } from '@dewpot/core/units';
import type { MouldShape } from '@dewpot/core/moulds';
import { roundLines, taskInWords } from '@dewpot/core/casts';
import { plannedTasks, type CalendarPlan } from '@dewpot/core/calendar';
import type { CastView } from '@dewpot/contract';
import { startOfDay } from 'date-fns';
import { shelfQuery } from '../api/casts';
import { placeOf } from '../ui/casts/reading';
import { clockOf, dayOf } from '../ui/format-time';
import { piecesTold } from '../ui/pieces-told';
import { PieceThumb } from '../ui/piece-thumb';
import { useSay } from '../ui/say';
import { taskWords } from './task-words';
import type { CalendarKnown, ShownLine } from './use-calendar-data';

/** Days that are listed, and those of them that are shown at first. */
const DAYS = 14;
const DAYS_AT_FIRST = 5;

/** Pieces of one kind, as they are shown. */
interface Piece {
  readonly name: string;
  readonly count: number;
  readonly shape?: MouldShape;
  readonly colour: string;
}

interface Entry {
  readonly key: string;
  readonly at: number;
  readonly session?: number;
  readonly task?: Message;
  readonly pieces: readonly Piece[];
}

const pieceOf = ({ mould, colour }: ShownLine, count: number): Piece => ({
  name: mould?.name ?? '',
  count,
  colour,
  ...(mould && { shape: mould.shape }),
});

/** What is due to casts that stand on the shelf. */
const dueEntries = (casts: readonly CastView[]): Entry[] =>
  roundLines(casts, placeOf).map(({ due, casts: alike }): Entry => {
    const { mouldName, shape, colour } = defined(alike[0]).snapshot;
    const at = due.postponedUntil ?? due.good;
    return {
      key: `due ${due.task} ${due.core ?? ''} ${defined(alike[0]).id}`,
      at,
      task: taskInWords(due),
      pieces: [{ name: mouldName, count: alike.length, shape, colour }],
    };
  });

/** What is planned for the next days, in the order of time. */
function entriesOf({ lines }: CalendarKnown, plan: CalendarPlan, casts: readonly CastView[], now: number): Entry[] {
  const shownOf = (id: string) => lines.find(({ line }) => line.id === id);
  const pieces = (all: readonly { readonly line: string; readonly count: number }[]) =>
    all.flatMap(({ line, count }) => {
      const shown = shownOf(line);
      return shown && count > 0 ? [pieceOf(shown, count)] : [];
    });
  const sessions = plan.sessions.map(({ at, poured }): Entry => ({ key: `session ${at}`, at, session: at, pieces: pieces(poured) })); // prettier-ignore
  const tasks = plannedTasks(plan, lines.map(({ line }) => line)).map((one): Entry => ({ key: `${one.task} ${one.line} ${one.at}`, at: one.at, task: taskWords[one.task], pieces: pieces([one]) })); // prettier-ignore
  const until = startOfDay(now).getTime() + DAYS * DAY;
  return [...sessions, ...tasks, ...dueEntries(casts)]
    .filter(({ at }) => at >= now - DAY / 4 && at < until)
    .sort((a, b) => a.at - b.at);
}

/** The next days as a list: sessions, and what their pieces want. */
export function DaysAhead({
  known,
  plan,
  now,
  onOpen,
}: {
  known: CalendarKnown;
  plan: CalendarPlan;
  now: number;
  onOpen: (at: number) => void;
}) {
  // prettier-ignore
  const say = useSay();
  const { data: casts = [] } = useQuery(shelfQuery);
  const entries = entriesOf(known, plan, casts, now);
  const [all, setAll] = useState(false);
  const days = [...new Set(entries.map(({ at }) => startOfDay(at).getTime()))];
  return (
    <section className="card-slab" aria-label={say('calendar.nextDays')}>
      <h2 className="mb-2 text-xl">{say('calendar.nextDays')}</h2>
      {days.length === 0 && <p className="quiet">{say('calendar.nothingSoon')}</p>}
      <ol className="space-y-3">
        {days.slice(0, all ? DAYS : DAYS_AT_FIRST).map((day) => (
          <li key={day}>
            <h3 className="font-sans text-sm font-semibold">
              {day < startOfDay(now).getTime() + 2 * DAY
                ? say(dayOf(day + DAY / 2, now))
                : say(msg('units.plain', { value: { at: day + DAY / 2, as: 'longWeekday' } }))}{' '}
              <span className="quiet font-normal">
                {say(msg('units.plain', { value: { at: day + DAY / 2, as: 'date' } }))}
              </span>
            </h3>
            <ul>
              {entries
                .filter(({ at }) => startOfDay(at).getTime() === day)
                .map((entry) => (
                  <EntryLine key={entry.key} entry={entry} onOpen={onOpen} />
                ))}
            </ul>
          </li>
        ))}
      </ol>
      {days.length > DAYS_AT_FIRST && !all && (
        <button type="button" className="btn btn-ghost mt-3" onClick={() => setAll(true)}>
          {say('ui.showAll')}
        </button>
      )}
    </section>
  );
}

function EntryLine({ entry: { at, session, task, pieces }, onOpen }: { entry: Entry; onOpen: (at: number) => void }) {
  const say = useSay();
  const [first] = pieces;
  const inside = (
    <>
      {first?.shape && <PieceThumb shape={first.shape} colour={first.colour} size={32} />}
      <span className="min-w-0 flex-1">
        <span className="font-semibold">{task ? say(task) : say('calendar.pour')}</span> {piecesTold(pieces)}
      </span>
      <span className="numeral quiet">{say(clockOf(at))}</span>
    </>
  );
  return (
    <li>
      {session === undefined ? (
        <p className="flex min-h-11 items-center gap-2">{inside}</p>
      ) : (
        <button
          type="button"
          className="bg-base-300/50 hover:bg-base-300 flex min-h-14 w-full items-center gap-2 px-2 py-1.5 text-left"
          onClick={() => onOpen(session)}
        >
          {inside}
        </button>
      )}
    </li>
  );
}
