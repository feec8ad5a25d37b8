import { useMemo, useState } from 'react';
import { fixed, msg } from '@dewpot/core/units';
import { colourDifference, learnColours, sureOf, tintOf } from '@dewpot/core/tints';
import type { SwatchInput, SwatchView } from '@dewpot/contract';
import { usePalette, type Palette } from '../api/tints';
import { Button } from '../ui/button';
import { Busy, Empty, Failure } from '../ui/states';
import { exactTime, dayOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { ChipForm } from './chip-form';
import { MeasureChip } from './measure-chip';
import { PigmentsSlab } from './pigments-slab';
import { TintHead, TintRoom } from './tint-nav';
import { dryOf, firstBase, tellTint } from './tint-words';
import { useSay } from '../ui/say';

const measuredWords = {
  reader: msg('tints.readByReader'),
  photo: msg('tints.readByCard'),
  'photo-unsure': msg('tints.readUnsure'),
  eye: msg('tints.setByEye'),
} as const;

type Doing =
  { readonly what: 'edit'; readonly chip?: SwatchView } | { readonly what: 'measure'; readonly chip: SwatchView };

/** The caster's own test chips, with what was predicted before and after, and what was measured. */
export function ChipsPage() {
  const say = useSay();
  const { palette, error, isPending } = usePalette();
  const [doing, setDoing] = useState<Doing>();
  const untaught = useMemo(() => palette && { ...palette, colours: learnColours([]) }, [palette]);
  if (isPending) return <Busy what={say('tints.busyChips')} />;
  if (!palette || !untaught) return <Failure error={error} />;
  const base = firstBase(palette);
  const first: SwatchInput | undefined = base && { name: '', base, doses: [], version: 0 };
  const newest = [...palette.swatches].reverse();
  return (
    <TintRoom>
      <TintHead title={say('shell.testChips')}>
        <Button needs="caster" look="main" disabled={!first} onClick={() => setDoing({ what: 'edit' })}>
          {say('tints.logChip')}
        </Button>
      </TintHead>
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
        {newest.length === 0 ? (
          <Empty title={say('tints.noChipsYet')}>
            <p>{say('tints.noChipsHow')}</p>
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
  const say = useSay();
  const now = useNow();
  const { name, castAt, measured, ratio } = chip;
  const tint = tintOf(chip, palette.find);
  const shown = [
    ['untried', msg('tints.predictedUntried'), dryOf(chip, untaught)],
    ['now', msg('tints.predictedNow'), dryOf(chip, palette)],
    ['measured', msg('tints.measuredShort'), measured?.colour],
  ] as const;
  return (
    <li className="card-slab grid gap-3 sm:grid-cols-[1fr_minmax(0,1.2fr)]">
      <div>
        <h2 className="text-xl leading-tight">{name}</h2>
        <p className="quiet text-sm">
          {tint &&
            (ratio === undefined
              ? say(tellTint(tint))
              : say('tints.withRatio', { told: tellTint(tint), ratio: fixed(ratio, 2) }))}
        </p>
        <p className="text-sm" title={castAt === undefined ? undefined : say(exactTime(castAt))}>
          {castAt === undefined
            ? say('tints.plannedNotCast')
            : say('tints.castWhen', { castAt: say(dayOf(castAt, now)) })}
          {measured && `, ${say(measuredWords[measured.by])}`}
        </p>
        {measured && !sureOf(measured.by) && <p className="text-warning text-sm">{say('tints.tooUnsure')}</p>}
        <p className="mt-2 flex flex-wrap gap-2">
          {castAt !== undefined && (
            <Button look={measured ? 'soft' : 'main'} size="low" onClick={() => onDo({ what: 'measure', chip })}>
              {measured ? say('tints.measureAgain') : say('tints.measureColour')}
            </Button>
          )}
          <Button look="plain" size="low" onClick={() => onDo({ what: 'edit', chip })}>
            {castAt === undefined ? say('tints.itIsCast') : say('tints.change')}
          </Button>
        </p>
      </div>
      <ul className="grid grid-cols-3 gap-px self-start">
        {shown.map(([key, label, colour]) => (
          <li key={key}>
            <span
              className={`block h-20 ${colour ? '' : 'border-base-300 border border-dashed'}`}
              style={colour ? { background: colour } : undefined}
              aria-hidden="true"
            />
            <span className="block text-xs leading-tight sm:text-sm">{say(label)}</span>
            {key !== 'measured' && colour && measured && (
              <span className="quiet block text-xs">
                {say('tints.errorDelta', { colour: fixed(colourDifference(colour, measured.colour), 1) })}
              </span>
            )}
          </li>
        ))}
      </ul>
    </li>
  );
}
