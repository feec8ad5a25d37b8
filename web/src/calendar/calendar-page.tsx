import { useMemo, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { DAY } from '@dewpot/core/units';
import { casterWeek, slotsOf } from '@dewpot/core/calendar';
import type { CalendarTodayView } from '@dewpot/contract';
import { calendarPlanQuery } from '../api/orders';
import { Button } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { Busy, Empty, Failure } from '../ui/states';
import { linesAsked, type LineAsked } from '../ui/order-address';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';
import { useWide } from '../ui/use-wide';
import { CalendarExports } from './calendar-exports';
import { DaysAhead } from './days-ahead';
import { HelpSlab } from './help-slab';
import { OrderEditor } from './order-editor';
import { firstOrder } from './order-draft';
import { OrdersSlab } from './orders-slab';
import { Moved, PlanState } from './plan-state';
import { Rail } from './rail';
import { SessionDialog } from './session-dialog';
import { useCalendarData, type CalendarKnown } from './use-calendar-data';
import { usePlanner } from './use-planner';
import { Verdict } from './verdict';
import { WeekEditor } from './week-editor';

/** What to pour on which evening, so that it is ready by the day. */
export function CalendarPage() {
  const say = useSay();
  const { known, error, isPending } = useCalendarData();
  const kept = useQuery(calendarPlanQuery);
  if (isPending || kept.isPending) return <Busy what={say('calendar.busy')} />;
  if (!known || !kept.data) return <Failure error={error ?? kept.error} />;
  return <Calendar known={known} kept={kept.data} asking={kept.isFetching} />;
}

/** Half a year of evenings is looked at. */
const AHEAD = 182 * DAY;

type Editing =
  { readonly what: 'order'; readonly id?: string; readonly lines?: readonly LineAsked[] } | { readonly what: 'week' };

function Calendar({ known, kept, asking }: { known: CalendarKnown; kept: CalendarTodayView; asking: boolean }) {
  const say = useSay();
  const wide = useWide();
  const now = useNow();
  const [search, setSearch] = useSearchParams();
  const [asked] = useState(() => linesAsked(search));
  const [editing, setEditing] = useState<Editing | undefined>(
    asked.length > 0 ? { what: 'order', lines: asked } : undefined,
  );
  const [opened, setOpened] = useState<number>();
  const planner = usePlanner(known.data, kept.plan, asking);
  const { facts } = known.data;
  const slots = useMemo(() => slotsOf(facts.weeks.map(casterWeek), facts.now, facts.now + AHEAD, facts.zone), [facts]);
  const { judged, sessions } = planner;
  const breached = new Set(judged?.breaches.flatMap(({ at }) => at ?? []));
  const close = () => {
    setEditing(undefined);
    if (search.has('mould')) setSearch({}, { replace: true });
  };
  return (
    <div className="mx-auto max-w-[96rem] p-4">
      <PageHead title={say('shell.calendar')}>
        {known.lines.length > 0 && (
          <Button look="main" disabled={planner.looking !== undefined} onClick={planner.planAnew}>
            {say('calendar.planAnew')}
          </Button>
        )}
        <Button needs="caster" onClick={() => setEditing({ what: 'order' })}>
          {say('calendar.addOrder')}
        </Button>
        <Button needs="caster" onClick={() => setEditing({ what: 'week' })}>
          {say('calendar.yourWeek')}
        </Button>
        {judged && <CalendarExports known={known} plan={judged.plan} />}
      </PageHead>
      {known.lines.length === 0 && known.orders.every(({ closed }) => closed) ? (
        <Empty title={say('calendar.nothingOrdered')}>
          <p>{say('calendar.whatForIt')}</p>
          <Button needs="caster" look="main" size="own" onClick={() => setEditing({ what: 'order' })}>
            {say('calendar.addOrder')}
          </Button>
        </Empty>
      ) : (
        <>
          <Verdict
            known={known}
            planner={planner}
            madeAt={kept.plan?.madeAt}
            now={now}
            onWeek={() => setEditing({ what: 'week' })}
          />
          <PlanState known={known} planner={planner} now={now} />
          {judged && wide && (
            <Rail
              {...{ known, sessions, slots, breached, now: facts.now }}
              plan={judged.plan}
              onMove={planner.move}
              onOpen={setOpened}
            />
          )}
          <Moved known={known} planner={planner} now={now} />
          <div className="mt-4 grid items-start gap-4 lg:grid-cols-3">
            {judged && <DaysAhead known={known} plan={judged.plan} now={now} onOpen={setOpened} />}
            <OrdersSlab known={known} plan={judged?.plan} onEdit={(id) => setEditing({ what: 'order', id })} />
            <HelpSlab help={planner.help} planner={planner} />
          </div>
        </>
      )}
      {editing?.what === 'order' && (
        <OrderEditor first={firstOrder(known, editing.id, editing.lines)} known={known} onClose={close} />
      )}
      {editing?.what === 'week' && <WeekEditor onClose={close} />}
      {opened !== undefined && judged && (
        <SessionDialog
          {...{ known, planner, slots, now }}
          at={opened}
          plan={judged.plan}
          onClose={() => setOpened(undefined)}
        />
      )}
    </div>
  );
}
