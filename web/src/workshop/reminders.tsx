import { msg, type Message } from '@dewpot/core/units';
import { useQuery } from '@tanstack/react-query';
import { calendarFile, calendarQuery, useMakeAddress, useStopAddress } from '../api/calendar';
import { Button } from '../ui/button';
import { switchNotices, useNotices, type Notices } from '../ui/notices';
import { exactTime } from '../ui/format-time';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { ShownOnce } from './shown-once';

/** The round in a calendar of one's own, and notices of this browser. */
export function Reminders() {
  const say = useSay();
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.reminders')}>
      <h2 className="text-2xl">{say('workshop.reminders')}</h2>
      <CalendarAddressSlab />
      <p>
        <a className="link" href={calendarFile} download>
          {say('workshop.todayCalendar')}
        </a>{' '}
        <span className="quiet text-sm">{say('workshop.asStandsNow')}</span>
      </p>
      <BrowserNotices />
    </section>
  );
}

function CalendarAddressSlab() {
  const say = useSay();
  const { data, error } = useQuery(calendarQuery);
  const make = useMakeAddress();
  const stop = useStopAddress();
  const address = make.data && `${window.location.origin}${make.data.path}`;
  const made = data?.madeAt;
  return (
    <div className="space-y-2">
      <p>
        {say('workshop.secretAddress', {
          made: made === undefined ? '' : say('workshop.yoursSince', { made: exactTime(made) }),
        })}
      </p>
      {address && <ShownOnce label={say('workshop.putInCalendar')} value={address} />}
      <div className="flex flex-wrap gap-2">
        <Button look="strong" disabled={make.isPending} onClick={() => make.mutate()}>
          {made === undefined ? say('workshop.makeAddress') : say('workshop.changeAddress')}
        </Button>
        {made !== undefined && (
          <Button disabled={stop.isPending} onClick={() => stop.mutate(undefined, { onSuccess: () => make.reset() })}>
            {say('workshop.stopAddress')}
          </Button>
        )}
      </div>
      <Failure error={error ?? make.error ?? stop.error} />
    </div>
  );
}

const told: Record<Notices, Message> = {
  on: msg('workshop.noticesOn'),
  off: msg('workshop.noticesCan'),
  refused: msg('workshop.noticesRefused'),
  impossible: msg('workshop.noticesImpossible'),
};

function BrowserNotices() {
  const say = useSay();
  const notices = useNotices();
  return (
    <div className="border-base-300 space-y-2 border-t pt-3">
      <p>{say(told[notices])}</p>
      {(notices === 'on' || notices === 'off') && (
        <Button aria-pressed={notices === 'on'} onClick={() => void switchNotices(notices === 'off')}>
          {notices === 'on' ? say('workshop.noNotices') : say('workshop.notices')}
        </Button>
      )}
    </div>
  );
}
