import { pieceGuides, type MouldFlexibility, type PieceKind } from '@dewpot/core/moulds';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import type { MouldDraft } from './draft';

const flexibilities: readonly { readonly value: MouldFlexibility; readonly label: string }[] = [
  { value: 'rigid', label: 'Rigid' },
  { value: 'flexible', label: 'Flexible' },
  { value: 'apart', label: 'Take-apart' },
];

/** What the mould is called, what it makes, and how its wall is. */
export function HeadSlab({
  draft,
  unnamed,
  onChange,
  onReplace,
}: {
  draft: MouldDraft;
  unnamed: boolean;
  onChange: (part: Partial<MouldDraft>) => void;
  onReplace: (draft: MouldDraft) => void;
}) {
  const { meshOpening: _, ...unmeshed } = draft;
  return (
    <section className="card-slab">
      <h1 className="sr-only">{draft.name || 'A new mould'}</h1>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label="Name"
          name="name"
          autoComplete="off"
          value={draft.name}
          maxLength={80}
          error={unnamed && !draft.name.trim() ? 'Give it a name, such as “Tall herb pot”.' : undefined}
          onChange={(event) => onChange({ name: event.target.value })}
        />
        <SelectField<PieceKind>
          label="Kind of piece"
          value={draft.piece}
          options={(Object.keys(pieceGuides) as PieceKind[]).map((value) => ({
            value,
            label: pieceGuides[value].name,
          }))}
          onChange={(piece) => onChange({ piece })}
        />
      </div>
      <WallFields draft={draft} onChange={onChange} />
      <div className="mt-3 flex flex-wrap gap-3">
        {draft.shape.cores.length > 0 && !draft.shape.pressed && (
          <QuantityField
            className="w-44"
            label="The empty core weighs"
            name="coreMass"
            dimension="mass"
            value={draft.coreMass}
            onChange={(coreMass = 0) => onChange({ coreMass })}
          />
        )}
        <QuantityField
          className="w-44"
          label="Opening of mesh laid in"
          name="meshOpening"
          dimension="length"
          value={draft.meshOpening}
          onChange={(meshOpening) => onReplace(meshOpening ? { ...draft, meshOpening } : unmeshed)}
        />
      </div>
    </section>
  );
}

/** How the mould's wall is, and how long it lasts. */
function WallFields({ draft, onChange }: { draft: MouldDraft; onChange: (part: Partial<MouldDraft>) => void }) {
  return (
    <>
      <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
        <Choice
          legend="Mould type"
          value={draft.flexibility}
          options={flexibilities}
          onChange={(flexibility) => onChange({ flexibility })}
        />
        <Choice
          legend="Use"
          value={draft.once ? 'once' : 'often'}
          options={[
            { value: 'often', label: 'Reusable' },
            { value: 'once', label: 'Single-use or rebuilt' },
          ]}
          onChange={(lasts) => onChange({ once: lasts === 'once', ...(lasts === 'once' && { copies: [] }) })}
        />
      </div>
      {draft.flexibility === 'flexible' && (
        <label className="mt-2 flex min-h-11 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            className="checkbox"
            checked={draft.sleeve ?? false}
            onChange={(event) => onChange({ sleeve: event.target.checked })}
          />
          Supported by a mother mould
        </label>
      )}
      {draft.once && (
        <TextField
          className="mt-3"
          label="What is rebuilt each time"
          value={draft.remake ?? ''}
          maxLength={300}
          onChange={(event) => onChange({ remake: event.target.value })}
        />
      )}
    </>
  );
}
