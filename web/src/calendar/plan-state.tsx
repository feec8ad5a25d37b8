import { msg, type Message } from '@dewpot/core/units';
import type { JudgedCalendar, MovedSession } from '@dewpot/core/calendar';
import { Button } from '../ui/button';
import { whenOf } from '../ui/format-time';
import { piecesTold } from '../ui/pieces-told';
import { StaleChoice } from '../ui/keep-bar';
import { Busy, Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { chanceTold } from './chance-told';
import type { CalendarKnown } from './use-calendar-data';
import type { Planner } from './use-planner';

type Poured = MovedSession['before'][number];

/** What a rule that is broken is about, by its name. */
function nameOf({ data: { moulds, facts }, lines }: CalendarKnown, of: string | undefined): string {
  const line = lines.find((one) => one.line.id === of);
  return (
    moulds.find(({ id }) => id === of)?.name ??
    facts.places.find(({ id }) => id === of)?.name ??
    line?.mould?.name ??
    ''
  );
}

const breachTold = (known: CalendarKnown, { rule, of, at }: JudgedCalendar['breaches'][number], now: number): Message =>
  msg('calendar.breach', { rule, name: nameOf(known, of), when: at === undefined ? '' : whenOf(at, now) });

/** What moving sessions about costs: the chance before and after, and what does not go. It stays in reach below the drawing. */
export function Moved({ known, planner, now }: { known: CalendarKnown; planner: Planner; now: number }) {
  const say = useSay();
  const { judged, movedFrom } = planner;
  if (!judged || !movedFrom) return null;
  return (
    <div className="card-slab border-secondary sticky bottom-0 z-20 mt-3 border-l-4 py-3 shadow-lg" aria-live="polite">
      <p className="font-semibold">
        {judged.breaches.length === 0
          ? say('calendar.movedCosts', {
              before: chanceTold(movedFrom.plan.chance),
              after: chanceTold(judged.plan.chance),
            })
          : say('calendar.movedBreaks')}
      </p>
      <ul>
        {judged.breaches.map((one) => (
          <li key={`${one.rule} ${one.of} ${one.at}`}>{say(breachTold(known, one, now))}</li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button look="main" size="low" onClick={planner.planAnew}>
          {say('calendar.planRest')}
        </Button>
        {judged.breaches.length === 0 && (
          <Button needs="caster" size="low" onClick={planner.keepMoved}>
            {say('calendar.keepMoved')}
          </Button>
        )}
        <Button size="low" onClick={planner.undoMoved}>
          {say('calendar.undoMoved')}
        </Button>
      </div>
    </div>
  );
}

/** What the last plan put otherwise than the one before it. */
function WhatMoved({
  known,
  planner: { moved, forgetMoved },
  now,
}: {
  known: CalendarKnown;
  planner: Planner;
  now: number;
}) {
  // prettier-ignore
  const say = useSay();
  if (moved.length === 0) return null;
  const pieces = (poured: readonly Poured[]) =>
    piecesTold(poured.map(({ line, count }) => ({ name: nameOf(known, line), count })));
  return (
    <div className="card-slab mb-3 flex items-start justify-between gap-3 py-3">
      <div>
        <p className="font-semibold">{say('calendar.whatMoved')}</p>
        <ul>
          {moved.map(({ at, how, before, after }) => (
            <li key={at}>
              {say('calendar.moved', { how, when: whenOf(at, now), before: pieces(before), after: pieces(after) })}
            </li>
          ))}
        </ul>
      </div>
      <Button size="low" onClick={forgetMoved}>
        {say('calendar.fold')}
      </Button>
    </div>
  );
}

/** What goes on with the plan: a better one is looked for, sessions were moved, something cannot be planned. */
export function PlanState({ known, planner, now }: { known: CalendarKnown; planner: Planner; now: number }) {
  const say = useSay();
  const { looking, opening, judged, failed, keeping, movedFrom } = planner;
  const notes = judged?.plan.notes ?? [];
  return (
    <>
      {opening && <Busy what={say('calendar.keptPlan')} />}
      {looking && (
        <p className="card-slab mb-3 flex flex-wrap items-center justify-between gap-3 py-2" role="status">
          <span>{say('calendar.looking', { found: looking.found ?? 0 })}</span>
          <Button size="low" onClick={planner.stop}>
            {say('calendar.stop')}
          </Button>
        </p>
      )}
      {judged && judged.plan.issues.length > 0 && (
        <ul role="alert" className="border-error bg-base-100 mb-3 border-l-4 p-3">
          {judged.plan.issues.map(({ field, message, remedy }) => (
            <li key={field}>
              {say(message)} <span className="quiet">{say(remedy)}</span>
            </li>
          ))}
        </ul>
      )}
      {notes.length > 0 && <p className="quiet mb-3 text-sm">{notes.map((one) => say(one)).join(' ')}</p>}
      {!movedFrom && judged && judged.breaches.length > 0 && !looking && (
        <ul className="border-accent bg-base-100 mb-3 border-l-4 p-3">
          {judged.breaches.map((one) => (
            <li key={`${one.rule} ${one.of} ${one.at}`}>{say(breachTold(known, one, now))}</li>
          ))}
        </ul>
      )}
      {!looking && <WhatMoved known={known} planner={planner} now={now} />}
      <Failure error={failed} />
      <StaleChoice error={keeping.error} onKeepMine={planner.keepMine} />
    </>
  );
}
