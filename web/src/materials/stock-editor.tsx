import { useState } from 'react';
import { msg, type Message } from '@dewpot/core/units';
import type { StockKind } from '@dewpot/core/cutting';
import type { StockView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { useRemoveStore, useSaveStore } from '../api/materials';
import { Choice } from '../ui/choice';
import { EditDialog } from '../ui/edit-dialog';
import { QuantityField } from '../ui/quantity-field';
import { TextField } from '../ui/text-field';
import { useSay } from '../ui/say';
import { useUnits } from '../ui/units';

const kinds = [
  { value: 'stick', label: msg('materials.stockStick') },
  { value: 'sheet', label: msg('materials.stockSheet') },
  { value: 'mesh', label: msg('materials.stockMesh') },
] as const satisfies readonly { value: StockKind; label: Message }[];

/** Sizes that are usual where one begins, mm. */
const usual: Readonly<Record<StockKind, { length: number; width: number; thickness: number }>> = {
  stick: { length: 2400, width: 95, thickness: 18 },
  sheet: { length: 1220, width: 610, thickness: 12 },
  mesh: { length: 2000, width: 1000, thickness: 1 },
};
const sizes = [['length', msg('materials.stockLength')], ['width', msg('materials.stockWidth')], ['thickness', msg('materials.stockThickness')]] as const; // prettier-ignore

type Draft = { [Field in 'length' | 'width' | 'thickness']: number | undefined } & { name: string; kind: StockKind; count: number; price: number | undefined }; // prettier-ignore

/** Sticks, sheets or mesh of a size: how many one has, and what one costs. */
export function StockEditor({ stock, onClose }: { stock: StockView | undefined; onClose: () => void }) {
  const say = useSay();
  const { currency } = useUnits();
  const save = useSaveStore();
  const remove = useRemoveStore();
  const [id] = useState(() => stock?.id ?? uuid());
  const [draft, setDraft] = useState<Draft>(stock ? { ...stock, price: stock.price } : { name: '', kind: 'sheet', count: 1, price: undefined, ...usual.sheet });
  const [missing, setMissing] = useState(false);
  const set = (part: Partial<Draft>) => setDraft((one) => ({ ...one, ...part }));
  const { name, kind, count, price, length, width, thickness } = draft;
  const keep = () => {
    if (!name.trim() || !length || !width || !thickness) return setMissing(true);
    const input = { name: name.trim(), kind, length, width, thickness, count, ...(price !== undefined && { price }), version: stock?.version ?? 0 };
    save.mutate({ id, kind: 'stock', input }, { onSuccess: onClose });
  };
  const number = (label: string, value: number | undefined, step: string, put: (value: number | undefined) => void) => (
    <TextField label={label} type="number" min="0" step={step} defaultValue={value} onChange={({ target }) => put(Number.isFinite(target.valueAsNumber) ? target.valueAsNumber : undefined)} />
  );
  return (
    <EditDialog
      title={stock ? stock.name : say('materials.aStock')}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={keep}
      onRemove={stock && (() => remove.mutate({ id, kind: 'stock' }, { onSuccess: onClose }))}
      onClose={onClose}
    >
      <TextField label={say('materials.whatYouCall')} name="name" autoComplete="off" value={name} maxLength={60} placeholder={say('materials.stockHint')} error={missing && !name.trim() ? say('materials.stockName') : undefined} onChange={({ target }) => set({ name: target.value })} />
      <Choice legend={say('materials.kind')} options={kinds} value={kind} onChange={(next) => set({ kind: next, ...(!stock && usual[next]) })} />
      <div className="grid grid-cols-3 gap-3">
        {sizes.map(([field, label]) => (
          <QuantityField key={field} label={say(label)} name={field} dimension="length" value={draft[field]} error={missing && !draft[field] ? msg('materials.stockSize') : undefined} onChange={(next) => set({ [field]: next })} />
        ))}
      </div>
      <div className="grid grid-cols-2 gap-3">
        {number(say('materials.stockHowMany'), count, '1', (next = 0) => set({ count: Math.round(next) }))}
        {number(say('materials.stockPrice', { currency }), price, 'any', (next) => set({ price: next }))}
      </div>
    </EditDialog>
  );
} // prettier-ignore
