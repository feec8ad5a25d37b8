import { useState } from 'react';
import type { LotView, MaterialView } from '@dewpot/contract';
import { format } from 'date-fns';
import { v7 as uuid } from 'uuid';
import { useRemoveStore, useSaveStore } from '../api/materials';
import { EditDialog } from '../ui/edit-dialog';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';

const noon = (day: string) => new Date(`${day}T12:00`).getTime();

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
  const { system, currency } = useUnits();
  const now = useNow();
  const save = useSaveStore();
  const remove = useRemoveStore();
  const [id] = useState(() => lot?.id ?? uuid());
  const [material, setMaterial] = useState(materialId);
  const [bought, setBought] = useState<number | undefined>(lot?.bought ?? 25_000);
  const [left, setLeft] = useState<number | undefined>(lot?.left);
  const [price, setPrice] = useState(String(lot?.price ?? ''));
  const [day, setDay] = useState(format(lot?.boughtAt ?? now, 'yyyy-MM-dd'));
  const [bags, setBags] = useState(lot?.bags ?? 1);
  const [opened, setOpened] = useState(lot?.openedAt === undefined ? '' : format(lot.openedAt, 'yyyy-MM-dd'));
  const [lumpy, setLumpy] = useState(lot?.lumpy ?? false);
  const [tried, setTried] = useState(false);
  const money = Number(price.replace(',', '.'));
  const priceWrong = price.trim() === '' || !Number.isFinite(money) || money < 0;
  const bagsWrong = !Number.isInteger(bags) || bags < 1;
  const keep = () => {
    if (bought === undefined || priceWrong || bagsWrong) return setTried(true);
    save.mutate(
      {
        id,
        kind: 'lots',
        input: {
          materialId: material,
          bought,
          left: left ?? bought,
          price: money,
          boughtAt: noon(day),
          ...(opened && { openedAt: noon(opened) }),
          bags,
          lumpy,
          version: lot?.version ?? 0,
        },
      },
      { onSuccess: onClose },
    );
  };
  return (
    <EditDialog
      title={lot ? 'A lot' : 'A new lot'}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={keep}
      onRemove={lot && (() => remove.mutate({ id, kind: 'lots' }, { onSuccess: onClose }))}
      onClose={onClose}
    >
      <SelectField
        label="Of"
        value={material}
        options={materials.map(({ id: value, name }) => ({ value, label: name }))}
        onChange={setMaterial}
      />
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="Bought"
          name="bought"
          dimension="mass"
          system={system}
          value={bought}
          error={tried && bought === undefined ? 'Enter what the bag weighed, such as “25 kg”.' : undefined}
          onChange={setBought}
        />
        <QuantityField
          label="Left of it"
          name="left"
          dimension="mass"
          system={system}
          value={left ?? bought}
          onChange={setLeft}
        />
        <TextField
          label={`Price of the lot, ${currency}`}
          inputMode="decimal"
          value={price}
          error={tried && priceWrong ? 'Enter what it cost, such as 7.90; 0 if it was free.' : undefined}
          onChange={(event) => setPrice(event.target.value)}
        />
        <TextField
          label="Bought on"
          type="date"
          max={format(now, 'yyyy-MM-dd')}
          value={day}
          onChange={(event) => setDay(event.target.value)}
        />
        <TextField
          label="In how many bags"
          type="number"
          min={1}
          defaultValue={bags}
          error={tried && bagsWrong ? 'Enter a whole number, at least 1.' : undefined}
          onChange={(event) => setBags(event.target.valueAsNumber)}
        />
        <TextField
          label="Opened on (empty: closed)"
          type="date"
          max={format(now, 'yyyy-MM-dd')}
          value={opened}
          onChange={(event) => setOpened(event.target.value)}
        />
      </div>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="checkbox"
          checked={lumpy}
          onChange={(event) => setLumpy(event.target.checked)}
        />
        Lumps in it do not crush between the fingers: it is not used
      </label>
    </EditDialog>
  );
}
