import { useState } from 'react';
import { msg, type Message } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { dressings, type Dressing } from '@dewpot/core/casts';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { dressingWords } from '../ui/casts/event-words';
import { useSay } from '../ui/say';

/** Grits in the order in which a face is stepped through them, wet. */
const grits = [60, 120, 220, 400, 800, 1500, 3000] as const;

const cautions: Partial<Record<Dressing, Message>> = {
  grit: msg('curing.wetAlways'),
  'drain hole': msg('curing.gogglesInward'),
  flashing: msg('curing.gogglesGloves'),
};

/** The next grit after the one that was reached. */
const nextGrit = (reached: number | undefined) =>
  grits.find((grit) => grit > (reached ?? 0)) ?? defined(grits[grits.length - 1]);

/** A short work on a piece out of its mould: one tap, a note where there is one. */
export function TrimForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const [work, setWork] = useState<Dressing>('flashing');
  const [grit, setGrit] = useState<number>(() => nextGrit(defined(casts[0]).life.grit));
  const caution = cautions[work];
  const [note, setNote] = useState('');
  return (
    <form className="space-y-4" onSubmit={(event) => event.preventDefault()}>
      <Choice
        legend={say('curing.whatDone')}
        options={dressings.map((value) => ({ value, label: dressingWords[value] }))}
        value={work}
        onChange={setWork}
      />
      {work === 'grit' && (
        <Choice
          legend={say('curing.whichGrit')}
          options={grits.map((value) => ({ value, label: String(value) }))}
          value={grit}
          onChange={setGrit}
        />
      )}
      <label className="block text-sm font-semibold">
        {say('curing.noteOpen')}
        <input
          className="input input-bordered mt-1 h-12 w-full"
          value={note}
          maxLength={300}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      {caution && <p className="border-accent border-l-4 pl-3">{say(caution)}</p>}
      <Button
        type="submit"
        disabled={busy}
        look="main"
        size="bench"
        className="w-full text-lg"
        onClick={() =>
          record(
            `${say(dressingWords[work])}.`,
            casts.map((cast) => ({
              cast,
              event: {
                type: 'dressed' as const,
                work,
                ...(work === 'grit' && { grit }),
                ...(note.trim() && { note: note.trim() }),
              },
            })),
          )
        }
      >
        {say(dressingWords[work])}
      </Button>
    </form>
  );
}
