import { isBinder } from '@dewpot/core/materials';
import type { TintInput } from '@dewpot/contract';
import type { Palette } from '../api/tints';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';

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
  const say = useSay();
  const binders = store.materials.filter(isBinder);
  const sands = store.materials.filter(({ kind }) => kind === 'aggregate');
  const blend = binders.find(({ id }) => id === base.binderId)?.kind === 'pre-blend';
  const option = ({ id, name }: { id: string; name: string }) => ({ value: id, label: name });
  return (
    <div className="grid grid-cols-[1.5fr_1fr] gap-2">
      <SelectField
        label={say('tints.on')}
        value={base.binderId}
        options={binders.map(option)}
        onChange={(binderId) => {
          const powder = binders.find(({ id }) => id === binderId)?.kind === 'pre-blend';
          onChange({ binderId, ...(base.sandId && !powder && { sandId: base.sandId }) });
        }}
      />
      {blend ? (
        <p className="quiet self-end pb-2 text-sm">{say('tints.sandInBag')}</p>
      ) : (
        <SelectField
          label={say('tints.with')}
          value={base.sandId ?? ''}
          options={[{ value: '', label: say('tints.noSand') }, ...sands.map(option)]}
          onChange={(sandId) => onChange({ binderId: base.binderId, ...(sandId && { sandId }) })}
        />
      )}
    </div>
  );
}
