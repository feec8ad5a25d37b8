import type { LotView, MaterialView } from '@dewpot/contract';
import { useRemoveStore } from '../api/materials';
import { CheckField } from '../ui/check-field';
import { EditDialog } from '../ui/edit-dialog';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { useUnits } from '../ui/units';
import { useLot } from './use-lot';
import { useSay } from '../ui/say';

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
  const say = useSay();
  const edit = useLot(lot, materialId, onClose);
  const remove = useRemoveStore();
  const { id, draft, set, save } = edit;
  return (
    <EditDialog
      title={lot ? say('materials.aLot') : say('materials.aNewLot')}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={edit.keep}
      onRemove={lot && (() => remove.mutate({ id, kind: 'lots' }, { onSuccess: onClose }))}
      onClose={onClose}
    >
      <SelectField
        label={say('materials.ofMaterial')}
        value={draft.materialId}
        options={materials.map(({ id: value, name }) => ({ value, label: name }))}
        onChange={(of) => set({ materialId: of })}
      />
      <LotFields edit={edit} />
      <CheckField label={say('materials.lumpy')} on={draft.lumpy} onChange={(lumpy) => set({ lumpy })} />
    </EditDialog>
  );
}

function LotFields({ edit: { draft, set, error, today } }: { edit: ReturnType<typeof useLot> }) {
  const say = useSay();
  const { currency } = useUnits();
  return (
    <div className="grid grid-cols-2 gap-3">
      <QuantityField
        label={say('materials.bought')}
        name="bought"
        dimension="mass"
        value={draft.bought}
        error={error('bought', say('materials.boughtWrong'))}
        onChange={(bought) => set({ bought })}
      />
      <QuantityField
        label={say('materials.leftOfIt')}
        name="left"
        dimension="mass"
        value={draft.left ?? draft.bought}
        onChange={(left) => set({ left })}
      />
      <TextField
        label={say('materials.priceOfLot', { currency })}
        name="price"
        autoComplete="off"
        inputMode="decimal"
        value={draft.price}
        error={error('price', say('materials.priceWrong'))}
        onChange={(event) => set({ price: event.target.value })}
      />
      <TextField
        label={say('materials.boughtOn')}
        name="boughtAt"
        autoComplete="off"
        type="date"
        max={today}
        value={draft.day}
        onChange={(event) => set({ day: event.target.value })}
      />
      <TextField
        label={say('materials.inBags')}
        name="bags"
        autoComplete="off"
        type="number"
        min={1}
        defaultValue={draft.bags}
        error={error('bags', say('materials.bagsWrong'))}
        onChange={(event) => set({ bags: event.target.valueAsNumber })}
      />
      <TextField
        label={say('materials.openedOn')}
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
