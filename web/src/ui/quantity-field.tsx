import { useId, useState } from 'react';
import { defined } from '@dewpot/core/math';
import { InputError, parseQuantity, issueInWords, type Dimension, type Phrase, type Unit } from '@dewpot/core/units';
import { writeQuantity, type Speaker } from '@dewpot/locales';
import { useSay } from './say';

/** What is wrong with a field that has no room beneath it. */
const TUCKED =
  'bg-base-100 border-error text-error absolute top-full left-1/2 z-10 mt-1 w-44 -translate-x-1/2 border p-1.5 text-xs';

const baseUnit: Record<Dimension, Unit> = { length: 'mm', volume: 'mL', mass: 'g', temperature: '°C' };

function write(value: number | undefined, dimension: Dimension, { reader }: Speaker): string {
  if (value === undefined || !Number.isFinite(value)) return '';
  return writeQuantity(value, baseUnit[dimension], reader);
}

export interface QuantityFieldProps {
  readonly label: string;
  /** Name used in an error's field. */
  readonly name: string;
  readonly dimension: Dimension;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => void;
  /** Something found wrong with it elsewhere. */
  readonly error?: Phrase | undefined;
  readonly hideLabel?: boolean;
  readonly className?: string;
  readonly autoFocus?: boolean;
}

/** A quantity in any unit, checked as one leaves it. What was typed stays through an error. */
export function QuantityField({
  label,
  name,
  dimension,
  value,
  onChange,
  error,
  hideLabel,
  className = '',
  autoFocus,
}: QuantityFieldProps) {
  const say = useSay();
  const id = useId();
  // What was typed is held here while the field is edited, or as long as it cannot be read.
  const [typed, setTyped] = useState<string>();
  const [own, setOwn] = useState<string>();
  const text = typed ?? write(value, dimension, say);

  const leave = () => {
    if (typed === undefined) return;
    if (typed.trim() === '') {
      setOwn(undefined);
      setTyped(undefined);
      return onChange(undefined);
    }
    try {
      const parsed = parseQuantity(typed, dimension, say.reader.system, name);
      setOwn(undefined);
      setTyped(undefined);
      if (write(parsed, dimension, say) !== write(value, dimension, say)) onChange(parsed);
    } catch (caught) {
      if (!(caught instanceof InputError)) throw caught;
      setOwn(say(issueInWords(defined(caught.issues[0]))));
    }
  };
  const wrong = own ?? (error && say.value(error));
  return (
    <div className={`relative ${className}`}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-1 block text-sm font-semibold'}>
        {label}
      </label>
      <input
        id={id}
        name={name}
        value={text}
        inputMode="text"
        autoComplete="off"
        autoFocus={autoFocus}
        aria-invalid={wrong !== undefined}
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        title={wrong}
        className={`input input-bordered w-full ${wrong ? 'input-error' : ''}`}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => event.key === 'Enter' && leave()}
      />
      {wrong && (
        <p id={`${id}-wrong`} className={hideLabel ? (own ? TUCKED : 'sr-only') : 'text-error mt-1 text-sm'}>
          {wrong}
        </p>
      )}
    </div>
  );
}
