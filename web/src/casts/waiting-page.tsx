import { isEvent, isPhoto, type CastEventSent, type CastPhotoSent } from '../api/cast-writes';
import { useRefusedWrites, useWaitingWrites, type OwnWrite } from '../api/waiting';
import { tellTold } from '../ui/casts/event-words';
import { exactTime, whenOf } from '../ui/format-time';
import { PageHead } from '../ui/page-head';
import { useSay } from '../ui/say';
import { useNow } from '../ui/use-now';
import { CastLink } from './cast-link';
import { RefusedSlab } from './refused-slab';
import { WaitingPhoto } from './waiting-photo';

/** What was recorded on this device and is not on record yet: what waits, and what the server did not take. */
export function WaitingPage() {
  const say = useSay();
  const waiting = useWaitingWrites();
  const refused = useRefusedWrites();
  return (
    <div className="mx-auto max-w-4xl space-y-4 p-4">
      <PageHead title={say('casts.notSentYet')} />
      {waiting.length + refused.length === 0 && <p className="card-slab">{say('casts.allSent')}</p>}
      {together(refused).map((writes) => (
        <RefusedSlab key={writes[0]?.id} writes={writes} />
      ))}
      {waiting.length > 0 && (
        <section className="card-slab" aria-label={say('casts.waitsForConnection')}>
          <h2 className="text-2xl">{say('casts.waitsForConnection')}</h2>
          <p className="quiet mb-2">{say('casts.waitsHow')}</p>
          <ol className="divide-base-300 divide-y">
            {waiting.map((write) => (
              <WaitingRow key={write.id} write={write} />
            ))}
          </ol>
        </section>
      )}
    </div>
  );
}

/** Photos stand with the event that they show, where that one was refused too. */
function together(writes: readonly OwnWrite[]): OwnWrite[][] {
  const shown = (photo: OwnWrite) =>
    writes.filter(isEvent).find(({ sent }) => isPhoto(photo) && sent.event.id === photo.sent.eventId);
  return writes
    .filter((write) => !shown(write))
    .map((write) => [write, ...writes.filter((photo) => shown(photo)?.id === write.id)]);
}

function WaitingRow({ write }: { write: OwnWrite }) {
  return isEvent(write) ? <EventRow {...write.sent} /> : isPhoto(write) && <PhotoRow {...write.sent} />;
}

const EventRow = ({ castId, event }: CastEventSent) => (
  <Row castId={castId} at={event.at} what={tellTold(event, useSay())} />
);

const PhotoRow = ({ castId, at, photoId }: CastPhotoSent) => (
  <Row castId={castId} at={at} what={useSay()('casts.aPhoto')}>
    <WaitingPhoto id={photoId} />
  </Row>
);

function Row({ castId, at, what, children }: { castId: string; at: number; what: string; children?: React.ReactNode }) {
  const say = useSay();
  const now = useNow();
  return (
    <li className="grid grid-cols-[5.5rem_minmax(0,1fr)] items-center gap-3 py-2 sm:grid-cols-[7.5rem_minmax(0,1fr)]">
      <time className="quiet text-sm" title={say(exactTime(at))} dateTime={new Date(at).toISOString()}>
        {say(whenOf(at, now))}
      </time>
      <span>
        <CastLink id={castId} /> {what}
        {children}
      </span>
    </li>
  );
}
