import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { FILM_TEST_HOURS, sealCheckWords, type SealCheck } from '@dewpot/core/sealing';
import { checksToCome } from '@dewpot/core/casts';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { useSay } from '../ui/say';

const spans = [8, 12, 16, 20, 24].map((value) => ({ value, label: `${value} h` }));

/** Clear film taped on: for those who have no scale. */
export function TestForm(props: ActionProps) {
  const [hours, setHours] = useState<number>(FILM_TEST_HOURS);
  const event = { type: 'film-tested' as const, hours };
  return (
    <div className="space-y-4">
      <p className="quiet">
        Clear film, taped down all round on the thickest place, out of the sun. After {FILM_TEST_HOURS} h look under it.
      </p>
      <Choice legend="How long was it on?" options={spans} value={hours} onChange={setHours} />
      <DoneButton {...props} said="No drops." event={{ ...event, drops: false }}>
        No drops under it
      </DoneButton>
      <DoneButton {...props} said="Still damp." event={{ ...event, drops: true }} look="strong" size="tall">
        Drops, or a dark patch
      </DoneButton>
    </div>
  );
}

/** Once the last coat is hard: does it keep water out? */
export function CheckForm(props: ActionProps) {
  const say = useSay();
  const wanted = checksToCome(defined(props.casts[0]).life);
  const all = Object.keys(sealCheckWords) as SealCheck[];
  const [check, setCheck] = useState<SealCheck>(wanted[0] ?? 'bead');
  const [note, setNote] = useState('');
  const event = { type: 'checked' as const, check, ...(note.trim() && { note: note.trim() }) };
  return (
    <div className="space-y-4">
      <Choice
        legend="Which one"
        options={all.map((value) => ({ value, label: sealCheckWords[value].name }))}
        value={check}
        onChange={setCheck}
      />
      <p>{say(sealCheckWords[check].how)}</p>
      <label className="block text-sm font-semibold">
        What was seen (may be left open)
        <input
          className="input input-bordered mt-1 h-12 w-full"
          value={note}
          maxLength={300}
          onChange={({ target }) => setNote(target.value)}
        />
      </label>
      <DoneButton {...props} said="It holds." event={{ ...event, held: true }}>
        It holds
      </DoneButton>
      <DoneButton {...props} said="Kept: it did not hold." event={{ ...event, held: false }} look="strong" size="tall">
        It does not: one more coat
      </DoneButton>
    </div>
  );
}
