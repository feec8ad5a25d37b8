import type { Phrase } from '@dewpot/core/units';
import { useSay } from './say';
/** Ways of which any number can be chosen, each a large target. */
export function Picks<T extends string>({
  legend,
  options,
  value,
  onChange,
}: {
  legend: string;
  options: readonly { readonly value: T; readonly label: Phrase }[];
  value: readonly T[];
  onChange: (value: readonly T[]) => void;
}) {
  const say = useSay();
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">{legend}</legend>
      <div className="flex flex-wrap gap-1.5">
        {options.map((option) => {
          const chosen = value.includes(option.value);
          return (
            <label
              key={option.value}
              className={`chamfer has-focus-visible:outline-secondary flex min-h-12 cursor-pointer items-center px-2.5 py-1 text-sm leading-tight has-focus-visible:outline-3 has-focus-visible:-outline-offset-3 ${chosen ? 'bg-neutral text-neutral-content font-semibold' : 'bg-base-300/60'}`}
            >
              <input
                type="checkbox"
                className="sr-only"
                checked={chosen}
                onChange={() =>
                  onChange(chosen ? value.filter((one) => one !== option.value) : [...value, option.value])
                }
              />
              {say.value(option.label)}
            </label>
          );
        })}
      </div>
    </fieldset>
  );
}
