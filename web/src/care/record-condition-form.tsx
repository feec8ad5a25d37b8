import { useState } from 'react';
import { cameLater, type CameLater } from '@dewpot/core/casts';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { laterWords } from '../ui/casts/seal-words';
import { useSay } from '../ui/say';

/** Asked once, when there is something to tell: what became of a piece that went out. */
export function RecordConditionForm(props: ActionProps) {
  const say = useSay();
  const [came, setCame] = useState<CameLater>('well');
  const [note, setNote] = useState('');
  return (
    <div className="space-y-4">
      <Choice
        legend={say('care.howLast')}
        options={cameLater.map((value) => ({ value, label: laterWords[value] }))}
        value={came}
        onChange={setCame}
      />
      <label className="block text-sm font-semibold">
        {say('care.fewWords')}
        <input
          className="input input-bordered mt-1 h-12 w-full"
          value={note}
          maxLength={300}
          onChange={({ target }) => setNote(target.value)}
        />
      </label>
      <DoneButton
        {...props}
        said={say('care.keptRecord')}
        event={{ type: 'came-later', came, ...(note.trim() && { note: note.trim() }) }}
      >
        {say('care.keep')}
      </DoneButton>
    </div>
  );
}
