import { useState } from 'react';
import { contender, type CastEvent } from '@dewpot/core/casts';
import { useQuery } from '@tanstack/react-query';
import { isEvent, isPhoto, useSettle } from '../api/cast-writes';
import { castQuery } from '../api/casts';
import { refusalOf, type OwnWrite } from '../api/waiting';
import { Button } from '../ui/button';
import { tellEvent, tellTold } from '../ui/casts/event-words';
import { whenOf } from '../ui/format-time';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { CastLink } from './cast-link';
import { WaitingPhoto } from './waiting-photo';

const castOf = (write: OwnWrite) => (isEvent(write) || isPhoto(write) ? write.sent.castId : '');

/** Something that was recorded here and could not be taken: beside it what is on record instead. Whoever recorded it settles which stands. */
export function RefusedSlab({ writes }: { writes: readonly OwnWrite[] }) {
  const say = useSay();
  const [first] = writes;
  const castId = first ? castOf(first) : '';
  const { data: cast, error } = useQuery({ ...castQuery(castId), retry: false, refetchOnMount: 'always' });
  const own = writes.find(isEvent)?.sent.event;
  const theirs = cast && own && contender(own, cast.events);
  const problem = first && refusalOf(first);
  const reasons = problem?.errors?.map(({ message, remedy }) => `${message} ${remedy}`) ?? [];
  return (
    <section className="card-slab space-y-3" aria-label={say('casts.notTaken')}>
      <h2 className="text-2xl">
        {say('casts.notTaken')}: <CastLink id={castId} />
      </h2>
      <p>{reasons.length > 0 ? reasons.join(' ') : (problem?.detail ?? say('casts.photoLost'))}</p>
      <div className="grid gap-3 sm:grid-cols-2">
        <Side title={say('casts.recordedHere')} at={own?.at}>
          {own ? tellTold(own, say) : say('casts.aPhoto')}
          {writes.filter(isPhoto).map(({ id, sent }) => (
            <WaitingPhoto key={id} id={sent.photoId} />
          ))}
        </Side>
        <Side title={say('casts.onRecord')} at={theirs?.at}>
          {theirs ? tellEvent(theirs, say) : say('casts.nothingLikeIt')}
        </Side>
      </div>
      <Settling writes={writes} theirs={theirs} castId={castId} gone={cast === undefined} />
      {!problem && <Failure error={error} />}
    </section>
  );
}

function Side({ title, at, children }: { title: string; at: number | undefined; children: React.ReactNode }) {
  const say = useSay();
  const now = useNow();
  return (
    <section className="border-base-300 border p-3" aria-label={title}>
      <h3 className="quiet font-sans text-sm font-semibold">{title}</h3>
      {at !== undefined && <p className="quiet text-sm">{say(whenOf(at, now))}</p>}
      <p className="text-lg">{children}</p>
    </section>
  );
}

interface SettlingProps {
  readonly writes: readonly OwnWrite[];
  readonly castId: string;
  readonly theirs: CastEvent | undefined;
  /** The cast is not here any more. */
  readonly gone: boolean;
}

/** The choice between the two. */
function Settling({ writes, castId, theirs, gone }: SettlingProps) {
  const say = useSay();
  const { again, drop } = useSettle();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const settle = (work: () => Promise<void>) => {
    setBusy(true);
    setError(undefined);
    work()
      .catch(setError)
      .finally(() => setBusy(false));
  };
  return (
    <>
      <div className="flex flex-wrap gap-2">
        <Button look="strong" disabled={busy} onClick={() => settle(() => drop(writes))}>
          {say(theirs ? 'casts.keepTheirs' : 'casts.letGo')}
        </Button>
        {!gone && (
          <Button disabled={busy} onClick={() => settle(() => again(writes, theirs && { castId, event: theirs.id }))}>
            {say(theirs ? 'casts.takeMine' : 'casts.sendAgain')}
          </Button>
        )}
      </div>
      <Failure error={error} />
    </>
  );
}
