import { useState } from 'react';
import { handbookMaterials } from '@dewpot/core';
import type { MaterialInput, MaterialView, StoresView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { useRemoveStore, useSaveStore } from '../api/materials';
import { EditDialog } from '../ui/edit-dialog';
import { SelectField } from '../ui/select-field';
import { SettingTimesFields, withTimes } from '../ui/setting-times-fields';
import { TextField } from '../ui/text-field';
import {
  additiveKinds,
  blank,
  bulkings,
  families,
  kinds,
  powderSizes,
  sizesOf,
  tidyMaterial,
  usualSheet,
} from './material-fields';
import { MaterialColour } from './material-colour';
import { SealerSheetFields } from './sealer-sheet-fields';
import { WeighScoop } from './weigh-scoop';

function inputOf(material: MaterialView): MaterialInput {
  const { id: _, ...rest } = material;
  return rest;
}

/** A material's densities and its thirst. The handbook's figures are defaults: what was measured replaces them. */
export function MaterialEditor({
  material,
  stores,
  onClose,
}: {
  material: MaterialView | undefined;
  stores: StoresView;
  onClose: () => void;
}) {
  const save = useSaveStore();
  const remove = useRemoveStore();
  const [id] = useState(() => material?.id ?? uuid());
  const [draft, setDraft] = useState<MaterialInput>(() => (material ? inputOf(material) : blank));
  const [tried, setTried] = useState(false);
  // Fields keep what is typed in them; a figure put in from elsewhere makes them again.
  const [round, setRound] = useState(0);
  const set = (part: Partial<MaterialInput>) => setDraft({ ...draft, ...part });
  const putIn = (part: Partial<MaterialInput>) => {
    set(part);
    setRound(round + 1);
  };
  const missing = handbookMaterials.filter(({ name }) => stores.materials.every((one) => one.name !== name));
  const binds = draft.kind === 'binder' || draft.kind === 'pre-blend';
  const powder = draft.powder ?? { low: NaN, high: NaN, binderShare: 1, doseShare: 1 };
  const wrong =
    !draft.name.trim() ||
    sizesOf(draft.kind).some(([size]) => !Number.isFinite(draft[size])) ||
    (draft.kind === 'pre-blend' && powderSizes.some(([size]) => !Number.isFinite(powder[size])));
  const keep = () =>
    wrong ? setTried(true) : save.mutate({ id, kind: 'materials', input: tidyMaterial(draft) }, { onSuccess: onClose });
  const number = (label: string, value: number | undefined, put: (value: number) => void) => (
    <TextField
      key={`${label} ${round}`}
      label={label}
      type="number"
      step="any"
      min="0"
      defaultValue={value}
      error={tried && !Number.isFinite(value) ? 'Enter a number.' : undefined}
      onChange={(event) => put(event.target.valueAsNumber)}
    />
  );
  return (
    <EditDialog
      title={material ? material.name : 'A material'}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={keep}
      onRemove={material && (() => remove.mutate({ id, kind: 'materials' }, { onSuccess: onClose }))}
      onClose={onClose}
    >
      {!material && missing.length > 0 && (
        <SelectField
          label="From the handbook"
          value=""
          options={[
            { value: '', label: 'none: I measure it myself' },
            ...missing.map(({ key, name }) => ({ value: key, label: name })),
          ]}
          onChange={(chosen) => {
            const found = missing.find(({ key }) => key === chosen);
            if (!found) return;
            const { key: _, ...figures } = found;
            setDraft({ ...figures, version: 0 });
            setRound(round + 1);
          }}
        />
      )}
      <TextField
        label="Name"
        value={draft.name}
        maxLength={80}
        error={tried && !draft.name.trim() ? 'Give it a name, such as “Washed river sand”.' : undefined}
        onChange={(event) => set({ name: event.target.value })}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField label="It is" value={draft.kind} options={kinds} onChange={(kind) => set({ kind })} />
        {draft.kind !== 'sealer' && (
          <SelectField
            label="Damp, it"
            value={draft.bulking}
            options={bulkings}
            onChange={(bulking) => set({ bulking })}
          />
        )}
        {binds && (
          <SelectField
            label="It binds like"
            value={draft.family ?? 'portland'}
            options={families}
            onChange={(family) => set({ family })}
          />
        )}
        {draft.kind === 'additive' && (
          <>
            <SelectField
              label="It is dosed as"
              value={draft.additive ?? 'powder-pigment'}
              options={additiveKinds}
              onChange={(additive) => set({ additive })}
            />
            {number('Solids of a liquid, share (1: a powder)', draft.solids ?? 1, (solids) => set({ solids }))}
          </>
        )}
        {sizesOf(draft.kind).map(([size, label]) => number(label, draft[size], (value) => set({ [size]: value })))}
        {draft.kind === 'pre-blend' &&
          powderSizes.map(([size, label]) =>
            number(label, powder[size], (value) => set({ powder: { ...powder, [size]: value } })),
          )}
      </div>
      {draft.kind === 'pre-blend' && (
        <p className="quiet text-sm">
          Doses are calculated on that share for good: 1 is the powder itself, as most of its users do. Editing the
          binder in it changes none of them.
        </p>
      )}
      {binds && (
        <fieldset key={`times ${round}`} className="mt-1">
          <legend className="quiet mb-2 text-sm">
            What its bag says, where it says so; the handbook’s times hold where these are empty.
          </legend>
          <SettingTimesFields times={draft.times} onChange={(times) => setDraft(withTimes(draft, times))} />
        </fieldset>
      )}
      {draft.kind === 'sealer' && (
        <SealerSheetFields
          key={`sheet ${round}`}
          sheet={draft.sealer ?? usualSheet('penetrating')}
          tried={tried}
          onChange={(sealer, replaced) => (replaced ? putIn({ sealer }) : set({ sealer }))}
        />
      )}
      <MaterialColour key={`colour ${round}`} draft={draft} onChange={set} />
      {draft.kind !== 'additive' && draft.kind !== 'sealer' && (
        <WeighScoop scoops={stores.scoops} onBulk={(bulk) => putIn({ bulk })} />
      )}
    </EditDialog>
  );
}
