import { toast } from '../toast';
import { sayError } from '../input-error-message';
import { v7 as uuid } from 'uuid';
import { useQueryClient } from '@tanstack/react-query';
import { appendEvent, appendPhoto } from '../../api/cast-writes';
import type { RecordedEvent } from './action-props';
import { useSay } from '../say';

/** Records what happened to casts, all at once, and offers to undo it. */
export function useRecord() {
  const say = useSay();
  const client = useQueryClient();
  const undo = async (made: readonly { castId: string; id: string }[]) => {
    try {
      for (const { castId, id } of [...made].reverse())
        await appendEvent(client, { castId, event: { id: uuid(), at: Date.now(), type: 'voided', event: id } });
      toast(say('ui.undone'));
    } catch (error) {
      toast.error(sayError(error, say));
    }
  };
  /** @throws ProblemFailure where one of them is refused; those before it are recorded. */
  return async (said: string, happened: readonly RecordedEvent[]): Promise<void> => {
    const made: { castId: string; id: string }[] = [];
    let waits = false;
    try {
      for (const { cast, event, photo } of happened) {
        const { id = uuid() } = event;
        const taken = await appendEvent(client, { castId: cast.id, event: { at: Date.now(), ...event, id } });
        waits = taken === undefined;
        made.push({ castId: cast.id, id });
        // What happened is on record without its photo too: that can be added on the cast's page.
        if (photo)
          await appendPhoto(client, { castId: cast.id, file: photo, eventId: id }).catch((error: unknown) =>
            toast.error(sayError(error, say)),
          );
      }
    } finally {
      const ways = { duration: 12_000, action: { label: say('ui.undo'), onClick: () => void undo(made) } };
      if (waits) toast(say('ui.keptHere', { said }), ways);
      else if (made.length === happened.length) toast.success(said, ways);
      else if (made.length > 0) toast(say('ui.keptSome', { made: made.length, happened: happened.length }), ways);
    }
  };
}
