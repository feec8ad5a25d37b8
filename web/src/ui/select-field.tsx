import type { Phrase } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { useId } from 'react';
import { useSay } from './say';

/** A labelled choice from a list. */
export function SelectField<T extends string | number>({
  label,
  options,
  value,
  onChange,
  className = '',
}: {
  label: string;
  options: readonly { readonly value: T; readonly label: Phrase }[];
  value: T;
  onChange: (value: T) => void;
  className?: string;
}) {
  const id = useId();
  const say = useSay();
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {label}
      </label>
      <select
        id={id}
        className="select select-bordered w-full"
        value={value}
        onChange={(event) => onChange(defined(options[event.target.selectedIndex]).value)}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {say.value(option.label)}
          </option>
        ))}
      </select>
    </div>
  );
}
