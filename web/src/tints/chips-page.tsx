import { useMemo, useState } from 'react';
import { colourDifference, learnColours, sureOf, tintOf } from '@dewpot/core/tints';
import type { SwatchInput, SwatchView } from '@dewpot/contract';
import { usePalette, type Palette } from '../api/tints';
import { Button } from '../ui/button';
import { Busy, Empty, Failure } from '../ui/states';
import { exactly, sayDay } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { ChipForm } from './chip-form';
import { MeasureChip } from './measure-chip';
import { PigmentsSlab } from './pigments-slab';
import { TintHead, TintRoom } from './tint-nav';
import { dryOf, firstBase, sayDoses, within } from './tint-words';

const measuredWords = {
  reader: 'read by the reader',
  photo: 'from a photo with a card',
  'photo-unsure': 'from a photo without a card: unsure',
  eye: 'set by eye',
} as const;

type Doing =
  { readonly what: 'edit'; readonly chip?: SwatchView } | { readonly what: 'measure'; readonly chip: SwatchView };

/** The caster's own test chips, with what was predicted before and after, and what was measured. */
export function ChipsPage() {
  const { palette, error, isPending } = usePalette();
  const [doing, setDoing] = useState<Doing>();
  const untaught = useMemo(() => palette && { ...palette, colours: learnColours([]) }, [palette]);
  if (isPending) return <Busy what="the chips" />;
  if (!palette || !untaught) return <Failure error={error} />;
  const base = firstBase(palette);
  const first: SwatchInput | undefined = base && { name: '', base, doses: [], version: 0 };
  const newest = [...palette.swatches].reverse();
  return (
    <TintRoom>
      <TintHead title="Test chips">
        <Button look="main" disabled={!first} onClick={() => setDoing({ what: 'edit' })}>
          Log a chip
        </Button>
      </TintHead>
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
        {newest.length === 0 ? (
          <Empty title="No chips yet">
            <p>
              One small chip of a pigment, cast, dried and measured, tells more than any table. Begin with a dose
              ladder, or log a chip that you have.
            </p>
          </Empty>
        ) : (
          <ul className="space-y-3">
            {newest.map((chip) => (
              <ChipRow key={chip.id} {...{ chip, palette, untaught }} onDo={setDoing} />
            ))}
          </ul>
        )}
        <PigmentsSlab palette={palette} />
      </div>
      {doing?.what === 'edit' && first && (
        <ChipForm chip={doing.chip} first={first} palette={palette} onClose={() => setDoing(undefined)} />
      )}
      {doing?.what === 'measure' && <MeasureChip chip={doing.chip} onClose={() => setDoing(undefined)} />}
    </TintRoom>
  );
}

function ChipRow({
  chip,
  palette,
  untaught,
  onDo,
}: {
  chip: SwatchView;
  palette: Palette;
  untaught: Palette;
  onDo: (doing: Doing) => void;
}) {
  const now = useNow();
  const { name, castAt, measured, ratio } = chip;
  const tint = tintOf(chip, palette.find);
  const shown = [
    ['predicted untried', dryOf(chip, untaught)],
    ['predicted now', dryOf(chip, palette)],
    ['measured', measured?.colour],
  ] as const;
  return (
    <li className="card-slab grid gap-3 sm:grid-cols-[1fr_minmax(0,1.2fr)]">
      <div>
        <h2 className="text-xl leading-tight">{name}</h2>
        <p className="quiet text-sm">
          {tint && `${sayDoses(tint.doses)}, on ${within(tint.base.binder.name)}`}
          {ratio !== undefined && `, w/c ${ratio.toFixed(2)}`}
        </p>
        <p className="text-sm" title={castAt === undefined ? undefined : exactly(castAt)}>
          {castAt === undefined ? 'planned, not cast yet' : `cast ${sayDay(castAt, now)}`}
          {measured && `, ${measuredWords[measured.by]}`}
        </p>
        {measured && !sureOf(measured.by) && <p className="text-warning text-sm">Too unsure to learn from.</p>}
        <p className="mt-2 flex flex-wrap gap-2">
          {castAt !== undefined && (
            <Button look={measured ? 'soft' : 'main'} size="low" onClick={() => onDo({ what: 'measure', chip })}>
              {measured ? 'Measure again' : 'Measure its colour'}
            </Button>
          )}
          <Button look="plain" size="low" onClick={() => onDo({ what: 'edit', chip })}>
            {castAt === undefined ? 'It is cast' : 'Change'}
          </Button>
        </p>
      </div>
      <ul className="grid grid-cols-3 gap-px self-start">
        {shown.map(([label, colour]) => (
          <li key={label}>
            <span
              className={`block h-20 ${colour ? '' : 'border-base-300 border border-dashed'}`}
              style={colour ? { background: colour } : undefined}
              aria-hidden="true"
            />
            <span className="block text-xs leading-tight sm:text-sm">{label}</span>
            {label !== 'measured' && colour && measured && (
              <span className="quiet block text-xs">
                error ΔE {colourDifference(colour, measured.colour).toFixed(1)}
              </span>
            )}
          </li>
        ))}
      </ul>
    </li>
  );
}
