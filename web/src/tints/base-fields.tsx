import { isBinder } from '@dewpot/core/materials';
import type { TintInput } from '@dewpot/contract';
import type { Palette } from '../api/tints';
import { SelectField } from '../ui/select-field';

type Base = TintInput['base'];

/** What a tint stands on: cement with its sand, or a ready-made powder by itself. */
export function BaseFields({
  base,
  palette: { store },
  onChange,
}: {
  base: Base;
  palette: Palette;
  onChange: (base: Base) => void;
}) {
  const binders = store.materials.filter(isBinder);
  const sands = store.materials.filter(({ kind }) => kind === 'aggregate');
  const blend = binders.find(({ id }) => id === base.binderId)?.kind === 'pre-blend';
  const option = ({ id, name }: { id: string; name: string }) => ({ value: id, label: name });
  return (
    <div className="grid grid-cols-[1.5fr_1fr] gap-2">
      <SelectField
        label="On"
        value={base.binderId}
        options={binders.map(option)}
        onChange={(binderId) => {
          const powder = binders.find(({ id }) => id === binderId)?.kind === 'pre-blend';
          onChange({ binderId, ...(base.sandId && !powder && { sandId: base.sandId }) });
        }}
      />
      {blend ? (
        <p className="quiet self-end pb-2 text-sm">its sand is in the bag</p>
      ) : (
        <SelectField
          label="with"
          value={base.sandId ?? ''}
          options={[{ value: '', label: 'no sand' }, ...sands.map(option)]}
          onChange={(sandId) => onChange({ binderId: base.binderId, ...(sandId && { sandId }) })}
        />
      )}
    </div>
  );
}
