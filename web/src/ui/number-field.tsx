import { useState } from 'react';
import { writePlain } from '@dewpot/locales';
import { useSay } from './say';

export interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
  /** Called as one enters it, before anything is typed. */
  readonly onBegin?: () => void;
  readonly wrong?: boolean;
  readonly className?: string;
}

const FIGURES = 4;

/** A plain number under a hidden label. What is typed stays as it is typed; a number that changes elsewhere is told to four figures. */
export function NumberField({ label, value, onChange, onBegin, wrong = false, className = '' }: NumberFieldProps) {
  const say = useSay();
  const [typed, setTyped] = useState<string>();
  return (
    <input
      type="text"
      inputMode="decimal"
      autoComplete="off"
      aria-label={label}
      aria-invalid={wrong}
      className={`input input-bordered ${wrong ? 'input-error' : ''} ${className}`}
      value={typed ?? writePlain(value, FIGURES, say.reader)}
      onFocus={(event) => {
        event.target.select();
        onBegin?.();
      }}
      onChange={({ target }) => {
        setTyped(target.value);
        const text = target.value.trim().replace(',', '.');
        onChange(text === '' ? NaN : Number(text));
      }}
      onBlur={() => setTyped(undefined)}
    />
  );
}
