import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { checksToCome, goneWays, type Gone } from '@dewpot/core/casts';
import { useUnits } from '../ui/units';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { CareNoteButton } from './care-note-button';
import { DoneButton } from '../ui/casts/done-button';
import { checkWords, goneWords } from '../ui/casts/seal-words';

/** Out of the door: kept, given or sold, with a note for its keeper. */
export function FinishForm(props: ActionProps) {
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
      {bare && <p>It goes out bare, without a sealer. That suits succulents and moss; inside a house it will mark.</p>}
      {untried.length > 0 && (
        <p className="border-accent border-l-4 pl-3">
          Not tried yet: {untried.map((check) => checkWords[check]).join(', ')}.
        </p>
      )}
      <Choice
        legend="It is"
        options={goneWays.map((value) => ({ value, label: goneWords[value] }))}
        value={gone}
        onChange={setGone}
      />
      {gone === 'sold' && (
        <label className="block text-sm font-semibold">
          For how much each, {currency} (may be left open)
          <input
            className={`input input-bordered mt-1 h-14 w-full ${wrong ? 'input-error' : ''}`}
            inputMode="decimal"
            value={price}
            onChange={(event) => setPrice(event.target.value)}
          />
          {wrong && <span className="text-error text-sm">Enter a price such as 35 or 12.50.</span>}
        </label>
      )}
      <label className="block text-sm font-semibold">
        Where does it go? (may be left open)
        <input
          className="input input-bordered mt-1 h-14 w-full"
          value={where}
          maxLength={120}
          onChange={(event) => setWhere(event.target.value)}
          placeholder="the raised beds, a neighbour, a stall"
        />
      </label>
      <CareNoteButton cast={defined(casts[0])} />
      <DoneButton
        {...props}
        disabled={wrong}
        said="Finished."
        event={{
          type: 'finished',
          gone,
          ...(where.trim() && { where: where.trim() }),
          ...(gone === 'sold' && price.trim() !== '' && { price: asked }),
        }}
      >
        Finish
      </DoneButton>
    </form>
  );
}
