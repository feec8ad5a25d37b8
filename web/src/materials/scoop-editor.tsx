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
import { useSay } from '../ui/say';

/** A measuring vessel: its name, and what it holds, typed, weighed with water or measured. */
export function ScoopEditor({ scoop, onClose }: { scoop: ScoopView | undefined; onClose: () => void }) {
  const say = useSay();
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
      title={scoop ? scoop.name : say('materials.aScoop')}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={keep}
      onRemove={scoop && (() => remove.mutate({ id, kind: 'scoops' }, { onSuccess: onClose }))}
      onClose={onClose}
    >
      <TextField
        label={say('materials.whatYouCall')}
        name="name"
        autoComplete="off"
        value={name}
        maxLength={60}
        placeholder={say('materials.scoopHint')}
        error={missing && !name.trim() ? say('materials.scoopName') : undefined}
        onChange={(event) => setName(event.target.value)}
      />
      <QuantityField
        label={say('materials.holdsLevel')}
        name="volume"
        dimension="volume"
        value={volume}
        error={missing && volume === undefined ? say('materials.fillWithWater') : undefined}
        onChange={setVolume}
      />
      <QuantityField
        label={say('materials.waterWeighs')}
        name="water"
        dimension="mass"
        value={undefined}
        onChange={(mass) => mass !== undefined && mass > 0 && setVolume(scoopByWater(mass).value)}
      />
      <RoundCan onVolume={setVolume} />
      <QuantityField
        label={say('materials.heapedHolds')}
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
  const say = useSay();
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
      <legend className="mb-1 text-sm font-semibold">{say('materials.orRound')}</legend>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          {...field}
          label={say('materials.diameterField')}
          name="diameter"
          value={can.diameter}
          onChange={(diameter) => measure({ diameter })}
        />
        <QuantityField
          {...field}
          label={say('materials.heightField')}
          name="height"
          value={can.height}
          onChange={(height) => measure({ height })}
        />
      </div>
    </fieldset>
  );
}
