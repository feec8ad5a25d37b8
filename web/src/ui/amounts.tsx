import { Fragment } from 'react';
import type { Message, MessageValue } from '@dewpot/core/units';
import { useSay } from './say';

/** Marks that Unicode has for a stretch of its own within a text: nobody types them. */
const [BEGIN, END] = ['\u2068', '\u2069'];
const MARKS = new RegExp(`[${BEGIN}${END}]`);

/** Whether a value is an amount, or a message of nothing but amounts: "Thu 16:00". */
function isAmount(value: MessageValue): boolean {
  if (typeof value !== 'object') return false;
  if (!('key' in value)) return 'unit' in value || 'at' in value || 'number' in value;
  const within = Object.values(value.values ?? {});
  return within.length > 0 && within.every(isAmount);
}

/** A sentence with its amounts, times and figures set off in bold, or in a `look` of their own. */
export function Amounts({ of: { key, values = {} }, look }: { of: Message; look?: string }) {
  const say = useSay();
  const marked = Object.fromEntries(
    Object.entries(values).map(([name, value]) => [
      name,
      isAmount(value) ? `${BEGIN}${say.value(value)}${END}` : value,
    ]),
  );
  const parts = say(key, marked).split(MARKS);
  return parts.map((part, i) =>
    i % 2 === 0 ? (
      <Fragment key={i}>{part}</Fragment>
    ) : look ? (
      <span key={i} className={look}>
        {part}
      </span>
    ) : (
      <strong key={i}>{part}</strong>
    ),
  );
}
