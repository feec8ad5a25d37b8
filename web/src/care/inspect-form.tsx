import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { spots, spotWords, type Spot } from '@dewpot/core/casts';
import { Button } from '../ui/button';
import { BubblePatch } from '../ui/bubble-patch';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { useSay } from '../ui/say';

const grades = [1, 2, 3, 4, 5] as const;

/** Bubbles by face, one tap on the patch that looks like it; and the end of a cast that broke. */
export function InspectForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const [face, setFace] = useState<Spot>('face');
  const [how, setHow] = useState('');
  const codes = casts.map(({ code }) => code).join(', ');
  return (
    <div className="space-y-5">
      {defined(casts[0]).stage !== 'setting' && (
        <section className="space-y-2">
          <Choice
            legend="Bubbles: where?"
            options={spots.map((value) => ({ value, label: spotWords[value] }))}
            value={face}
            onChange={setFace}
          />
          <div
            className="flex flex-wrap gap-2"
            role="group"
            aria-label={`How many bubbles at the ${say(spotWords[face])}?`}
          >
            {grades.map((grade) => (
              <button
                key={grade}
                type="button"
                disabled={busy}
                className="hover:outline-secondary p-1 hover:outline-2"
                aria-label={`${grade} of 5`}
                onClick={() =>
                  record(
                    `Bubbles at the ${say(spotWords[face])}: ${grade} of 5.`,
                    casts.map((cast) => ({ cast, event: { type: 'bubbles' as const, face, grade } })),
                  )
                }
              >
                <BubblePatch grade={grade} />
              </button>
            ))}
          </div>
          <p className="quiet text-sm">Tap the patch that looks most like it.</p>
        </section>
      )}
      <form className="space-y-2" onSubmit={(event) => event.preventDefault()}>
        <label className="block text-sm font-semibold">
          Broken for good: how? (may be left open)
          <input
            className="input input-bordered mt-1 h-12 w-full"
            value={how}
            maxLength={300}
            placeholder="slipped, split in frost, fell apart"
            onChange={(event) => setHow(event.target.value)}
          />
        </label>
        <Button
          type="submit"
          disabled={busy}
          look="warning"
          size="tall"
          className="w-full"
          onClick={() =>
            record(
              `${codes} broken.`,
              casts.map((cast) => ({
                cast,
                event: { type: 'broken' as const, ...(how.trim() && { how: how.trim() }) },
              })),
            )
          }
        >
          {codes} broke
        </Button>
      </form>
    </div>
  );
}
