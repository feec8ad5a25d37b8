import { useQuery } from '@tanstack/react-query';
import { calendarFile, calendarQuery, useMakeAddress, useStopAddress } from '../api/calendar';
import { Button } from '../ui/button';
import { switchNotices, useNotices, type Notices } from '../ui/notices';
import { exactly } from '../ui/format-time';
import { Failure } from '../ui/states';

/** The round in a calendar of one's own, and notices of this browser. */
export function Reminders() {
  return (
    <section className="card-slab space-y-3" aria-label="Reminders">
      <h2 className="text-2xl">Reminders</h2>
      <CalendarAddressSlab />
      <p>
        <a className="link" href={calendarFile} download>
          Today as a calendar file
        </a>{' '}
        <span className="quiet text-sm">as it stands now; a file does not follow the weather.</span>
      </p>
      <BrowserNotices />
    </section>
  );
}

function CalendarAddressSlab() {
  const { data, error } = useQuery(calendarQuery);
  const make = useMakeAddress();
  const stop = useStopAddress();
  const address = make.data && `${window.location.origin}${make.data.path}`;
  const made = data?.madeAt;
  return (
    <div className="space-y-2">
      <p>
        A calendar that reads a secret address shows what is due and follows as windows move.
        {made !== undefined && ` Yours has one since ${exactly(made)}.`}
      </p>
      {address && (
        <label className="block text-sm font-semibold">
          Put this into your calendar. It is shown this once; whoever knows it can read what is due.
          <input
            className="input input-bordered mt-1 w-full font-mono text-sm"
            readOnly
            value={address}
            onFocus={(event) => event.target.select()}
          />
        </label>
      )}
      <div className="flex flex-wrap gap-2">
        <Button look="strong" disabled={make.isPending} onClick={() => make.mutate()}>
          {made === undefined ? 'Make an address' : 'Change it: the old one stops'}
        </Button>
        {made !== undefined && (
          <Button disabled={stop.isPending} onClick={() => stop.mutate(undefined, { onSuccess: () => make.reset() })}>
            Stop it
          </Button>
        )}
      </div>
      <Failure error={error ?? make.error ?? stop.error} />
    </div>
  );
}

const told: Record<Notices, string> = {
  on: 'This browser tells you when a window opens, while Dew Pot is open in it.',
  off: 'This browser can tell you when a window opens, while Dew Pot is open in it.',
  refused: 'This browser was told not to let Dew Pot notify; its settings can change that. Notices still come up here.',
  impossible: 'This browser cannot notify. Notices still come up here.',
};

function BrowserNotices() {
  const notices = useNotices();
  return (
    <div className="border-base-300 space-y-2 border-t pt-3">
      <p>{told[notices]}</p>
      {(notices === 'on' || notices === 'off') && (
        <Button aria-pressed={notices === 'on'} onClick={() => void switchNotices(notices === 'off')}>
          {notices === 'on' ? 'No notices from this browser' : 'Notices from this browser'}
        </Button>
      )}
    </div>
  );
}
