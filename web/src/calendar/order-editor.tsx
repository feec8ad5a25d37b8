import { useState } from 'react';
import { wantedStates } from '@dewpot/core/calendar';
import { sealers, type SealerKind } from '@dewpot/core/materials';
import type { OrderLineInput } from '@dewpot/contract';
import { format } from 'date-fns';
import { Trash2 } from 'lucide-react';
import { useRemoveOrder, useSaveOrder } from '../api/orders';
import { Button } from '../ui/button';
import { EditDialog } from '../ui/edit-dialog';
import { IconButton } from '../ui/icon-button';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { useSay } from '../ui/say';
import { endOf, firstLine, type OrderDraft } from './order-draft';
import { stateWords } from './state-words';
import type { CalendarKnown } from './use-calendar-data';

/** An order: whose it is, and its lines of mould, mix and tint, number, state and date. */
export function OrderEditor({
  first,
  known,
  onClose,
}: {
  first: OrderDraft;
  known: CalendarKnown;
  onClose: () => void;
}) {
  const say = useSay();
  const save = useSaveOrder();
  const remove = useRemoveOrder();
  const [draft, setDraft] = useState(first);
  const [tried, setTried] = useState(false);
  const set = (part: Partial<OrderDraft>) => setDraft({ ...draft, ...part });
  const setLine = (i: number, line: OrderLineInput) => set({ lines: draft.lines.with(i, line) });
  const keep = () => {
    const { id, ...input } = draft;
    const nameless = input.name.trim() === '';
    const countless = input.lines.some(({ count }) => !Number.isInteger(count) || count < 1);
    if (nameless || countless || input.lines.length === 0) return setTried(true);
    save.mutate({ id, input }, { onSuccess: onClose });
  };
  const places = known.data.facts.places.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <EditDialog
      title={first.version > 0 ? say('calendar.anOrder') : say('calendar.newOrder')}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={keep}
      onRemove={first.version > 0 ? () => remove.mutate(draft.id, { onSuccess: onClose }) : undefined}
      onClose={onClose}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label={say('calendar.orderName')}
          name="name"
          autoComplete="off"
          maxLength={80}
          value={draft.name}
          error={tried && draft.name.trim() === '' ? say('calendar.nameIt') : undefined}
          onChange={({ target }) => set({ name: target.value })}
        />
        <SelectField
          label={say('calendar.pouredAt')}
          value={draft.placeId ?? places[0]?.value ?? ''}
          options={places}
          onChange={(placeId) => set({ placeId })}
        />
      </div>
      {draft.lines.map((line, i) => (
        <LineFields
          key={line.id}
          line={line}
          known={known}
          tried={tried}
          onChange={(next) => setLine(i, next)}
          onRemove={draft.lines.length > 1 ? () => set({ lines: draft.lines.toSpliced(i, 1) }) : undefined}
        />
      ))}
      <Button
        onClick={() => {
          const last = draft.lines[draft.lines.length - 1];
          const line = firstLine(known, last);
          if (line) set({ lines: [...draft.lines, line] });
        }}
      >
        {say('calendar.addLine')}
      </Button>
      {first.version > 0 && (
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="checkbox"
            checked={draft.closed ?? false}
            onChange={({ target }) => set({ closed: target.checked })}
          />
          {say('calendar.closed')}
        </label>
      )}
    </EditDialog>
  );
}

interface LineFieldsProps {
  readonly line: OrderLineInput;
  readonly known: CalendarKnown;
  readonly tried: boolean;
  readonly onChange: (line: OrderLineInput) => void;
  readonly onRemove: (() => void) | undefined;
}

/** One line of an order. */
function LineFields({ line, known, tried, onChange, onRemove }: LineFieldsProps) {
  const say = useSay();
  const { moulds, mixes, tints } = known.data;
  const without = <K extends keyof OrderLineInput>(key: K) => {
    const { [key]: _, ...rest } = line;
    return rest as OrderLineInput;
  };
  const sealed = line.state === 'sealed' || line.state === 'hardened';
  return (
    <fieldset className="border-base-300 grid gap-3 border p-3 sm:grid-cols-3">
      <legend className="px-1 text-sm font-semibold">{say('calendar.line')}</legend>
      <TextField
        label={say('calendar.howMany')}
        name="count"
        type="number"
        min={1}
        max={500}
        defaultValue={line.count}
        error={tried && !(Number.isInteger(line.count) && line.count > 0) ? say('calendar.enterCount') : undefined}
        onChange={({ target }) => onChange({ ...line, count: target.valueAsNumber })}
      />
      <SelectField
        label={say('calendar.mould')}
        className="sm:col-span-2"
        value={line.mouldId}
        options={moulds.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(mouldId) => onChange({ ...line, mouldId })}
      />
      <SelectField
        label={say('calendar.mix')}
        value={line.mixId}
        options={mixes.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(mixId) => onChange({ ...line, mixId })}
      />
      <SelectField
        label={say('calendar.tint')}
        value={line.tintId ?? ''}
        options={[
          { value: '', label: say('calendar.ownColour') },
          ...tints.tints.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(tintId) => onChange(tintId ? { ...line, tintId } : without('tintId'))}
      />
      <SelectField
        label={say('calendar.state')}
        value={line.state}
        options={wantedStates.map((value) => ({ value, label: stateWords[value] }))}
        onChange={(state) => onChange({ ...line, state })}
      />
      <TextField
        label={say('calendar.by')}
        type="date"
        value={line.by === undefined ? '' : format(line.by, 'yyyy-MM-dd')}
        min={format(known.data.facts.now, 'yyyy-MM-dd')}
        onChange={({ target }) => onChange(target.value ? { ...line, by: endOf(target.value) } : without('by'))}
      />
      <TextField
        label={say('calendar.joining')}
        type="number"
        min={0}
        max={2000}
        defaultValue={line.joining ?? ''}
        onChange={({ target }) =>
          onChange(target.valueAsNumber > 0 ? { ...line, joining: target.valueAsNumber } : without('joining'))
        }
      />
      {sealed && (
        <>
          <SelectField
            label={say('calendar.sealer')}
            value={line.sealer ?? 'penetrating'}
            options={(Object.keys(sealers) as SealerKind[]).map((value) => ({ value, label: sealers[value].name }))}
            onChange={(sealer) => onChange({ ...line, sealer })}
          />
          <SelectField
            label={say('calendar.coats')}
            value={line.coats ?? 2}
            options={[1, 2, 3, 4].map((value) => ({ value, label: String(value) }))}
            onChange={(coats) => onChange({ ...line, coats })}
          />
        </>
      )}
      {onRemove && (
        <div className="flex items-end">
          <IconButton label={say('calendar.removeLine')} icon={Trash2} onClick={onRemove} />
        </div>
      )}
    </fieldset>
  );
}
