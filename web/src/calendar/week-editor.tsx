import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { msg } from '@dewpot/core/units';
import type { CasterWeekInput, CasterWeekView, OtherDayInput, WeekdayHoursInput } from '@dewpot/contract';
import { Trash2 } from 'lucide-react';
import { useSaveWeek, weekQuery } from '../api/orders';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { EditDialog } from '../ui/edit-dialog';
import { IconButton } from '../ui/icon-button';
import { Busy } from '../ui/states';
import { useSay } from '../ui/say';

/** One's own week: when one is at hand, when one pours, and days that are otherwise. */
export function WeekEditor({ onClose }: { onClose: () => void }) {
  const say = useSay();
  const { data } = useQuery(weekQuery);
  if (data) return <WeekForm first={data} onClose={onClose} />;
  return (
    <Dialog title={say('calendar.yourWeek')} onClose={onClose}>
      <Busy what={say('calendar.yourWeek')} />
    </Dialog>
  );
}

const DAYS = [0, 1, 2, 3, 4, 5, 6];
/** Monday is 0: the fifth day of 1970 was one. */
const dayName = (weekday: number) =>
  msg('units.plain', { value: { at: (4.5 + weekday) * 86_400_000, as: 'longWeekday' } });

const timeOf = (hours: number): string => {
  const minutes = Math.min(24 * 60 - 1, Math.round(hours * 60));
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
};
/** The last minute of a day stands for its end. */
const hoursOf = (time: string): number => {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return hours === 23 && minutes === 59 ? 24 : hours + minutes / 60;
};

const usual: Record<'attended' | 'sessions', Omit<WeekdayHoursInput, 'weekday'>> = {
  attended: { from: 7, to: 22 },
  sessions: { from: 19, to: 21.5 },
};

function WeekForm({ first, onClose }: { first: CasterWeekView; onClose: () => void }) {
  const say = useSay();
  const save = useSaveWeek();
  const { personId: _, person: __, ...rest } = first;
  const [draft, setDraft] = useState<CasterWeekInput>(rest);
  const set = (part: Partial<CasterWeekInput>) => setDraft({ ...draft, ...part });
  return (
    <EditDialog
      title={say('calendar.yourWeek')}
      busy={save.isPending}
      error={save.error}
      onSave={() => save.mutate(draft, { onSuccess: onClose })}
      onClose={onClose}
    >
      <table className="w-full text-sm">
        <thead>
          <tr className="text-left">
            <th scope="col">
              <span className="sr-only">{say('calendar.day')}</span>
            </th>
            <th scope="col">{say('calendar.atHand')}</th>
            <th scope="col">{say('calendar.sessionFromTo')}</th>
          </tr>
        </thead>
        <tbody>
          {DAYS.map((weekday) => (
            <tr key={weekday}>
              <th scope="row" className="pr-2 text-left font-semibold">
                {say(dayName(weekday))}
              </th>
              {(['attended', 'sessions'] as const).map((kind) => (
                <td key={kind} className="py-0.5">
                  <HoursField
                    name={say('calendar.hoursOn', { kind, day: dayName(weekday) })}
                    hours={draft[kind].find((one) => one.weekday === weekday)}
                    onChange={(hours) => {
                      const others = draft[kind].filter((one) => one.weekday !== weekday);
                      set({
                        [kind]: hours
                          ? [...others, { weekday, ...hours }].sort((a, b) => a.weekday - b.weekday)
                          : others,
                      });
                    }}
                    usual={usual[kind]}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <OtherDays draft={draft} set={set} />
    </EditDialog>
  );
}

interface HoursFieldProps {
  readonly name: string;
  readonly hours: Omit<WeekdayHoursInput, 'weekday'> | undefined;
  readonly usual: Omit<WeekdayHoursInput, 'weekday'>;
  readonly onChange: (hours: Omit<WeekdayHoursInput, 'weekday'> | undefined) => void;
}

/** Hours of a day, or none. */
function HoursField({ name, hours, usual: first, onChange }: HoursFieldProps) {
  const say = useSay();
  return (
    <span className="flex items-center gap-1.5">
      <input
        type="checkbox"
        className="checkbox"
        aria-label={name}
        checked={hours !== undefined}
        onChange={({ target }) => onChange(target.checked ? first : undefined)}
      />
      {hours && (
        <>
          <input
            type="time"
            className="input input-bordered h-10 w-29 px-1.5"
            aria-label={say('calendar.fromOf', { name })}
            value={timeOf(hours.from)}
            onChange={({ target }) => target.value && onChange({ ...hours, from: hoursOf(target.value) })}
          />
          –
          <input
            type="time"
            className="input input-bordered h-10 w-29 px-1.5"
            aria-label={say('calendar.toOf', { name })}
            value={timeOf(hours.to)}
            onChange={({ target }) => target.value && onChange({ ...hours, to: hoursOf(target.value) })}
          />
        </>
      )}
    </span>
  );
}

/** Days away, and sessions on other days than usual. */
function OtherDays({ draft, set }: { draft: CasterWeekInput; set: (part: Partial<CasterWeekInput>) => void }) {
  const say = useSay();
  const daysOf = (kind: 'away' | 'otherSessions', more: Partial<OtherDayInput>) => {
    const without = (date: string) => draft[kind].filter((one) => one.date !== date);
    return {
      days: draft[kind],
      onAdd: (date: string) =>
        set({ [kind]: [...without(date), { date, ...more }].sort((a, b) => a.date.localeCompare(b.date)) }),
      onRemove: (date: string) => set({ [kind]: without(date) }),
    };
  };
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <DayList title={say('calendar.daysAway')} label={say('calendar.dayAway')} {...daysOf('away', {})} />
      <DayList
        title={say('calendar.otherSessions')}
        label={say('calendar.otherSession')}
        {...daysOf('otherSessions', usual.sessions)}
      />
    </div>
  );
}

interface DayListProps {
  readonly title: string;
  /** Of the field in which a day is chosen. */
  readonly label: string;
  readonly days: readonly OtherDayInput[];
  readonly onAdd: (date: string) => void;
  readonly onRemove: (date: string) => void;
}

/** Days with their hours where they have some; one more is added below them. */
function DayList({ title, label, days, onAdd, onRemove }: DayListProps) {
  const say = useSay();
  const [chosen, setChosen] = useState('');
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">{title}</legend>
      <ul>
        {days.map(({ date, from, to }) => {
          const told = from === undefined || to === undefined ? date : `${date} ${timeOf(from)}–${timeOf(to)}`;
          return (
            <li key={date} className="flex items-center justify-between">
              {told}
              <IconButton
                label={say('calendar.removeDay', { date: told })}
                icon={Trash2}
                onClick={() => onRemove(date)}
              />
            </li>
          );
        })}
      </ul>
      <div className="flex gap-2">
        <input
          type="date"
          className="input input-bordered h-11 min-w-0 flex-1"
          aria-label={label}
          value={chosen}
          onChange={({ target }) => setChosen(target.value)}
        />
        <Button
          size="low"
          disabled={!chosen}
          onClick={() => {
            onAdd(chosen);
            setChosen('');
          }}
        >
          {say('calendar.add')}
        </Button>
      </div>
    </fieldset>
  );
}
