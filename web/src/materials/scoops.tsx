import { useState } from 'react';
import { InputError } from '@dewpot/core/units';
import { canVolume, scoopByWater } from '@dewpot/core/materials';
import type { ScoopView } from '@dewpot/contract';
import { Plus } from 'lucide-react';
import { v7 as uuid } from 'uuid';
import { useRemoveStore, useSaveStore } from '../api/materials';
import { Button } from '../ui/button';
import { EditDialog } from '../ui/edit-dialog';
import { QuantityField } from '../ui/quantity-field';
import { TextField } from '../ui/text-field';
import { useUnits } from '../ui/units';

const TALLEST = 92;

/** The measuring vessels that the caster owns, drawn to one scale. */
export function Scoops({ scoops }: { scoops: readonly ScoopView[] }) {
  const units = useUnits();
  const [editing, setEditing] = useState<ScoopView | 'new'>();
  const largest = Math.max(1, ...scoops.map(({ volume }) => Math.cbrt(volume)));
  return (
    <section className="card-slab" aria-label="Scoops">
      <h2 className="mb-2 text-2xl">Scoops</h2>
      <ul className="flex flex-wrap items-end gap-x-6 gap-y-3">
        {scoops.map((scoop) => (
          <li key={scoop.id}>
            <button type="button" className="hover:bg-base-200 p-2 text-center" onClick={() => setEditing(scoop)}>
              <ScoopDrawing size={(Math.cbrt(scoop.volume) / largest) * TALLEST} />
              <span className="block font-semibold">{scoop.name}</span>
              <span className="numeral block text-xl">{units.say(scoop.volume, 'mL')}</span>
            </button>
          </li>
        ))}
        <li>
          <Button onClick={() => setEditing('new')}>
            <Plus size={18} aria-hidden="true" /> A scoop
          </Button>
        </li>
      </ul>
      {editing && <ScoopEditor scoop={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </section>
  );
}

function ScoopDrawing({ size }: { size: number }) {
  const w = size * 0.82;
  return (
    <svg width={w + 4} height={size + 8} viewBox={`-2 -4 ${w + 4} ${size + 8}`} className="mx-auto" aria-hidden="true">
      <path
        d={`M0 0V${size - 3}A${w / 2} 5 0 0 0 ${w} ${size - 3}V0`}
        fill="var(--concrete)"
        stroke="currentColor"
        strokeWidth={1.6}
      />
      <ellipse
        cx={w / 2}
        cy={0}
        rx={w / 2}
        ry={3.4}
        fill="var(--color-base-200)"
        stroke="currentColor"
        strokeWidth={1.6}
      />
    </svg>
  );
}

function ScoopEditor({ scoop, onClose }: { scoop: ScoopView | undefined; onClose: () => void }) {
  const { system } = useUnits();
  const save = useSaveStore();
  const remove = useRemoveStore();
  const [id] = useState(() => scoop?.id ?? uuid());
  const [name, setName] = useState(scoop?.name ?? '');
  const [volume, setVolume] = useState<number | undefined>(scoop?.volume);
  const [heaped, setHeaped] = useState<number | undefined>(scoop?.heaped);
  const [can, setCan] = useState<{ diameter?: number | undefined; height?: number | undefined }>({});
  const [missing, setMissing] = useState(false);
  const measure = (part: typeof can) => {
    const { diameter, height } = { ...can, ...part };
    setCan({ diameter, height });
    if (diameter === undefined || height === undefined) return;
    try {
      setVolume(Math.round(canVolume(diameter, height)));
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
    }
  };
  const keep = () => {
    if (!name.trim() || volume === undefined) return setMissing(true);
    save.mutate(
      {
        id,
        kind: 'scoops',
        input: { name: name.trim(), volume, ...(heaped && { heaped }), version: scoop?.version ?? 0 },
      },
      { onSuccess: onClose },
    );
  };
  return (
    <EditDialog
      title={scoop ? scoop.name : 'A scoop'}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={keep}
      onRemove={scoop && (() => remove.mutate({ id, kind: 'scoops' }, { onSuccess: onClose }))}
      onClose={onClose}
    >
      <TextField
        label="What you call it"
        value={name}
        maxLength={60}
        placeholder="the bean can"
        error={missing && !name.trim() ? 'Give it a name, such as “the bean can”.' : undefined}
        onChange={(event) => setName(event.target.value)}
      />
      <QuantityField
        label="Holds, struck level"
        name="volume"
        dimension="volume"
        system={system}
        value={volume}
        error={missing && volume === undefined ? 'Fill it with water and weigh that: 1 g is 1 mL.' : undefined}
        onChange={setVolume}
      />
      <QuantityField
        label="The water that fills it weighs (1 g is 1 mL)"
        name="water"
        dimension="mass"
        system={system}
        value={undefined}
        onChange={(mass) => mass !== undefined && mass > 0 && setVolume(scoopByWater(mass).value)}
      />
      <fieldset>
        <legend className="mb-1 text-sm font-semibold">Or measure a round one, inside</legend>
        <div className="grid grid-cols-2 gap-3">
          <QuantityField
            label="Diameter"
            name="diameter"
            dimension="length"
            system={system}
            value={can.diameter}
            onChange={(diameter) => measure({ diameter })}
          />
          <QuantityField
            label="Height"
            name="height"
            dimension="length"
            system={system}
            value={can.height}
            onChange={(height) => measure({ height })}
          />
        </div>
      </fieldset>
      <QuantityField
        label="Heaped, it holds (if you measured that)"
        name="heaped"
        dimension="volume"
        system={system}
        value={heaped}
        onChange={setHeaped}
      />
    </EditDialog>
  );
}
