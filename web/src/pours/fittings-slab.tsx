import { useState } from 'react';
import type { PourPart } from '@dewpot/core/planning';
import { facesMustMatch } from '@dewpot/core/pours';
import type { PourInput, PourItemInput } from '@dewpot/contract';
import { InsetEditor } from './inset-editor';
import { ItemChoice } from './item-choice';
import { itemOf, type PlanSources } from './plan';
import { withChange, type Change } from '../ui/change';
import { useSay } from '../ui/say';

/** What goes into each mould of a pour beside the mix: its inserts, mesh, and lettering or a picture. */
export function FittingsSlab({
  input,
  sources,
  parts,
  onChange,
}: {
  input: PourInput;
  sources: PlanSources;
  parts: readonly PourPart[];
  onChange: (part: Partial<PourInput>) => void;
}) {
  const say = useSay();
  const [chosen, setChosen] = useState(0);
  const at = chosen < input.items.length ? chosen : 0;
  const item = input.items[at];
  const mould = sources.moulds.find(({ id }) => id === item?.mouldId);
  if (!item || !mould) return null;
  const laid = input.items.some(
    ({ inset, mesh, split, without = [] }) => inset || split || mesh !== undefined || without.length > 0,
  );
  const planned = itemOf(parts, at);
  const mustMatch = planned ? facesMustMatch(planned.item, planned.part.plan) : item.colouring !== undefined;
  const put = (part: Change<PourItemInput>) =>
    onChange({ items: input.items.map((one, i) => (i === at ? withChange(one, part) : one)) });
  return (
    <details className="card-slab no-print" open={laid}>
      <summary className="font-head cursor-pointer text-xl">
        {say('pours.inTheMould')} <span className="quiet font-sans text-base">{say('pours.inTheMouldHow')}</span>
      </summary>
      <div className="mt-3 space-y-4">
        <ItemChoice
          legend={say('pours.inWhichMould')}
          items={input.items}
          moulds={sources.moulds}
          value={at}
          onChange={setChosen}
        />
        <Inserts
          names={[...new Set(mould.shape.inserts.map(({ name }) => name))]}
          without={item.without ?? []}
          onChange={(without) => put({ without })}
        />
        <Tick
          label={say('pours.meshHalfDepth')}
          checked={item.mesh ?? mould.meshOpening !== undefined}
          onChange={(mesh) => put({ mesh })}
        />
        <Tick
          label={say('pours.mayBeSplit')}
          hint={mustMatch ? say('pours.mayNotSplit') : undefined}
          checked={item.split ?? false}
          disabled={mustMatch && !item.split}
          onChange={(split) => put({ split })}
        />
        <InsetEditor key={at} item={item} mould={mould} onChange={(inset) => put({ inset })} />
      </div>
    </details>
  );
}

function Tick({
  label,
  hint,
  checked,
  disabled = false,
  onChange,
}: {
  label: string;
  hint?: string | undefined;
  checked: boolean;
  disabled?: boolean;
  onChange: (checked: boolean) => void;
}) {
  return (
    <label className="flex min-h-12 cursor-pointer items-center gap-3">
      <input
        type="checkbox"
        className="checkbox"
        checked={checked}
        disabled={disabled}
        onChange={({ target }) => onChange(target.checked)}
      />
      <span>
        {label} {hint && <span className="quiet text-sm">({hint})</span>}
      </span>
    </label>
  );
}

/** Inserts of a mould; those that are not ticked are left out this time. */
function Inserts({
  names,
  without,
  onChange,
}: {
  names: readonly string[];
  without: readonly string[];
  onChange: (without: string[]) => void;
}) {
  const say = useSay();
  if (names.length === 0) return null;
  return (
    <fieldset>
      <legend className="text-sm font-semibold">{say('pours.coresThisTime')}</legend>
      <div className="flex flex-wrap gap-x-6">
        {names.map((name) => (
          <Tick
            key={name}
            label={name}
            checked={!without.includes(name)}
            onChange={(stands) => onChange(stands ? without.filter((one) => one !== name) : [...without, name])}
          />
        ))}
      </div>
    </fieldset>
  );
}
