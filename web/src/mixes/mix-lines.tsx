import { memo } from 'react';
import { type Message, type Phrase, msg } from '@dewpot/core/units';
import { heldInWords, type Held, type PartsBy } from '@dewpot/core/mixes';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { Button } from '../ui/button';
import { NumberField } from '../ui/number-field';
import { SelectField } from '../ui/select-field';
import { useMixLines, type Line, type LineDoes, type MixLinesProps } from './use-mix-lines';
import { useSay } from '../ui/say';

const holds: readonly { readonly value: Held | ''; readonly label: Phrase }[] = [
  { value: '', label: msg('mixes.holdNothing') },
  ...(Object.keys(heldInWords) as Held[]).map((value) => ({ value, label: heldInWords[value] })),
];

/** The lines of a recipe, in the order in which they go into the bucket. */
export function MixLines(props: MixLinesProps) {
  const say = useSay();
  const { draft, calculated, store } = props;
  const { lines, by } = draft;
  const { errors } = calculated;
  const { does, hold, setHold, refused, add } = useMixLines(props);
  const unused = store.materials.filter(
    ({ id, kind }) => kind !== 'additive' && kind !== 'sealer' && lines.every(({ materialId }) => materialId !== id),
  );
  const name = (id: string) =>
    store.materials.find((material) => material.id === id)?.name ?? say('mixes.goneMaterial');
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
          {say.value(errors['lines'] ?? refused ?? '')}
        </p>
      )}
      <select
        className="select select-bordered mt-2 h-12 w-full"
        aria-label={say('mixes.addMaterial')}
        value=""
        onChange={(event) => add(event.target.value)}
      >
        <option value="" disabled>
          {say('mixes.addMaterialBy', { by })}
        </option>
        {unused.map(({ id, name: one }) => (
          <option key={id} value={id}>
            {one}
          </option>
        ))}
      </select>
      <SelectField className="mt-3" label={say('mixes.whileChanges')} value={hold} options={holds} onChange={setHold} />
    </div>
  );
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
  wrong: Message | undefined;
  at: number;
  last: boolean;
  does: LineDoes;
}) {
  const say = useSay();
  const other = by === 'volume' ? 'mass' : 'volume';
  return (
    <li className="py-1.5">
      <div className="grid grid-cols-[4.5rem_1fr_auto] items-center gap-2">
        <NumberField
          label={say('mixes.partsOfField', { name })}
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
            aria-label={say('mixes.turnBy', { name, by, other })}
            onClick={() => does.turn(at, other)}
          >
            {say('mixes.byMeasure', { by })}
          </button>
        </span>
        <span className="flex">
          <Button
            look="plain"
            size="low"
            className="w-9 p-0"
            disabled={at === 0}
            aria-label={say('mixes.goesEarlier', { name })}
            onClick={() => does.move(at, at - 1)}
          >
            <ArrowUp size={16} aria-hidden="true" />
          </Button>
          <Button
            look="plain"
            size="low"
            className="w-9 p-0"
            disabled={last}
            aria-label={say('mixes.goesLater', { name })}
            onClick={() => does.move(at, at + 1)}
          >
            <ArrowDown size={16} aria-hidden="true" />
          </Button>
          <Button
            look="plain"
            size="low"
            className="w-9 p-0"
            aria-label={say('mixes.leaveNamedOut', { name })}
            onClick={() => does.leave(at)}
          >
            <X size={16} aria-hidden="true" />
          </Button>
        </span>
      </div>
      {wrong && <p className="text-error text-sm">{say(wrong)}</p>}
    </li>
  );
});
