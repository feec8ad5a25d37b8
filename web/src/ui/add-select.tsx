import type { Phrase } from '@dewpot/core/units';
import { useSay } from './say';
/** A list out of which one thing at a time is added; it shows its prompt again at once. */
export function AddSelect({
  label,
  prompt,
  options,
  onAdd,
}: {
  label: string;
  prompt: string;
  options: readonly { readonly value: string; readonly label: Phrase }[];
  onAdd: (value: string) => void;
}) {
  const say = useSay();
  return (
    <select
      className="select select-bordered mt-2 h-12 w-full"
      aria-label={label}
      value=""
      onChange={({ target }) => onAdd(target.value)}
    >
      <option value="" disabled>
        {prompt}
      </option>
      {options.map((one) => (
        <option key={one.value} value={one.value}>
          {say.value(one.label)}
        </option>
      ))}
    </select>
  );
}
