import { useState } from 'react';
import { cameLater, type CameLater } from '@dewpot/core/casts';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { laterWords } from '../ui/casts/seal-words';

/** Asked once, when there is something to tell: what became of a piece that went out. */
export function RecordConditionForm(props: ActionProps) {
  const [came, setCame] = useState<CameLater>('well');
  const [note, setNote] = useState('');
  return (
    <div className="space-y-4">
      <Choice
        legend="How did it last?"
        options={cameLater.map((value) => ({ value, label: laterWords[value] }))}
        value={came}
        onChange={setCame}
      />
      <label className="block text-sm font-semibold">
        In a few words (may be left open)
        <input
          className="input input-bordered mt-1 h-12 w-full"
          value={note}
          maxLength={300}
          onChange={({ target }) => setNote(target.value)}
        />
      </label>
      <DoneButton
        {...props}
        said="Kept with its record."
        event={{ type: 'came-later', came, ...(note.trim() && { note: note.trim() }) }}
      >
        Save
      </DoneButton>
    </div>
  );
}
