import { useQuery } from '@tanstack/react-query';
import { CalendarDays } from 'lucide-react';
import { isSameDay } from 'date-fns';
import { Link } from 'react-router';
import { calendarPlanQuery } from '../api/orders';
import { whenOf } from '../ui/format-time';
import { piecesTold } from '../ui/pieces-told';
import { useSay } from '../ui/say';

/** What the plan wants poured today; nothing where there is no plan. */
export function PlannedToday({ now }: { now: number }) {
  const say = useSay();
  const { data } = useQuery(calendarPlanQuery);
  const lines = data?.lines ?? [];
  const today = (data?.plan?.sessions ?? []).filter(({ at }) => isSameDay(at, now));
  return today.map(({ at, poured }) => {
    const all = poured.flatMap(({ line, count }) => {
      const own = lines.find(({ id }) => id === line);
      return own ? [{ name: own.mould, count }] : [];
    });
    const pieces = piecesTold(all);
    if (pieces === '') return null;
    return (
      <Link
        key={at}
        to={`/pours/new?session=${at}`}
        className="bg-base-300/50 hover:bg-base-300 mb-2 flex min-h-14 items-center gap-2 px-3 py-1"
      >
        <CalendarDays size={20} aria-hidden="true" className="shrink-0" />
        {say('today.planPours', { when: whenOf(at, now), pieces })}
      </Link>
    );
  });
}
