import { useId, useState } from 'react';
import { format } from 'date-fns';
import { MINUTE } from '@dewpot/core/units';
import { Button } from './button';
import { useNow } from './use-now';

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
  const id = useId();
  const now = useNow();
  const [open, setOpen] = useState(false);
  if (!open) {
    return (
      <p className="text-sm">
        Just now.{' '}
        <button type="button" className="link min-h-11" onClick={() => setOpen(true)}>
          It was earlier
        </button>
      </p>
    );
  }
  const future = value !== undefined && value > now + MINUTE;
  const before = value !== undefined && earliest !== undefined && value < earliest;
  const wrong = future
    ? 'That time is in the future. Enter when it happened.'
    : before
      ? 'That time is before the pour. Enter a time after it.'
      : undefined;
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        It happened
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
          Just now
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
