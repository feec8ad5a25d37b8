import { msg, type Phrase } from '@dewpot/core/units';
import { pieceGuides, type MouldFlexibility, type PieceKind } from '@dewpot/core/moulds';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import type { MouldDraft } from './draft';
import { useSay } from '../ui/say';

const flexibilities: readonly { readonly value: MouldFlexibility; readonly label: Phrase }[] = [
  { value: 'rigid', label: msg('moulds.rigid') },
  { value: 'flexible', label: msg('moulds.flexible') },
  { value: 'apart', label: msg('moulds.takeApart') },
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
  const say = useSay();
  const { meshOpening: _, ...unmeshed } = draft;
  return (
    <section className="card-slab">
      <h1 className="sr-only">{draft.name || say('moulds.newMould')}</h1>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label={say('moulds.name')}
          name="name"
          autoComplete="off"
          value={draft.name}
          maxLength={80}
          error={unnamed && !draft.name.trim() ? say('moulds.giveName') : undefined}
          onChange={(event) => onChange({ name: event.target.value })}
        />
        <SelectField<PieceKind>
          label={say('moulds.kindOfPiece')}
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
            label={say('moulds.emptyCoreWeighs')}
            name="coreMass"
            dimension="mass"
            value={draft.coreMass}
            onChange={(coreMass = 0) => onChange({ coreMass })}
          />
        )}
        <QuantityField
          className="w-44"
          label={say('moulds.meshOpeningField')}
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
  const say = useSay();
  return (
    <>
      <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
        <Choice
          legend={say('moulds.mouldType')}
          value={draft.flexibility}
          options={flexibilities}
          onChange={(flexibility) => onChange({ flexibility })}
        />
        <Choice
          legend={say('moulds.use')}
          value={draft.once ? 'once' : 'often'}
          options={[
            { value: 'often', label: say('moulds.reusable') },
            { value: 'once', label: say('moulds.singleUse') },
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
          {say('moulds.motherMould')}
        </label>
      )}
      {draft.once && (
        <TextField
          className="mt-3"
          label={say('moulds.whatRebuilt')}
          value={draft.remake ?? ''}
          maxLength={300}
          onChange={(event) => onChange({ remake: event.target.value })}
        />
      )}
    </>
  );
}
