import type { LotView, MaterialView } from '@dewpot/contract';
import { useRemoveStore } from '../api/materials';
import { EditDialog } from '../ui/edit-dialog';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { useUnits } from '../ui/units';
import { useLot } from './use-lot';

/** A purchase: what, how much, for how much, and what is left of it. */
export function LotEditor({
  lot,
  materialId,
  materials,
  onClose,
}: {
  lot: LotView | undefined;
  materialId: string;
  materials: readonly MaterialView[];
  onClose: () => void;
}) {
  const edit = useLot(lot, materialId, onClose);
  const remove = useRemoveStore();
  const { id, draft, set, save } = edit;
  return (
    <EditDialog
      title={lot ? 'A lot' : 'A new lot'}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={edit.keep}
      onRemove={lot && (() => remove.mutate({ id, kind: 'lots' }, { onSuccess: onClose }))}
      onClose={onClose}
    >
      <SelectField
        label="Of"
        value={draft.materialId}
        options={materials.map(({ id: value, name }) => ({ value, label: name }))}
        onChange={(of) => set({ materialId: of })}
      />
      <LotFields edit={edit} />
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="checkbox"
          checked={draft.lumpy}
          onChange={(event) => set({ lumpy: event.target.checked })}
        />
        Lumps in it do not crush between the fingers: it is not used
      </label>
    </EditDialog>
  );
}

function LotFields({ edit: { draft, set, error, today } }: { edit: ReturnType<typeof useLot> }) {
  const { currency } = useUnits();
  return (
    <div className="grid grid-cols-2 gap-3">
      <QuantityField
        label="Bought"
        name="bought"
        dimension="mass"
        value={draft.bought}
        error={error('bought', 'Enter what the bag weighed, such as “25 kg”.')}
        onChange={(bought) => set({ bought })}
      />
      <QuantityField
        label="Left of it"
        name="left"
        dimension="mass"
        value={draft.left ?? draft.bought}
        onChange={(left) => set({ left })}
      />
      <TextField
        label={`Price of the lot, ${currency}`}
        name="price"
        autoComplete="off"
        inputMode="decimal"
        value={draft.price}
        error={error('price', 'Enter what it cost, such as 7.90; 0 if it was free.')}
        onChange={(event) => set({ price: event.target.value })}
      />
      <TextField
        label="Bought on"
        name="boughtAt"
        autoComplete="off"
        type="date"
        max={today}
        value={draft.day}
        onChange={(event) => set({ day: event.target.value })}
      />
      <TextField
        label="In how many bags"
        name="bags"
        autoComplete="off"
        type="number"
        min={1}
        defaultValue={draft.bags}
        error={error('bags', 'Enter a whole number, at least 1.')}
        onChange={(event) => set({ bags: event.target.valueAsNumber })}
      />
      <TextField
        label="Opened on (empty: closed)"
        name="openedAt"
        autoComplete="off"
        type="date"
        max={today}
        value={draft.opened}
        onChange={(event) => set({ opened: event.target.value })}
      />
    </div>
  );
}
