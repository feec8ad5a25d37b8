import { msg } from '@dewpot/core/units';
import { copyConditions, type CopyInput, type CopyView } from '@dewpot/contract';
import { Plus, X } from 'lucide-react';
import { v7 as uuid } from 'uuid';
import { Button } from '../ui/button';
import { exactTime } from '../ui/format-time';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';

function nextMark(copies: readonly CopyInput[]): string {
  const letters = Array.from({ length: 26 }, (_, i) => String.fromCharCode(65 + i));
  return letters.find((letter) => copies.every(({ mark }) => mark !== letter)) ?? String(copies.length + 1);
}

const conditionWords = {
  good: msg('moulds.conditionGood'),
  worn: msg('moulds.conditionWorn'),
  leaks: msg('moulds.conditionLeaks'),
} as const;

/** The copies of a mould that the caster owns, each with its mark, its cycles and its wear. */
export function Copies({
  copies,
  known,
  onChange,
}: {
  copies: readonly CopyInput[];
  known: readonly CopyView[];
  onChange: (copies: CopyInput[]) => void;
}) {
  const say = useSay();
  const put = (id: string, part: Partial<CopyInput>) =>
    onChange(copies.map((copy) => (copy.id === id ? { ...copy, ...part } : copy)));
  return (
    <section className="card-slab" aria-label={say('moulds.identicalMoulds')}>
      <h2 className="mb-2 text-xl">{say('moulds.identicalMoulds')}</h2>
      <ul className="space-y-2">
        {copies.map((copy) => (
          <li key={copy.id} className="bg-base-200">
            <Copy
              copy={copy}
              known={known.find(({ id }) => id === copy.id)}
              onChange={(part) => put(copy.id, part)}
              onRemove={() => onChange(copies.filter(({ id }) => id !== copy.id))}
            />
          </li>
        ))}
        <li>
          <Button size="low" onClick={() => onChange([...copies, { id: uuid(), mark: nextMark(copies) }])}>
            <Plus size={16} aria-hidden="true" /> {say('moulds.oneMore')}
          </Button>
        </li>
      </ul>
    </section>
  );
}

function Copy({
  copy,
  known,
  onChange,
  onRemove,
}: {
  copy: CopyInput;
  known: CopyView | undefined;
  onChange: (part: Partial<CopyInput>) => void;
  onRemove: () => void;
}) {
  const say = useSay();
  const now = useNow();
  const { condition = 'good', retired = false, note = '', washedAt } = copy;
  return (
    <div className="relative">
      <Button
        look="plain"
        size="low"
        className="absolute top-0.5 right-0.5 w-11 p-0"
        aria-label={say('moulds.takeCopyOut', { mark: copy.mark })}
        onClick={onRemove}
      >
        <X size={16} aria-hidden="true" />
      </Button>
      <details>
        <summary className="mr-12 flex min-h-12 cursor-pointer list-none items-center gap-3 pl-3">
          <span className={`numeral text-xl ${retired ? 'line-through opacity-60' : ''}`}>{copy.mark}</span>
          {known?.lastColour && (
            <span
              className="border-base-300 inline-block h-4 w-4 border"
              style={{ background: known.lastColour }}
              title={say('moulds.lastFilledWith', { lastColour: known.lastColour })}
            />
          )}
          <span className="quiet flex-1 text-sm">
            {say('moulds.copyTold', { cycles: known?.cycles ?? 0, state: retired ? 'retired' : condition })}
            {note && `: ${note}`}
          </span>
        </summary>
        <div className="grid items-end gap-3 p-3 pt-1 sm:grid-cols-2">
          <TextField
            label={say('moulds.markOf', { mark: copy.mark })}
            value={copy.mark}
            maxLength={20}
            onChange={(event) => onChange({ mark: event.target.value })}
          />
          <SelectField
            label={say('moulds.itsCondition')}
            value={condition}
            options={copyConditions.map((value) => ({ value, label: conditionWords[value] }))}
            onChange={(next) => onChange({ condition: next })}
          />
          <TextField
            label={say('moulds.leaksWear')}
            className="sm:col-span-2"
            value={note}
            maxLength={500}
            onChange={(event) => onChange({ note: event.target.value })}
          />
          <label className="flex min-h-11 cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              className="checkbox"
              checked={retired}
              onChange={(event) => onChange({ retired: event.target.checked })}
            />
            {say('moulds.retired')}
          </label>
          <div className="flex items-center gap-3">
            <Button size="low" onClick={() => onChange({ washedAt: now })}>
              {say('moulds.washedNow')}
            </Button>
            <span className="quiet text-sm">
              {washedAt ? say('moulds.lastWashed', { washedAt: say(exactTime(washedAt)) }) : say('moulds.notWashed')}
            </span>
          </div>
        </div>
      </details>
    </div>
  );
}
