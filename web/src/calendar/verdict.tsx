import { DAY, HOUR, msg, type Message } from '@dewpot/core/units';
import { SURE_ENOUGH, type CalendarPlan } from '@dewpot/core/calendar';
import { dayOf } from '../ui/format-time';
import { useSay } from '../ui/say';
import { chanceTold } from './chance-told';
import type { CalendarKnown } from './use-calendar-data';
import type { Planner } from './use-planner';

/** A plan that was made longer ago than the forecast holds is older than it. */
const OLD = 12 * HOUR;

/** Whether everything is ready in time, in one sentence. */
function verdictOf({ lines }: CalendarKnown, { outcomes, chance, sessions, left }: CalendarPlan): Message {
  if (left > 0) return msg('calendar.verdictLeft', { left });
  const dated = outcomes.filter(({ line }) => lines.some((one) => one.line.id === line && one.line.by !== undefined));
  const unsure = dated.filter((one) => one.chance < SURE_ENOUGH);
  const share = chanceTold(chance);
  if (dated.length === 0) return msg('calendar.verdictSoon', { sessions: sessions.length });
  if (unsure.length === 0) return msg('calendar.verdictFits', { sessions: sessions.length, share });
  return msg('calendar.verdictLate', { unsure: unsure.length, dated: dated.length, sessions: sessions.length, share });
}

/** How near the plan is to the best there can be. */
function proofOf({ sessions, leastSessions, best }: CalendarPlan): Message | undefined {
  if (leastSessions === 0 || sessions.length === 0) return undefined;
  const saved = sessions.length - leastSessions;
  if (saved > 0) return msg('calendar.proofSaved', { least: leastSessions });
  return msg('calendar.proofFewest', { sessions: sessions.length, best: best ? 'yes' : 'no' });
}

/** What the plan comes to, and what it rests on. */
export function Verdict({
  known,
  planner,
  madeAt,
  now,
  onWeek,
}: {
  known: CalendarKnown;
  planner: Planner;
  madeAt: number | undefined;
  now: number;
  onWeek: () => void;
}) {
  // prettier-ignore
  const say = useSay();
  const { judged, looking } = planner;
  if (!judged) return null;
  const { plan, breaches } = judged;
  const proof = proofOf(plan);
  const old = madeAt !== undefined && now - madeAt > OLD;
  const sound = breaches.length === 0;
  return (
    <div className="mb-3">
      <p className="font-head text-xl" role="status">
        {say(sound ? verdictOf(known, plan) : msg('calendar.verdictBroken', { count: breaches.length }))}
      </p>
      <p className="quiet text-sm">
        {proof && sound && <>{say(proof)} </>}
        {old && !looking && (
          <>{say('calendar.planOld', { day: dayOf(madeAt, now), days: Math.floor((now - madeAt) / DAY) })} </>
        )}
        {!known.data.facts.weekKnown && (
          <>
            {say('calendar.usualWeek')}{' '}
            <button type="button" className="link" onClick={onWeek}>
              {say('calendar.sayYourWeek')}
            </button>
          </>
        )}
      </p>
    </div>
  );
}
