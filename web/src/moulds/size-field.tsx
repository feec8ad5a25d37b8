import { type FieldIssue, issueInWords, msg, type Message } from '@dewpot/core/units';
import { QuantityField } from '../ui/quantity-field';
import { useSay } from '../ui/say';
import { TextField } from '../ui/text-field';
import { capital, fieldOf, type Owner } from './field-owner';
import type { AskedField } from './solid-fields';

/** One measurement of a solid: a length in any unit, or a plain number. */
export function SizeField({
  asked: { field, label, as, per = 1 },
  owner,
  value,
  error,
  hideLabel = false,
  onChange,
}: {
  asked: AskedField;
  owner: Owner;
  value: number | undefined;
  error: Message | undefined;
  hideLabel?: boolean;
  onChange: (value: number | undefined) => void;
}) {
  const say = useSay();
  const full = capital(say(fieldOf(owner, label)));
  if (as !== 'number')
    return (
      <QuantityField
        label={full}
        name={field}
        dimension={as}
        value={value}
        error={error}
        hideLabel={hideLabel}
        onChange={onChange}
      />
    );
  return (
    <TextField
      label={full}
      type="number"
      step="any"
      defaultValue={value === undefined || Number.isNaN(value) ? '' : value / per}
      error={error}
      onChange={(event) => onChange(event.target.value === '' ? undefined : event.target.valueAsNumber * per)}
    />
  );
}

/** What is wrong with each field, in words, by its path. */
export function errorsByField(issues: readonly FieldIssue[]): ReadonlyMap<string, Message> {
  const found = new Map<string, Message>();
  for (const { field, value, message, remedy } of issues) {
    const missing = typeof value === 'number' && Number.isNaN(value);
    if (!found.has(field))
      found.set(field, missing ? msg('moulds.measurementMissing') : issueInWords({ message, remedy }));
  }
  return found;
}
