import { memo, useEffect, useRef, useState } from 'react';
import {
  changeHolding,
  heldInWords,
  lineToldBy,
  usualBinderClass,
  type Held,
  type PartsBy,
  defined,
} from '@dewpot/core';
import type { MixInput, StoreView } from '@dewpot/contract';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { Button } from '../ui/button';
import { NumberField } from '../ui/number-field';
import { sayRefusal } from '../ui/input-error-message';
import { SelectField } from '../ui/select-field';
import { resolveMix, withRecipe } from './resolve';
import type { CalculatedMix } from './use-calculated-mix';

type Line = MixInput['lines'][number];

const holds: readonly { readonly value: Held | ''; readonly label: string }[] = [
  { value: '', label: 'nothing: only that line changes' },
  ...(Object.keys(heldInWords) as Held[]).map((value) => ({ value, label: heldInWords[value] })),
];

/** The lines of a recipe, in the order in which they go into the bucket. */
export function MixLines({
  draft,
  calculated,
  store,
  onChange,
}: {
  draft: MixInput;
  calculated: CalculatedMix;
  store: StoreView;
  onChange: (draft: MixInput) => void;
}) {
  const { lines, by } = draft;
  const { errors } = calculated;
  const [hold, setHold] = useState<Held | ''>('');
  const [refused, setRefused] = useState<string>();
  // What a line is held against: the recipe as it was when the line was entered, so that digits half typed leave no trace.
  const before = useRef({ draft, calculated });
  const put = (next: Line[]) => onChange({ ...draft, lines: next });
  // Another binder sets otherwise; how it sets stays as it was chosen while its binder does.
  const putMaterials = (next: Line[]) => {
    const binderClass = usualBinderClass(resolveMix({ ...draft, lines: next }, store.materials));
    const changed = binderClass !== undefined && binderClass !== usualBinderClass(calculated.mix);
    onChange({ ...draft, lines: next, ...(changed && { binderClass }) });
  };
  const type = (at: number, parts: number) => {
    setRefused(undefined);
    const plain = () => put(lines.map((one, i) => (i === at ? { ...one, parts } : one)));
    if (!hold || !(parts > 0)) return plain();
    const { mix, conditions } = before.current.calculated;
    try {
      onChange(withRecipe(draft, changeHolding(mix, { line: at, parts, hold }, conditions)));
    } catch (error) {
      setRefused(sayRefusal(error));
      plain();
    }
  };
  const swap = (at: number, other: number) => {
    const moved = [...lines];
    [moved[at], moved[other]] = [defined(moved[other]), defined(moved[at])];
    put(moved);
  };
  const turn = (at: number, to: PartsBy) => {
    const { parts } = lineToldBy(defined(calculated.mix.lines[at]), by, to);
    const { materialId } = defined(lines[at]);
    put(lines.map((one, i) => (i === at ? { materialId, parts, ...(to !== by && { by: to }) } : one)));
  };
  const begin = () => {
    before.current = { draft, calculated };
  };
  const leave = (at: number) => putMaterials(lines.filter((_, i) => i !== at));
  // Rows that did not change are not drawn again: what they do is looked up when it is done.
  const latest = useRef({ type, swap, turn, begin, leave });
  useEffect(() => {
    latest.current = { type, swap, turn, begin, leave };
  });
  const [does] = useState<LineDoes>(() => ({
    begin: () => latest.current.begin(),
    type: (at, parts) => latest.current.type(at, parts),
    move: (at, to) => latest.current.swap(at, to),
    turn: (at, to) => latest.current.turn(at, to),
    leave: (at) => latest.current.leave(at),
  }));
  const unused = store.materials.filter(
    ({ id, kind }) => kind !== 'additive' && kind !== 'sealer' && lines.every(({ materialId }) => materialId !== id),
  );
  const name = (id: string) =>
    store.materials.find((material) => material.id === id)?.name ?? 'a material that is gone';
  return (
    <div>
      <ol className="divide-base-300 divide-y">
        {lines.map((line, i) => (
          <LineRow
            key={line.materialId}
            line={line}
            by={line.by ?? by}
            name={name(line.materialId)}
            wrong={errors[`lines.${i}.parts`] ?? errors[`lines.${i}.material`]}
            at={i}
            last={i === lines.length - 1}
            does={does}
          />
        ))}
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
        onChange={(event) => putMaterials([...lines, { materialId: event.target.value, parts: 1 }])}
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

/** What can be done with a line, by its index. */
interface LineDoes {
  readonly begin: () => void;
  readonly type: (at: number, parts: number) => void;
  readonly move: (at: number, to: number) => void;
  readonly turn: (at: number, to: PartsBy) => void;
  readonly leave: (at: number) => void;
}

const LineRow = memo(function LineRow({
  line,
  by,
  name,
  wrong,
  at,
  last,
  does,
}: {
  line: Line;
  by: PartsBy;
  name: string;
  wrong: string | undefined;
  at: number;
  last: boolean;
  does: LineDoes;
}) {
  const other = by === 'volume' ? 'mass' : 'volume';
  return (
    <li className="py-1.5">
      <div className="grid grid-cols-[4.5rem_1fr_auto] items-center gap-2">
        <NumberField
          label={`Parts of ${name}`}
          wrong={wrong !== undefined}
          className="numeral h-12 w-full text-xl"
          value={line.parts}
          onBegin={does.begin}
          onChange={(parts) => does.type(at, parts)}
        />
        <span className="leading-tight">
          {name}
          <button
            type="button"
            className="quiet block min-h-6 text-xs underline decoration-dotted underline-offset-2"
            aria-label={`${name} is told by ${by}; tell it by ${other}`}
            onClick={() => does.turn(at, other)}
          >
            by {by}
          </button>
        </span>
        <span className="flex">
          <Button
            look="plain"
            size="low"
            className="w-9 p-0"
            disabled={at === 0}
            aria-label={`${name} goes in earlier`}
            onClick={() => does.move(at, at - 1)}
          >
            <ArrowUp size={16} aria-hidden="true" />
          </Button>
          <Button
            look="plain"
            size="low"
            className="w-9 p-0"
            disabled={last}
            aria-label={`${name} goes in later`}
            onClick={() => does.move(at, at + 1)}
          >
            <ArrowDown size={16} aria-hidden="true" />
          </Button>
          <Button
            look="plain"
            size="low"
            className="w-9 p-0"
            aria-label={`Leave ${name} out`}
            onClick={() => does.leave(at)}
          >
            <X size={16} aria-hidden="true" />
          </Button>
        </span>
      </div>
      {wrong && <p className="text-error text-sm">{wrong}</p>}
    </li>
  );
});
