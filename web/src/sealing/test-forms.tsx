import { useState } from 'react';
import { exactly } from '@dewpot/core/units';
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
  const say = useSay();
  const [hours, setHours] = useState<number>(FILM_TEST_HOURS);
  const event = { type: 'film-tested' as const, hours };
  return (
    <div className="space-y-4">
      <p className="quiet">{say('sealing.filmHow', { filmTestHours: exactly(FILM_TEST_HOURS, 'h') })}</p>
      <Choice legend={say('sealing.howLongOn')} options={spans} value={hours} onChange={setHours} />
      <DoneButton {...props} said={say('sealing.noDrops')} event={{ ...event, drops: false }}>
        {say('sealing.noDropsUnder')}
      </DoneButton>
      <DoneButton
        {...props}
        said={say('sealing.stillDamp')}
        event={{ ...event, drops: true }}
        look="strong"
        size="tall"
      >
        {say('sealing.dropsPatch')}
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
        legend={say('sealing.whichOne')}
        options={all.map((value) => ({ value, label: sealCheckWords[value].name }))}
        value={check}
        onChange={setCheck}
      />
      <p>{say(sealCheckWords[check].how)}</p>
      <label className="block text-sm font-semibold">
        {say('sealing.whatSeen')}
        <input
          className="input input-bordered mt-1 h-12 w-full"
          value={note}
          maxLength={300}
          onChange={({ target }) => setNote(target.value)}
        />
      </label>
      <DoneButton {...props} said={say('sealing.itHoldsTold')} event={{ ...event, held: true }}>
        {say('sealing.itHolds')}
      </DoneButton>
      <DoneButton
        {...props}
        said={say('sealing.keptNotHeld')}
        event={{ ...event, held: false }}
        look="strong"
        size="tall"
      >
        {say('sealing.doesNotHold')}
      </DoneButton>
    </div>
  );
}
