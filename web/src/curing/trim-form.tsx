import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { dressings, type Dressing } from '@dewpot/core/casts';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { dressingWords } from '../ui/casts/event-words';

/** Grits in the order in which a face is stepped through them, wet. */
const grits = [60, 120, 220, 400, 800, 1500, 3000] as const;

const cautions: Partial<Record<Dressing, string>> = {
  grit: 'Wet, always: no dry dust, and do not blow it off.',
  'drain hole': 'Goggles; from the good face inward, so that what breaks out is not seen.',
  flashing: 'Goggles and gloves: edges are sharp.',
};

/** The next grit after the one that was reached. */
const nextGrit = (reached: number | undefined) =>
  grits.find((grit) => grit > (reached ?? 0)) ?? defined(grits[grits.length - 1]);

/** A short work on a piece out of its mould: one tap, a note where there is one. */
export function TrimForm({ casts, busy, record }: ActionProps) {
  const [work, setWork] = useState<Dressing>('flashing');
  const [grit, setGrit] = useState<number>(() => nextGrit(defined(casts[0]).life.grit));
  const [note, setNote] = useState('');
  return (
    <form className="space-y-4" onSubmit={(event) => event.preventDefault()}>
      <Choice
        legend="What was done?"
        options={dressings.map((value) => ({ value, label: dressingWords[value] }))}
        value={work}
        onChange={setWork}
      />
      {work === 'grit' && (
        <Choice
          legend="Up to which grit?"
          options={grits.map((value) => ({ value, label: String(value) }))}
          value={grit}
          onChange={setGrit}
        />
      )}
      <label className="block text-sm font-semibold">
        A note (may be left open)
        <input
          className="input input-bordered mt-1 h-12 w-full"
          value={note}
          maxLength={300}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      {cautions[work] && <p className="border-accent border-l-4 pl-3">{cautions[work]}</p>}
      <Button
        type="submit"
        disabled={busy}
        look="main"
        size="bench"
        className="w-full text-lg"
        onClick={() =>
          record(
            `${dressingWords[work]}.`,
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
        {dressingWords[work]}
      </Button>
    </form>
  );
}
