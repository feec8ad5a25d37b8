import { useRef, useState } from 'react';
import { changeHolding, heldInWords, InputError, lineToldBy, type Held, type PartsBy } from '@dewpot/core';
import type { MixInput, StoresView } from '@dewpot/contract';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { NumberField } from '../ui/number-field';
import { SelectField } from '../ui/select-field';
import { withRecipe } from './resolve';
import type { ReckonedMix } from './use-reckoned-mix';

type Line = MixInput['lines'][number];

const holds: readonly { readonly value: Held | ''; readonly label: string }[] = [
  { value: '', label: 'nothing: only that line changes' },
  ...(Object.keys(heldInWords) as Held[]).map((value) => ({ value, label: heldInWords[value] })),
];

/** The lines of a recipe, in the order in which they go into the bucket. */
export function MixLines({
  draft,
  reckoned,
  stores,
  onChange,
}: {
  draft: MixInput;
  reckoned: ReckonedMix;
  stores: StoresView;
  onChange: (draft: MixInput) => void;
}) {
  const { lines, by } = draft;
  const { errors } = reckoned;
  const [hold, setHold] = useState<Held | ''>('');
  const [refused, setRefused] = useState<string>();
  // What a line is held against: the recipe as it was when the line was entered, so that digits half typed leave no trace.
  const before = useRef({ draft, reckoned });
  const put = (next: Line[]) => onChange({ ...draft, lines: next });
  const type = (at: number, parts: number) => {
    setRefused(undefined);
    const plain = () => put(lines.map((one, i) => (i === at ? { ...one, parts } : one)));
    if (!hold || !(parts > 0)) return plain();
    const { mix, conditions } = before.current.reckoned;
    try {
      onChange(withRecipe(draft, changeHolding(mix, { line: at, parts, hold }, conditions)));
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setRefused(error.issues.map(({ message, remedy }) => `${message} ${remedy}`).join(' '));
      plain();
    }
  };
  const swap = (at: number, other: number) => {
    const moved = [...lines];
    [moved[at], moved[other]] = [moved[other]!, moved[at]!];
    put(moved);
  };
  const turn = (at: number, to: PartsBy) => {
    const { material: _, by: own, ...told } = lineToldBy(reckoned.mix.lines[at]!, by, to);
    put(
      lines.map((one, i) =>
        i === at ? { materialId: one.materialId, ...told, ...(own !== by && { by: own! }) } : one,
      ),
    );
  };
  const unused = stores.materials.filter(
    ({ id, kind }) => kind !== 'additive' && lines.every(({ materialId }) => materialId !== id),
  );
  const name = (id: string) =>
    stores.materials.find((material) => material.id === id)?.name ?? 'a material that is gone';
  return (
    <div>
      <ol className="divide-base-300 divide-y">
        {lines.map((line, i) => {
          const wrong = errors[`lines.${i}.parts`] ?? errors[`lines.${i}.material`];
          const own = line.by ?? by;
          return (
            <li key={line.materialId} className="py-1.5">
              <div className="grid grid-cols-[4.5rem_1fr_auto] items-center gap-2">
                <NumberField
                  label={`Parts of ${name(line.materialId)}`}
                  wrong={wrong !== undefined}
                  className="numeral h-12 w-full text-xl"
                  value={line.parts}
                  onBegin={() => (before.current = { draft, reckoned })}
                  onChange={(parts) => type(i, parts)}
                />
                <span className="leading-tight">
                  {name(line.materialId)}
                  <button
                    type="button"
                    className="quiet block min-h-6 text-xs underline decoration-dotted underline-offset-2"
                    aria-label={`${name(line.materialId)} is told by ${own}; tell it by ${own === 'volume' ? 'mass' : 'volume'}`}
                    onClick={() => turn(i, own === 'volume' ? 'mass' : 'volume')}
                  >
                    by {own}
                  </button>
                </span>
                <span className="flex">
                  <button
                    type="button"
                    className="btn btn-ghost h-11 w-9 p-0"
                    disabled={i === 0}
                    aria-label={`${name(line.materialId)} goes in earlier`}
                    onClick={() => swap(i, i - 1)}
                  >
                    <ArrowUp size={16} aria-hidden="true" />
                  </button>
                  <button
                    type="button"
                    className="btn btn-ghost h-11 w-9 p-0"
                    disabled={i === lines.length - 1}
                    aria-label={`${name(line.materialId)} goes in later`}
                    onClick={() => swap(i, i + 1)}
                  >
                    <ArrowDown size={16} aria-hidden="true" />
                  </button>
                  <button
                    type="button"
                    className="btn btn-ghost h-11 w-9 p-0"
                    aria-label={`Leave ${name(line.materialId)} out`}
                    onClick={() => put(lines.filter((_, at) => at !== i))}
                  >
                    <X size={16} aria-hidden="true" />
                  </button>
                </span>
              </div>
              {wrong && <p className="text-error text-sm">{wrong}</p>}
            </li>
          );
        })}
      </ol>
      {(errors['lines'] ?? refused) && (
        <p role="alert" className="text-error py-1">
          {errors['lines'] ?? refused}
        </p>
      )}
      <select
        className="select select-bordered mt-2 h-12 w-full"
        aria-label="Add a material"
        value=""
        onChange={(event) => put([...lines, { materialId: event.target.value, parts: 1 }])}
      >
        <option value="" disabled>
          Add a material, in parts by {by}…
        </option>
        {unused.map(({ id, name: one }) => (
          <option key={id} value={id}>
            {one}
          </option>
        ))}
      </select>
      <SelectField
        className="mt-3"
        label="While one line changes, this stays"
        value={hold}
        options={holds}
        onChange={setHold}
      />
    </div>
  );
}
