import { useId, useState } from 'react';
import { format } from 'date-fns';
import { MINUTE } from '@dewpot/core/units';
import { Button } from './button';
import { useNow } from './use-now';
import { useSay } from './say';

const LOCAL = "yyyy-MM-dd'T'HH:mm";

/** When something happened: just now, unless it is moved back. `undefined` stands for now. */
export function WhenField({
  value,
  earliest,
  onChange,
}: {
  value: number | undefined;
  /** Before this it cannot have happened, ms. */
  earliest?: number;
  onChange: (at: number | undefined) => void;
}) {
  const say = useSay();
  const id = useId();
  const now = useNow();
  const [open, setOpen] = useState(false);
  if (!open) {
    return (
      <p className="text-sm">
        {say('ui.justNowTold')}{' '}
        <button type="button" className="link min-h-11" onClick={() => setOpen(true)}>
          {say('ui.itWasEarlier')}
        </button>
      </p>
    );
  }
  const future = value !== undefined && value > now + MINUTE;
  const before = value !== undefined && earliest !== undefined && value < earliest;
  const wrong = future ? say('ui.inFuture') : before ? say('ui.beforePour') : undefined;
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {say('ui.itHappened')}
      </label>
      <div className="flex gap-2">
        <input
          id={id}
          type="datetime-local"
          className={`input input-bordered h-12 flex-1 ${wrong ? 'input-error' : ''}`}
          aria-invalid={wrong !== undefined}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          max={format(now, LOCAL)}
          value={format(value ?? now, LOCAL)}
          onChange={(event) => {
            const at = new Date(event.target.value).getTime();
            if (Number.isFinite(at)) onChange(at);
          }}
        />
        <Button
          onClick={() => {
            setOpen(false);
            onChange(undefined);
          }}
        >
          {say('ui.justNow')}
        </Button>
      </div>
      {wrong && (
        <p id={`${id}-wrong`} className="text-error mt-1 text-sm">
          {wrong}
        </p>
      )}
    </div>
  );
}
