import { useState } from 'react';
import { InputError, msg, type FieldIssue, quantity } from '@dewpot/core/units';
import { insideOf } from '@dewpot/core/moulds';
import { sizeNamed, checkSolid, type Solid } from '@dewpot/core/solids';
import type { SolidInput, TubView } from '@dewpot/contract';
import { X } from 'lucide-react';
import { v7 as uuid } from 'uuid';
import { useRemoveTub, useSaveTub } from '../api/tubs';
import { Button, buttonClass } from '../ui/button';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { firstOfKind } from './first-sizes';
import { errorsByField, SizeField } from './size-field';
import { fieldsAskedOf, solidKindWords } from './solid-fields';
import { useSay } from '../ui/say';

const kinds: readonly Solid['kind'][] = ['round-frustum', 'rect-frustum', 'polygon-frustum'];
const first: Solid = { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 };

/** The tubs and pails on record, and one more. */
export function Tubs({ tubs }: { tubs: readonly TubView[] }) {
  const say = useSay();
  const remove = useRemoveTub();
  return (
    <section className="card-slab" aria-label={say('moulds.yourTubs')}>
      <h2 className="mb-2 text-xl">{say('moulds.yourTubs')}</h2>
      <ul className="divide-base-300 divide-y">
        {tubs.map(({ id, name, inside, wall }) => (
          <li key={id} className="flex items-center gap-2 py-1">
            <span className="flex-1 leading-tight">
              {name}
              <span className="quiet block text-sm">
                {say('moulds.tubTold', {
                  deep: 'height' in inside ? 'yes' : 'no',
                  height: quantity('height' in inside ? inside.height : 0, 'mm'),
                  wall: quantity(wall, 'mm'),
                })}
              </span>
            </span>
            <Button
              look="plain"
              size="low"
              className="w-11 p-0"
              aria-label={say('moulds.takeOffRecord', { name })}
              onClick={() => window.confirm(say('moulds.takeOffRecordAsk', { name })) && remove.mutate(id)}
            >
              <X size={16} aria-hidden="true" />
            </Button>
          </li>
        ))}
      </ul>
      <NewTub />
      <Failure error={remove.error} />
    </section>
  );
}

function issuesOf(solid: Solid | undefined): readonly FieldIssue[] {
  if (!solid)
    return [{ field: 'wall', value: 0, message: msg('moulds.wallNothing'), remedy: msg('moulds.measureAtRim') }];
  try {
    checkSolid(solid);
    return [];
  } catch (error) {
    if (error instanceof InputError) return error.issues;
    throw error;
  }
}

/** A tub by its sizes, inside or outside: what was measured outside is made less by its wall. */
function NewTub() {
  const say = useSay();
  const save = useSaveTub();
  const [name, setName] = useState('');
  const [solid, setSolid] = useState(first);
  const [wall, setWall] = useState<number | undefined>(2);
  const [measured, setMeasured] = useState<'inside' | 'outside'>('inside');
  const inside = issuesOf(solid).length > 0 ? solid : measured === 'inside' ? solid : insideOf(solid, wall ?? 0);
  const issues = issuesOf(inside);
  const errors = errorsByField(issues);
  const keep = () => {
    if (!inside) return;
    save.mutate(
      { id: uuid(), input: { name: name.trim(), inside: inside as SolidInput, wall: wall ?? 0, version: 0 } },
      { onSuccess: () => setName('') },
    );
  };
  return (
    <details className="mt-2">
      <summary className={buttonClass({ size: 'low', className: 'w-full' })}>{say('moulds.oneMoreTub')}</summary>
      <div className="mt-3 space-y-3">
        <TextField
          label={say('moulds.whatCalled')}
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
        />
        <SelectField
          label={say('moulds.shape')}
          value={solid.kind}
          options={kinds.map((value) => ({ value, label: solidKindWords[value] }))}
          onChange={(kind) => setSolid(firstOfKind(kind, solid))}
        />
        <Choice
          legend={say('moulds.measured')}
          value={measured}
          options={[
            { value: 'inside', label: say('moulds.inside') },
            { value: 'outside', label: say('moulds.outside') },
          ]}
          onChange={setMeasured}
        />
        <div className="grid grid-cols-2 gap-3">
          {fieldsAskedOf(solid).map((asked) => (
            <SizeField
              key={`${solid.kind}-${asked.field}`}
              asked={asked}
              owner="none"
              value={sizeNamed(solid, asked.field)}
              error={errors.get(asked.field)}
              onChange={(value) => setSolid({ ...solid, [asked.field]: value ?? NaN } as Solid)}
            />
          ))}
          <QuantityField
            label={say('moulds.wallThickness')}
            name="wall"
            dimension="length"
            value={wall}
            error={errors.get('wall')}
            onChange={setWall}
          />
        </div>
        <Button
          needs="caster"
          look="main"
          className="w-full"
          disabled={issues.length > 0 || !name.trim() || save.isPending}
          onClick={keep}
        >
          {say('moulds.putOnRecord')}
        </Button>
        <Failure error={save.error} />
      </div>
    </details>
  );
}
