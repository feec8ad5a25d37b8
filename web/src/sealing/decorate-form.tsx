import { useState } from 'react';
import { distinct, exactly } from '@dewpot/core/units';
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
    ...distinct(props.casts.flatMap(({ life, dry }) => againstDecorating(life, dry.dryEnough, decoration, now))),
  ];
  const overridden = reason.trim();
  return (
    <div className="space-y-4">
      <Choice
        legend={say('sealing.withWhat')}
        options={decorationsInOrder.map((value) => ({ value, label: decorations[value].name }))}
        value={decoration}
        onChange={setDecoration}
      />
      <p>
        {say(how)}{' '}
        <span className="quiet">{say('sealing.dryIn', { dries: exactly(dries, 'h'), warmth: exactly(20, '°C') })}</span>
      </p>
      <label className="block text-sm font-semibold">
        {say('sealing.whichHow')}
        <input
          className="input input-bordered mt-1 h-12 w-full"
          value={note}
          maxLength={300}
          placeholder={say('sealing.whichHowHint')}
          onChange={({ target }) => setNote(target.value)}
        />
      </label>
      {against.length > 0 && (
        <OverrideField
          title={say('sealing.notNow')}
          reasons={against}
          label={say('casts.allTheSame')}
          reason={reason}
          onReason={setReason}
        />
      )}
      <DoneButton
        {...props}
        disabled={against.length > 0 && overridden === ''}
        said={say('sealing.decorationKept', { name: say(name) })}
        event={{
          type: 'decorated',
          decoration,
          ...(note.trim() && { note: note.trim() }),
          ...(against.length > 0 && { overridden }),
        }}
      >
        {say('sealing.decorationOn', { name: say(name) })}
      </DoneButton>
    </div>
  );
}
