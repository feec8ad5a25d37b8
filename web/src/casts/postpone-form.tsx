import { useState } from 'react';
import { HOUR, msg, type Message } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { postponementCost, taskWords, type Due } from '@dewpot/core/casts';
import { addDays, addHours, setHours, startOfHour } from 'date-fns';
import { Choice } from '../ui/choice';
import { whenOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { useSay } from '../ui/say';

const MORNING = 8;
const EVENING = 19;

interface Later {
  readonly key: string;
  readonly label: Message;
  readonly at: number;
}

/** To when things are postponed, as people say it. */
function timesFrom(now: number): Later[] {
  const hour = startOfHour(now);
  const evening = setHours(hour, EVENING).getTime();
  const mornings = [2, 4, 7].map((days) => ({ days, at: addDays(setHours(hour, MORNING), days).getTime() }));
  return [
    { key: 'hours', label: msg('casts.inTwoHours'), at: addHours(now, 2).getTime() },
    ...(evening > now + 3 * HOUR ? [{ key: 'evening', label: msg('casts.thisEvening'), at: evening }] : []),
    { key: 'morning', label: msg('casts.tomorrowMorning'), at: addDays(setHours(hour, MORNING), 1).getTime() },
    ...mornings.map(({ days, at }) => ({ key: `days ${days}`, label: msg('casts.inDays', { days }), at })),
  ];
}

/** What it costs, as a sentence. */
function consequence(due: Due, until: number, now: number): Message {
  const { costs, at, why } = postponementCost(due, until);
  const when = whenOf(at, now);
  if (costs === 'nothing') return msg('casts.costsNothing', { at: when });
  if (costs === 'time') return msg('casts.costsTime', { why });
  if (costs === 'dryness') return msg('casts.suffersFrom', { at: when, why });
  return msg(at < now ? 'casts.windowClosed' : 'casts.windowCloses', { at: when, why });
}

/** Puts a task off, with what that costs told before it is done. */
export function PostponeForm({ casts, due, busy, record }: ActionProps) {
  const say = useSay();
  const now = useNow();
  const times = timesFrom(now);
  const [key, setKey] = useState(defined(times[0]).key);
  if (!due) return null;
  const until = (times.find((one) => one.key === key) ?? defined(times[0])).at;
  const free = ['nothing', 'time'].includes(postponementCost(due, until).costs);
  return (
    <div className="space-y-4">
      <Choice
        legend={say('casts.postponeBy', { taskWords: say(taskWords[due.task]) })}
        options={times.map((one) => ({ value: one.key, label: one.label, hint: whenOf(one.at, now) }))}
        value={key}
        onChange={setKey}
      />
      <p role="status" className={free ? '' : 'text-accent border-accent border-l-4 pl-3 font-semibold'}>
        {say(consequence(due, until, now))}
      </p>
      <DoneButton
        casts={casts}
        busy={busy}
        record={record}
        said={say('casts.postponedTo', { until: say(whenOf(until, now)) })}
        event={{ type: 'postponed', task: due.task, until }}
        look={free ? 'main' : 'warning'}
      >
        {say('casts.postponeTo', { until: say(whenOf(until, now)) })}
      </DoneButton>
    </div>
  );
}
