import { handbookMaterials, type HandbookMaterial } from '@dewpot/core/materials';
import type { MaterialView, StoreView } from '@dewpot/contract';
import { useRemoveStore } from '../api/materials';
import { EditDialog } from '../ui/edit-dialog';
import { SelectField } from '../ui/select-field';
import { SettingTimesFields, withTimes } from '../ui/setting-times-fields';
import { TextField } from '../ui/text-field';
import { additiveKinds, bulkings, families, kinds, powderSizes, sizesOf, usualSheet } from './material-fields';
import { MaterialColour } from './material-colour';
import { SealerSheetFields } from './sealer-sheet-fields';
import { useMaterial, type MaterialEdit } from './use-material';
import { WeighScoop } from './weigh-scoop';
import { useSay } from '../ui/say';

/** A material's densities and its thirst. The handbook's figures are defaults: what was measured replaces them. */
export function MaterialEditor({
  material,
  store,
  onClose,
}: {
  material: MaterialView | undefined;
  store: StoreView;
  onClose: () => void;
}) {
  const say = useSay();
  const edit = useMaterial(material, onClose);
  const remove = useRemoveStore();
  const { id, draft, tried, round, save, set, putIn } = edit;
  const missing = handbookMaterials.filter(({ name }) => store.materials.every((one) => one.name !== say(name)));
  return (
    <EditDialog
      title={material ? material.name : say('materials.aMaterial')}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={edit.keep}
      onRemove={material && (() => remove.mutate({ id, kind: 'materials' }, { onSuccess: onClose }))}
      onClose={onClose}
    >
      {!material && missing.length > 0 && <FromHandbook missing={missing} onChosen={edit.fromHandbook} />}
      <TextField
        label={say('moulds.name')}
        name="name"
        autoComplete="off"
        value={draft.name}
        maxLength={80}
        error={tried && !draft.name.trim() ? say('materials.giveNameField') : undefined}
        onChange={(event) => set({ name: event.target.value })}
      />
      <KindAndSizes edit={edit} />
      <BagTimes edit={edit} />
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
        <WeighScoop scoops={store.scoops} onBulk={(bulk) => putIn({ bulk })} />
      )}
    </EditDialog>
  );
}

const binds = ({ draft: { kind } }: MaterialEdit) => kind === 'binder' || kind === 'pre-blend';

function FromHandbook({
  missing,
  onChosen,
}: {
  missing: readonly HandbookMaterial[];
  onChosen: (material: HandbookMaterial) => void;
}) {
  const say = useSay();
  return (
    <SelectField
      label={say('materials.fromHandbook')}
      value=""
      options={[
        { value: '', label: say('materials.noneMeasure') },
        ...missing.map(({ key, name }) => ({ value: key, label: name })),
      ]}
      onChange={(chosen) => {
        const found = missing.find(({ key }) => key === chosen);
        if (found) onChosen(found);
      }}
    />
  );
}

function KindAndSizes({ edit }: { edit: MaterialEdit }) {
  const say = useSay();
  const { draft, powder, tried, round, set } = edit;
  const number = (label: string, value: number | undefined, put: (value: number) => void) => (
    <TextField
      key={`${label} ${round}`}
      label={label}
      type="number"
      step="any"
      min="0"
      defaultValue={value}
      error={tried && !Number.isFinite(value) ? say('materials.enterNumber') : undefined}
      onChange={(event) => put(event.target.valueAsNumber)}
    />
  );
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField
          label={say('materials.itIs')}
          value={draft.kind}
          options={kinds}
          onChange={(kind) => set({ kind })}
        />
        {draft.kind !== 'sealer' && (
          <SelectField
            label={say('materials.dampIt')}
            value={draft.bulking}
            options={bulkings}
            onChange={(bulking) => set({ bulking })}
          />
        )}
        {binds(edit) && (
          <SelectField
            label={say('materials.bindsLike')}
            value={draft.family ?? 'portland'}
            options={families}
            onChange={(family) => set({ family })}
          />
        )}
        {draft.kind === 'additive' && (
          <>
            <SelectField
              label={say('materials.dosedAs')}
              value={draft.additive ?? 'powder-pigment'}
              options={additiveKinds}
              onChange={(additive) => set({ additive })}
            />
            {number(say('materials.solidsField'), draft.solids ?? 1, (solids) => set({ solids }))}
          </>
        )}
        {sizesOf(draft.kind).map(([size, label]) => number(say(label), draft[size], (value) => set({ [size]: value })))}
        {draft.kind === 'pre-blend' &&
          powderSizes.map(([size, label]) =>
            number(say(label), powder[size], (value) => set({ powder: { ...powder, [size]: value } })),
          )}
      </div>
      {draft.kind === 'pre-blend' && <p className="quiet text-sm">{say('materials.dosesForGood')}</p>}
    </>
  );
}

/** Setting times as the bag of a binder says them. */
function BagTimes({ edit }: { edit: MaterialEdit }) {
  const say = useSay();
  const { draft, round, setDraft } = edit;
  if (!binds(edit)) return null;
  return (
    <fieldset key={`times ${round}`} className="mt-1">
      <legend className="quiet mb-2 text-sm">{say('materials.bagTimes')}</legend>
      <SettingTimesFields times={draft.times} onChange={(times) => setDraft(withTimes(draft, times))} />
    </fieldset>
  );
}
