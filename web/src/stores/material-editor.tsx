import { useState } from 'react';
import type { Bulking, MaterialKind } from '@dewpot/core';
import type { MaterialInput, MaterialView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { useRemoveStore, useSaveStore } from '../api/work';
import { EditDialog } from '../ui/edit-dialog';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';

const kinds: readonly { value: MaterialKind; label: string }[] = [
  { value: 'binder', label: 'a binder' },
  { value: 'binder-part', label: 'part of a binder' },
  { value: 'aggregate', label: 'an aggregate' },
  { value: 'lightweight', label: 'a lightweight grain' },
  { value: 'organic', label: 'peat or coir' },
];

const bulkings: readonly { value: Bulking; label: string }[] = [
  { value: 'none', label: 'does not swell when damp' },
  { value: 'fine', label: 'swells like fine sand' },
  { value: 'sharp', label: 'swells like sharp sand' },
];

type Size = 'bulk' | 'particle' | 'absorption' | 'demand' | 'largestGrain';
const sizes: readonly (readonly [Size, string])[] = [
  ['bulk', 'Loose density, dry, kg/L'],
  ['particle', 'Density in the mix, kg/L'],
  ['absorption', 'Soaks up, share of its dry mass'],
  ['demand', 'Water it asks for, kg per kg'],
  ['largestGrain', 'Largest grain, mm'],
];

const blank: MaterialInput = {
  name: '',
  kind: 'aggregate',
  bulk: 1.5,
  particle: 2.65,
  absorption: 0.01,
  demand: 0.08,
  largestGrain: 4,
  bulking: 'none',
  version: 0,
};

function inputOf(material: MaterialView): MaterialInput {
  const { id: _, powder: __, ...rest } = material;
  return rest;
}

/** A material's densities and its thirst. The handbook's figures are defaults: what was measured replaces them. */
export function MaterialEditor({ material, onClose }: { material: MaterialView | undefined; onClose: () => void }) {
  const save = useSaveStore();
  const remove = useRemoveStore();
  const [id] = useState(() => material?.id ?? uuid());
  const first = material ? inputOf(material) : blank;
  const [draft, setDraft] = useState<MaterialInput>(first);
  const [tried, setTried] = useState(false);
  const set = (part: Partial<MaterialInput>) => setDraft({ ...draft, ...part });
  const keep = () => {
    if (!draft.name.trim() || sizes.some(([size]) => !Number.isFinite(draft[size]))) return setTried(true);
    const family = draft.kind === 'binder' ? (draft.family ?? 'portland') : undefined;
    const { family: _, ...rest } = draft;
    save.mutate(
      { id, kind: 'materials', input: { ...rest, name: draft.name.trim(), ...(family && { family }) } },
      { onSuccess: onClose },
    );
  };
  return (
    <EditDialog
      title={material ? material.name : 'A material'}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={keep}
      onRemove={material && (() => remove.mutate({ id, kind: 'materials' }, { onSuccess: onClose }))}
      onClose={onClose}
    >
      <TextField
        label="Name"
        value={draft.name}
        maxLength={80}
        error={tried && !draft.name.trim() ? 'Give it a name, such as “Washed river sand”.' : undefined}
        onChange={(event) => set({ name: event.target.value })}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField label="It is" value={draft.kind} options={kinds} onChange={(kind) => set({ kind })} />
        <SelectField
          label="Damp, it"
          value={draft.bulking}
          options={bulkings}
          onChange={(bulking) => set({ bulking })}
        />
        {sizes.map(([size, label]) => (
          <TextField
            key={size}
            label={label}
            type="number"
            step="any"
            min="0"
            defaultValue={first[size]}
            error={tried && !Number.isFinite(draft[size]) ? 'Enter a number.' : undefined}
            onChange={(event) => set({ [size]: event.target.valueAsNumber })}
          />
        ))}
      </div>
    </EditDialog>
  );
}
