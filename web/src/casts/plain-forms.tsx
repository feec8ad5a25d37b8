import { useState } from 'react';
import type { ActionProps } from './cast-actions';
import { DoneButton } from './done-button';

/** A wetting in the damp cure. */
export const WetForm = (props: ActionProps) => (
  <DoneButton {...props} said="Wetted." event={{ type: 'wetted' }}>
    Wetted just now
  </DoneButton>
);

/** The end of the damp cure. */
export function UncoverForm(props: ActionProps) {
  return (
    <div className="space-y-3">
      <p className="quiet">
        From now on it dries. Weigh it today and then once a day: after three weighings you are told when it can be
        sealed.
      </p>
      <DoneButton {...props} said="Uncovered: drying begins." event={{ type: 'uncovered' }}>
        Uncovered just now
      </DoneButton>
    </div>
  );
}

/** Out of the door: planted, placed, given, sold. */
export function PutOutForm({ casts, busy, record }: ActionProps) {
  const [where, setWhere] = useState('');
  const bare = casts.some(({ life }) => life.coats.length === 0);
  return (
    <form className="space-y-3" onSubmit={(event) => event.preventDefault()}>
      {bare && <p>It goes out bare, without a sealer. That suits succulents and moss; inside a house it will mark.</p>}
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
      <button
        type="submit"
        disabled={busy}
        className="btn btn-primary h-16 w-full text-lg"
        onClick={() =>
          record(
            'Put out.',
            casts.map((cast) => ({
              cast,
              event: { type: 'put-out' as const, ...(where.trim() && { where: where.trim() }) },
            })),
          )
        }
      >
        Put out
      </button>
    </form>
  );
}
