import { lazy, Suspense } from 'react';
import { msg, type Message } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import {
  roundOf,
  taskInWords,
  tasksForMany,
  taskWords,
  type CastTask,
  type Due,
  type RoundLine,
  type RoundWhen,
  placeInWords,
} from '@dewpot/core/casts';
import type { CastEventTold, CastView } from '@dewpot/contract';
import { endOfDay } from 'date-fns';
import { Link } from 'react-router';
import { useWaitingEvents } from '../api/cast-writes';
import { Button, buttonClass } from '../ui/button';
import { judgedBy, placeOf } from '../ui/casts/reading';
import { ForRole, useMay } from '../ui/for-role';
import { whenOf } from '../ui/format-time';
import { WindowBand, windowInWords } from '../ui/window-band';
import type { Speaker } from '@dewpot/locales';
import { useSay } from '../ui/say';

/** The words of every event are fetched with the first that waits: without one the first screen needs none. */
const UnsentLine = lazy(async () => ({ default: (await import('./unsent-line')).UnsentLine }));

/** What is to be done: to which casts, which task, and the due it comes from where it is one line's. */
export interface Doing {
  readonly casts: readonly CastView[];
  readonly task: CastTask | undefined;
  readonly due?: Due;
  readonly postpone?: boolean;
}

const whenWords: Record<RoundWhen, Message> = {
  now: msg('shelf.now'),
  today: msg('shelf.laterToday'),
  week: msg('shelf.thisWeek'),
};

/** What to do in one walk: now, today, this week; by place, in the order of the windows. */
export function Round({
  casts,
  now,
  whole,
  onDo,
}: {
  casts: readonly CastView[];
  now: number;
  /** Not its first part alone, which is drawn before the others. */
  whole: boolean;
  onDo: (doing: Doing) => void;
}) {
  const say = useSay();
  const waitingOf = useWaitingEvents();
  const parts = roundOf(casts, placeOf, now, endOfDay(now).getTime());
  if (parts.length === 0) return <p className="quiet py-4">{say('shelf.nothingWeek')}</p>;
  return (
    <div className="space-y-5">
      {defined(parts[0]).when !== 'now' && <p>{say('shelf.nothingNow')}</p>}
      {parts.slice(0, whole ? parts.length : 1).map(({ when, places }) => (
        <section key={when} aria-label={say(whenWords[when])}>
          <h3 className="border-base-300 mb-1 border-b text-lg">{say(whenWords[when])}</h3>
          {places.map(({ place, lines }) => (
            <section
              key={place}
              aria-label={`${say(whenWords[when])}, ${say.value(placeInWords(place))}`}
              className="mb-2"
            >
              <PlaceHead place={place} lines={lines} quick={when === 'now'} onDo={onDo} />
              <ul className="divide-base-300 divide-y">
                {lines.map((line) => (
                  <RoundRow
                    key={`${line.key}${line.due.good}`}
                    waiting={waitingOf(line.casts.map(({ id }) => id))}
                    {...{ line, when, now, onDo }}
                  />
                ))}
              </ul>
            </section>
          ))}
        </section>
      ))}
    </div>
  );
}

function PlaceHead({
  place,
  lines,
  quick,
  onDo,
}: {
  place: string;
  lines: readonly RoundLine<CastView>[];
  quick: boolean;
  onDo: (doing: Doing) => void;
}) {
  const say = useSay();
  const many = quick ? tasksForMany(lines) : [];
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1 pt-1">
      <h4 className="quiet font-sans text-sm font-semibold">{say.value(placeInWords(place))}</h4>
      {many.map(({ task, casts }) =>
        task === 'weigh' ? (
          <ForRole key={task} least="helper">
            <Link to="/casts/weigh" className={buttonClass({ size: 'low', className: 'px-3 text-sm' })}>
              {say('shelf.weighAll', { casts: casts.length })}
            </Link>
          </ForRole>
        ) : (
          <Button needs="helper" key={task} size="low" className="px-3 text-sm" onClick={() => onDo({ casts, task })}>
            {say('shelf.taskAll', { taskWords: say(taskWords[task]), casts: casts.length })}
          </Button>
        ),
      )}
    </div>
  );
}

/** A due in words; one that was postponed says until when. */
function told(due: Due, now: number, say: Speaker): string {
  const window = windowInWords(due, now);
  return due.postponedUntil === undefined
    ? say(window)
    : say('shelf.postponedTo', { postponedUntil: whenOf(due.postponedUntil, now), window });
}

function RoundRow({
  line: { due, casts },
  waiting,
  when,
  now,
  onDo,
}: {
  line: RoundLine<CastView>;
  waiting: readonly CastEventTold[];
  when: RoundWhen;
  now: number;
  onDo: (doing: Doing) => void;
}) {
  const say = useSay();
  const may = useMay('helper');
  const first = defined(casts[0]);
  const name = `${first.snapshot.mouldName}${casts.length > 1 ? ` × ${casts.length}` : ''}`;
  const codes = casts.map(({ code }) => code).join(' ');
  const judged = judgedBy(casts);
  const task = taskInWords(due);
  return (
    <li className="grid grid-cols-[7rem_1fr] items-center gap-x-3 gap-y-1 py-2">
      {may ? (
        <Button
          look={when === 'now' && waiting.length === 0 ? 'main' : 'soft'}
          className="min-h-12 w-full px-2"
          onClick={() => onDo({ casts, task: due.task, due })}
          aria-label={`${say(task)}: ${name} ${codes}`}
        >
          {say(taskWords[due.task])}
        </Button>
      ) : (
        <span className="font-semibold">{say(taskWords[due.task])}</span>
      )}
      <div className="min-w-0">
        <p className="flex items-baseline justify-between gap-2">
          <span className="truncate font-semibold" title={name}>
            {name}
          </span>
          <span className="quiet shrink-0 text-sm">
            {casts.length > 2 ? `${first.code}–${defined(casts[casts.length - 1]).code}` : codes}
          </span>
        </p>
        <WindowBand window={due} now={now} what={say(task)} />
        <p className="mt-0.5 text-sm">
          <span className={when === 'now' ? '' : 'quiet'}>
            {due.core && `${due.core}: `}
            {told(due, now, say)}
            {due.told && `; ${say(due.told)}`}
            {judged && `; ${say(judged)}`}
          </span>{' '}
          {may && (
            <button
              type="button"
              className="link quiet whitespace-nowrap"
              aria-label={say('shelf.postponeTask', { task: say(task), name, codes })}
              onClick={() => onDo({ casts, task: due.task, due, postpone: true })}
            >
              {say('shelf.postpone')}
            </button>
          )}
        </p>
        {waiting.length > 0 && (
          <Suspense>
            <UnsentLine events={waiting} />
          </Suspense>
        )}
      </div>
    </li>
  );
}
