import { useState } from 'react';
import { InputError } from '@dewpot/core/units';
import { canVolume, scoopByWater } from '@dewpot/core/materials';
import type { ScoopView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { useRemoveStore, useSaveStore } from '../api/materials';
import { EditDialog } from '../ui/edit-dialog';
import { QuantityField } from '../ui/quantity-field';
import { TextField } from '../ui/text-field';
import { useUnits } from '../ui/units';

/** A measuring vessel: its name, and what it holds, typed, weighed with water or measured. */
export function ScoopEditor({ scoop, onClose }: { scoop: ScoopView | undefined; onClose: () => void }) {
  const save = useSaveStore();
  const remove = useRemoveStore();
  const [id] = useState(() => scoop?.id ?? uuid());
  const [name, setName] = useState(scoop?.name ?? '');
  const [volume, setVolume] = useState<number | undefined>(scoop?.volume);
  const [heaped, setHeaped] = useState<number | undefined>(scoop?.heaped);
  const [missing, setMissing] = useState(false);
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
        name="name"
        autoComplete="off"
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
        value={volume}
        error={missing && volume === undefined ? 'Fill it with water and weigh that: 1 g is 1 mL.' : undefined}
        onChange={setVolume}
      />
      <QuantityField
        label="The water that fills it weighs (1 g is 1 mL)"
        name="water"
        dimension="mass"
        value={undefined}
        onChange={(mass) => mass !== undefined && mass > 0 && setVolume(scoopByWater(mass).value)}
      />
      <RoundCan onVolume={setVolume} />
      <QuantityField
        label="Heaped, it holds (if you measured that)"
        name="heaped"
        dimension="volume"
        value={heaped}
        onChange={setHeaped}
      />
    </EditDialog>
  );
}

/** A round vessel by its diameter and height, inside: told in mL once both are known. */
function RoundCan({ onVolume }: { onVolume: (volume: number) => void }) {
  const { system } = useUnits();
  const [can, setCan] = useState<{ diameter?: number | undefined; height?: number | undefined }>({});
  const measure = (part: typeof can) => {
    const { diameter, height } = { ...can, ...part };
    setCan({ diameter, height });
    if (diameter === undefined || height === undefined) return;
    try {
      onVolume(Math.round(canVolume(diameter, height)));
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
    }
  };
  const field = { dimension: 'length', system } as const;
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">Or measure a round one, inside</legend>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          {...field}
          label="Diameter"
          name="diameter"
          value={can.diameter}
          onChange={(diameter) => measure({ diameter })}
        />
        <QuantityField
          {...field}
          label="Height"
          name="height"
          value={can.height}
          onChange={(height) => measure({ height })}
        />
      </div>
    </fieldset>
  );
}
