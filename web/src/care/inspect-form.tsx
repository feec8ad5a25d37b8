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
            legend={say('care.bubblesWhere')}
            options={spots.map((value) => ({ value, label: spotWords[value] }))}
            value={face}
            onChange={setFace}
          />
          <div
            className="flex flex-wrap gap-2"
            role="group"
            aria-label={say('care.bubblesHowMany', { spotWords: say(spotWords[face]) })}
          >
            {grades.map((grade) => (
              <button
                key={grade}
                type="button"
                disabled={busy}
                className="hover:outline-secondary p-1 hover:outline-2"
                aria-label={say('care.ofFive', { grade })}
                onClick={() =>
                  record(
                    say('care.bubblesRecorded', { spotWords: say(spotWords[face]), grade }),
                    casts.map((cast) => ({ cast, event: { type: 'bubbles' as const, face, grade } })),
                  )
                }
              >
                <BubblePatch grade={grade} />
              </button>
            ))}
          </div>
          <p className="quiet text-sm">{say('care.tapPatch')}</p>
        </section>
      )}
      <form className="space-y-2" onSubmit={(event) => event.preventDefault()}>
        <label className="block text-sm font-semibold">
          {say('care.brokenHow')}
          <input
            className="input input-bordered mt-1 h-12 w-full"
            value={how}
            maxLength={300}
            placeholder={say('care.brokenExample')}
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
              say('care.codesBroken', { codes }),
              casts.map((cast) => ({
                cast,
                event: { type: 'broken' as const, ...(how.trim() && { how: how.trim() }) },
              })),
            )
          }
        >
          {say('care.codesBroke', { codes })}
        </Button>
      </form>
    </div>
  );
}
