import { useState } from 'react';
import { decorations, decorationsInOrder, type Decoration } from '@dewpot/core/sealing';
import { againstDecorating } from '@dewpot/core/casts';
import { Choice } from '../ui/choice';
import { useNow } from '../ui/use-now';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { OverrideField } from '../ui/casts/override-field';
import { useSay } from '../ui/say';

/** Paint, wash, powder, foil, label, dye: on a piece dry enough for it, in its order with the sealer. */
export function DecorateForm(props: ActionProps) {
  const say = useSay();
  const now = useNow();
  const [decoration, setDecoration] = useState<Decoration>('paint');
  const [note, setNote] = useState('');
  const [reason, setReason] = useState('');
  const { name, how, dries } = decorations[decoration];
  const against = [
    ...new Set(props.casts.flatMap(({ life, dry }) => againstDecorating(life, dry.dryEnough, decoration, now))),
  ];
  const overridden = reason.trim();
  return (
    <div className="space-y-4">
      <Choice
        legend="With"
        options={decorationsInOrder.map((value) => ({ value, label: decorations[value].name }))}
        value={decoration}
        onChange={setDecoration}
      />
      <p>
        {say(how)} <span className="quiet">Dry in {dries} h at 20 °C.</span>
      </p>
      <label className="block text-sm font-semibold">
        Which, and how (may be left open)
        <input
          className="input input-bordered mt-1 h-12 w-full"
          value={note}
          maxLength={300}
          placeholder="two coats of grey milk paint"
          onChange={({ target }) => setNote(target.value)}
        />
      </label>
      {against.length > 0 && (
        <OverrideField
          title="not now"
          reasons={against}
          label="Do it all the same, because"
          reason={reason}
          onReason={setReason}
        />
      )}
      <DoneButton
        {...props}
        disabled={against.length > 0 && overridden === ''}
        said={`${say(name)}: kept.`}
        event={{
          type: 'decorated',
          decoration,
          ...(note.trim() && { note: note.trim() }),
          ...(against.length > 0 && { overridden }),
        }}
      >
        {say(name)} is on
      </DoneButton>
    </div>
  );
}
