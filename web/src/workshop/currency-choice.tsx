import { useMemo } from 'react';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';
import { currencyOptions } from './currency-options';

interface CurrencyChoiceProps {
  readonly value: string;
  /** What prices were told in so far. */
  readonly kept: string;
  readonly onChange: (value: string) => void;
}

/** What money is told in. Prices that were told are numbers: in another currency some are wrong, and none is changed unasked. */
export function CurrencyChoice({ value, kept, onChange }: CurrencyChoiceProps) {
  const say = useSay();
  const options = useMemo(() => currencyOptions(say.reader), [say]);
  return (
    <div>
      <SelectField label={say('workshop.currency')} value={value} options={options} onChange={onChange} />
      {value !== kept && (
        <p role="status" className="border-warning mt-2 border-l-4 pl-2 text-sm">
          {say('workshop.pricesStay', { before: kept, after: value })}
        </p>
      )}
    </div>
  );
}
