import { useId, type ComponentProps } from 'react';
import type { Phrase } from '@dewpot/core/units';
import { useSay } from './say';

/** A labelled field of text. */
export function TextField({
  label,
  error,
  className = '',
  ...input
}: ComponentProps<'input'> & { label: string; error?: Phrase | undefined }) {
  const say = useSay();
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {label}
      </label>
      <input
        id={id}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-wrong` : undefined}
        className={`input input-bordered w-full ${error ? 'input-error' : ''}`}
        {...input}
      />
      {error && (
        <p id={`${id}-wrong`} className="text-error mt-1 text-sm">
          {say.value(error)}
        </p>
      )}
    </div>
  );
}
