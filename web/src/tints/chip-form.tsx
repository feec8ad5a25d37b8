import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { InputError, exactly, listed, msg, quantity } from '@dewpot/core/units';
import { chipGrams, tintOf, type ChipGrams } from '@dewpot/core/tints';
import type { SwatchInput, SwatchView } from '@dewpot/contract';
import { format } from 'date-fns';
import { v7 as uuid } from 'uuid';
import { useRemoveSwatch, useSaveSwatch, type Palette } from '../api/tints';
import { EditDialog } from '../ui/edit-dialog';
import { NumberField } from '../ui/number-field';
import { FigureWorking } from '../ui/figure-working';
import { TextField } from '../ui/text-field';
import { useDay } from '../ui/use-now';
import { BaseFields } from './base-fields';
import { BottleHelp } from './bottle-help';
import { PigmentDoses } from './pigment-doses';
import { calculateTintBody, tellDoses } from './tint-words';
import { useSay } from '../ui/say';

const draftOf = ({ id: _, ...chip }: SwatchView): SwatchInput => chip;
const NOON = 12 * 3_600_000;

function gramsOf(draft: SwatchInput, palette: Palette): ChipGrams | undefined {
  const tint = tintOf(draft, palette.find);
  try {
    return tint && chipGrams(tint);
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** A chip's doses and base, with the grams for one small one, and the day it was cast. */
export function ChipForm({
  chip,
  first,
  palette,
  onClose,
}: {
  chip: SwatchView | undefined;
  first: SwatchInput;
  palette: Palette;
  onClose: () => void;
}) {
  const say = useSay();
  const save = useSaveSwatch();
  const remove = useRemoveSwatch();
  const today = useDay();
  const [id] = useState(() => chip?.id ?? uuid());
  const [draft, setDraft] = useState<SwatchInput>(() => (chip ? draftOf(chip) : { ...first, castAt: today }));
  const set = (part: Partial<SwatchInput>) => setDraft({ ...draft, ...part });
  const { errors } = calculateTintBody(draft, palette);
  const grams = gramsOf(draft, palette);
  const doses = tintOf(draft, palette.find)?.doses ?? [];
  const words = say.value(tellDoses(doses));
  const keep = () => {
    const { castAt, ratio, ...rest } = draft;
    save.mutate(
      {
        id,
        input: {
          ...rest,
          name: draft.name.trim() || (doses.length === 0 ? say('tints.baseByItself') : words),
          ...(castAt !== undefined && { castAt }),
          ...(ratio !== undefined && Number.isFinite(ratio) && { ratio }),
        },
      },
      { onSuccess: onClose },
    );
  };
  return (
    <EditDialog
      title={chip ? chip.name : say('tints.aChip')}
      busy={save.isPending || remove.isPending}
      error={save.error ?? remove.error}
      onSave={keep}
      onRemove={chip && (() => remove.mutate(id, { onSuccess: onClose }))}
      onClose={onClose}
    >
      <TextField
        label={say('tints.itsLabel')}
        placeholder={words}
        value={draft.name}
        maxLength={80}
        onChange={(event) => set({ name: event.target.value })}
      />
      <BaseFields base={draft.base} palette={palette} onChange={(base) => set({ base })} />
      <PigmentDoses doses={draft.doses} palette={palette} errors={errors} onChange={(next) => set({ doses: next })} />
      {grams && <OneChip grams={grams} />}
      {doses.length === 1 && (
        <BottleHelp
          material={defined(doses[0]).material}
          binder={grams?.binder.value}
          onShare={(amount) => set({ doses: [{ ...defined(draft.doses[0]), amount }] })}
        />
      )}
      <CastOn draft={draft} today={today} onChange={setDraft} />
      <p className="quiet text-sm">{say('tints.chipCaution')}</p>
    </EditDialog>
  );
}

/** What goes into one small chip. */
function OneChip({ grams }: { grams: ChipGrams }) {
  const say = useSay();
  return (
    <div className="border-base-300 border-l-4 pl-3">
      <p>
        {say('tints.oneChipTakes', {
          sizes: say('tints.sizes', { length: exactly(60, 'mm'), width: exactly(40, 'mm'), height: exactly(8, 'mm') }),
          parts: listed(
            [grams.binder, ...(grams.sand ? [grams.sand] : []), ...grams.pigments].map(({ value, working }) =>
              msg('tints.chipPart', {
                mass: quantity(value, 'g', 2),
                what: defined(working[working.length - 1]).label,
              }),
            ),
          ),
          water: quantity(grams.water.value, 'mL', 1),
        })}
      </p>
      <FigureWorking figure={grams.binder} />
    </div>
  );
}

/** The day that a chip was cast, and its water. */
function CastOn({
  draft,
  today,
  onChange,
}: {
  draft: SwatchInput;
  today: number;
  onChange: (draft: SwatchInput) => void;
}) {
  const say = useSay();
  return (
    <div className="grid grid-cols-2 gap-3">
      <TextField
        label={say('tints.castOn')}
        type="date"
        max={format(today, 'yyyy-MM-dd')}
        value={draft.castAt === undefined ? '' : format(draft.castAt, 'yyyy-MM-dd')}
        onChange={({ target }) => {
          const { castAt: _, ...rest } = draft;
          const day = target.value ? Date.parse(`${target.value}T00:00`) : NaN;
          onChange(Number.isFinite(day) ? { ...rest, castAt: Math.min(day + NOON, today) } : rest);
        }}
      />
      <div>
        <span className="mb-1 block text-sm font-semibold" aria-hidden="true">
          {say('mixes.waterCement')}
        </span>
        <NumberField
          label={say('mixes.waterCement')}
          className="w-full"
          value={draft.ratio ?? NaN}
          onChange={(ratio) => onChange({ ...draft, ratio })}
        />
      </div>
    </div>
  );
}
