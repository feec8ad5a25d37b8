import type { Phrase } from '@dewpot/core/units';
import { useSay } from './say';
/** A few ways to choose from, one of them, each a large target. */
export function Choice<T extends string | number>({
  legend,
  options,
  value,
  onChange,
  hideLegend = false,
  twoColumns = false,
}: {
  legend: string;
  options: readonly { readonly value: T; readonly label: Phrase; readonly hint?: Phrase }[];
  value: T | undefined;
  onChange: (value: T) => void;
  hideLegend?: boolean;
  /** In two even columns, for many options with hints. */
  twoColumns?: boolean;
}) {
  const say = useSay();
  return (
    <fieldset className="min-w-0">
      <legend className={hideLegend ? 'sr-only' : 'mb-1 text-sm font-semibold'}>{legend}</legend>
      <div className={twoColumns ? 'grid grid-cols-2 gap-1.5' : 'flex flex-wrap gap-1.5'}>
        {options.map((option) => (
          <label
            key={option.value}
            className={`chamfer has-focus-visible:outline-secondary flex min-h-12 cursor-pointer items-center px-2.5 py-1 text-sm leading-tight has-focus-visible:outline-3 has-focus-visible:-outline-offset-3 ${value === option.value ? 'bg-neutral text-neutral-content font-semibold' : 'bg-base-300/60'}`}
          >
            <input
              type="radio"
              className="sr-only"
              checked={value === option.value}
              onChange={() => onChange(option.value)}
            />
            <span>
              {say.value(option.label)}
              {option.hint && <span className="block text-xs font-normal opacity-80">{say.value(option.hint)}</span>}
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
