import { useState } from 'react';
import { canUndo, standing } from '@dewpot/core/casts';
import type { CastDetail } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { useCastEvent, useWaitingEvents } from '../api/cast-writes';
import { Button } from '../ui/button';
import { exactTime, whenOf } from '../ui/format-time';
import { PhotoRoomNote } from '../ui/photo-room';
import { Failure } from '../ui/states';
import { EventPictures, PhotoButton } from './cast-pictures';
import { tellEvent, tellTold } from '../ui/casts/event-words';
import { useSay } from '../ui/say';

/** Everything that happened to a cast, the newest first. A mistake is undone by another entry, and can be seen. */
export function CastRecord({ cast, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
  const undo = useCastEvent();
  const [all, setAll] = useState(false);
  const waiting = useWaitingEvents()([cast.id]);
  const stands = new Set(standing(cast.events).map(({ id }) => id));
  const undone = cast.events.filter(({ id, type }) => type !== 'voided' && !stands.has(id)).length;
  const shown = cast.events
    .filter(({ id }) => all || stands.has(id))
    .sort((a, b) => b.at - a.at || (a.id < b.id ? 1 : -1));
  return (
    <section className="card-slab" aria-label={say('casts.record')}>
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-xl">{say('casts.record')}</h2>
        {undone > 0 && (
          <button type="button" className="link text-sm" onClick={() => setAll(!all)}>
            {all ? say('casts.hideUndone') : say('casts.showUndone', { undone })}
          </button>
        )}
      </div>
      <Failure error={undo.error} />
      <PhotoRoomNote />
      <ol className="divide-base-300 divide-y">
        {waiting.map((event) => (
          <li key={event.id} className="border-accent border-l-4 py-1.5 pl-3">
            {tellTold(event, say)} <span className="quiet text-sm">{say('casts.unsent')}</span>
          </li>
        ))}
        {shown.map((event) => (
          <li
            key={event.id}
            className="grid grid-cols-[5.5rem_minmax(0,1fr)_auto] sm:grid-cols-[7.5rem_minmax(0,1fr)_auto] items-center gap-3 py-1.5"
          >
            <time
              className="quiet text-sm"
              title={say(exactTime(event.at))}
              dateTime={new Date(event.at).toISOString()}
            >
              {say(whenOf(event.at, now))}
            </time>
            <span className={stands.has(event.id) || event.type === 'voided' ? '' : 'line-through opacity-70'}>
              {tellEvent(event, say)}
              <EventPictures castId={cast.id} pictures={cast.pictures.filter(({ eventId }) => eventId === event.id)} />
            </span>
            {stands.has(event.id) && canUndo(event) ? (
              <span className="flex items-center">
                <PhotoButton castId={cast.id} eventId={event.id} of={tellEvent(event, say)} />
                <Button
                  needs="helper"
                  look="plain"
                  size="low"
                  className="px-3 text-sm"
                  disabled={undo.isPending}
                  aria-label={say('casts.undoEvent', {
                    event: tellEvent(event, say),
                    event2: say(whenOf(event.at, now)),
                  })}
                  onClick={() =>
                    undo.mutate({
                      castId: cast.id,
                      event: { id: uuid(), at: Date.now(), type: 'voided', event: event.id },
                    })
                  }
                >
                  {say('ui.undo')}
                </Button>
              </span>
            ) : (
              <span className="h-11" />
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
