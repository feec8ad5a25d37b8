import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { postponementCost, taskWords, type Due } from '@dewpot/core/casts';
import { addDays, addHours, setHours, startOfHour } from 'date-fns';
import { Choice } from '../ui/choice';
import { sayWhen } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import type { Speaker } from '@dewpot/locales';
import { useSay } from '../ui/say';

const MORNING = 8;
const EVENING = 19;

/** To when things are postponed, as people say it. */
function timesFrom(now: number): { label: string; at: number }[] {
  const hour = startOfHour(now);
  const evening = setHours(hour, EVENING).getTime();
  const morning = (days: number) => addDays(setHours(hour, MORNING), days).getTime();
  return [
    { label: 'two hours', at: addHours(now, 2).getTime() },
    ...(evening > now + 3 * 3_600_000 ? [{ label: 'this evening', at: evening }] : []),
    { label: 'tomorrow morning', at: morning(1) },
    { label: 'two days', at: morning(2) },
    { label: 'four days', at: morning(4) },
    { label: 'a week', at: morning(7) },
  ];
}

/** What it costs, as a sentence. */
function consequence(due: Due, until: number, now: number, say: Speaker): string {
  const { costs, at, ...cost } = postponementCost(due, until);
  const why = say(cost.why);
  if (costs === 'nothing') return `Costs nothing: it is good until ${sayWhen(at, now)}.`;
  if (costs === 'time') return `Costs nothing but time: ${why}.`;
  if (costs === 'dryness') return `From ${sayWhen(at, now)} on it suffers: ${why}.`;
  return at < now ? `The window closed ${sayWhen(at, now)}: ${why}.` : `The window closes ${sayWhen(at, now)}: ${why}.`;
}

/** Puts a task off, with what that costs told before it is done. */
export function PostponeForm({ casts, due, busy, record }: ActionProps) {
  const say = useSay();
  const now = useNow();
  const times = timesFrom(now);
  const [label, setLabel] = useState(defined(times[0]).label);
  if (!due) return null;
  const until = (times.find((one) => one.label === label) ?? defined(times[0])).at;
  const free = ['nothing', 'time'].includes(postponementCost(due, until).costs);
  return (
    <div className="space-y-4">
      <Choice
        legend={`Postpone “${say(taskWords[due.task])}” by, or to`}
        options={times.map((one) => ({ value: one.label, label: one.label, hint: sayWhen(one.at, now) }))}
        value={label}
        onChange={setLabel}
      />
      <p role="status" className={free ? '' : 'text-accent border-accent border-l-4 pl-3 font-semibold'}>
        {consequence(due, until, now, say)}
      </p>
      <DoneButton
        casts={casts}
        busy={busy}
        record={record}
        said={`Postponed to ${sayWhen(until, now)}.`}
        event={{ type: 'postponed', task: due.task, until }}
        look={free ? 'main' : 'warning'}
      >
        Postpone to {sayWhen(until, now)}
      </DoneButton>
    </div>
  );
}
