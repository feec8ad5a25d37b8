import { DAY } from '@dewpot/core/units';
import type { CalendarPlan } from '@dewpot/core/calendar';
import { Download } from 'lucide-react';
import { calendarFile } from '../api/calendar';
import { makeCalendarPaper, PaperButton } from '../paper';
import { Button, buttonClass } from '../ui/button';
import { saveFile } from '../ui/save-file';
import { useSay } from '../ui/say';
import { calendarCsv, paperDays } from './calendar-rows';
import type { CalendarKnown } from './use-calendar-data';

const WEEK = 7 * DAY;

/** The plan taken out: a week or all of it on paper, as a file for calendars, as a table. */
export function CalendarExports({ known, plan }: { known: CalendarKnown; plan: CalendarPlan }) {
  const say = useSay();
  const { now } = known.data.facts;
  return (
    <details className="dropdown dropdown-end">
      <summary className={buttonClass()}>
        <Download size={18} aria-hidden="true" /> {say('calendar.takeOut')}
      </summary>
      <div className="dropdown-content bg-base-100 border-base-300 z-20 mt-1 flex w-72 flex-col gap-2 border p-3 shadow-lg">
        <PaperButton
          name={say('calendar.weekOnPaper')}
          file="week"
          make={(ways) => makeCalendarPaper(paperDays(known, plan, say, now + WEEK), ways)}
        />
        <PaperButton
          name={say('calendar.allOnPaper')}
          file="calendar"
          make={(ways) => makeCalendarPaper(paperDays(known, plan, say), ways)}
        />
        <a href={calendarFile} download className={buttonClass()}>
          {say('calendar.asFeed')}
        </a>
        <Button onClick={() => saveFile('calendar.csv', calendarCsv(known, plan, say), 'text/csv')}>
          {say('calendar.asCsv')}
        </Button>
      </div>
    </details>
  );
}
