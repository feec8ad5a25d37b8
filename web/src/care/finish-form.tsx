import { useState } from 'react';
import { listed } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { checksToCome, goneWays, type Gone } from '@dewpot/core/casts';
import { useUnits } from '../ui/units';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { CareNoteButton } from './care-note-button';
import { DoneButton } from '../ui/casts/done-button';
import { checkWords, goneWords } from '../ui/casts/seal-words';
import { useSay } from '../ui/say';

/** Out of the door: kept, given or sold, with a note for its keeper. */
export function FinishForm(props: ActionProps) {
  const say = useSay();
  const { casts } = props;
  const { currency } = useUnits();
  const [gone, setGone] = useState<Gone>('kept');
  const [where, setWhere] = useState('');
  const [price, setPrice] = useState('');
  const bare = casts.some(({ life }) => life.coats.length === 0 && !life.sealPlan);
  const untried = checksToCome(defined(casts[0]).life);
  const asked = Number(price.replace(',', '.'));
  const wrong = gone === 'sold' && price.trim() !== '' && !(asked >= 0);
  return (
    <form className="space-y-3" onSubmit={(event) => event.preventDefault()}>
      {bare && <p>{say('care.goesBare')}</p>}
      {untried.length > 0 && (
        <p className="border-accent border-l-4 pl-3">
          {say('care.notTried', { untried: listed(untried.map((check) => checkWords[check])) })}
        </p>
      )}
      <Choice
        legend={say('care.itIs')}
        options={goneWays.map((value) => ({ value, label: goneWords[value] }))}
        value={gone}
        onChange={setGone}
      />
      {gone === 'sold' && (
        <label className="block text-sm font-semibold">
          {say('care.priceEach', { currency })}
          <input
            className={`input input-bordered mt-1 h-14 w-full ${wrong ? 'input-error' : ''}`}
            inputMode="decimal"
            value={price}
            onChange={(event) => setPrice(event.target.value)}
          />
          {wrong && <span className="text-error text-sm">{say('care.priceWrong')}</span>}
        </label>
      )}
      <label className="block text-sm font-semibold">
        {say('care.whereGoes')}
        <input
          className="input input-bordered mt-1 h-14 w-full"
          value={where}
          maxLength={120}
          onChange={(event) => setWhere(event.target.value)}
          placeholder={say('care.whereExample')}
        />
      </label>
      <CareNoteButton cast={defined(casts[0])} />
      <DoneButton
        {...props}
        disabled={wrong}
        said={say('care.finished')}
        event={{
          type: 'finished',
          gone,
          ...(where.trim() && { where: where.trim() }),
          ...(gone === 'sold' && price.trim() !== '' && { price: asked }),
        }}
      >
        {say('care.finish')}
      </DoneButton>
    </form>
  );
}
