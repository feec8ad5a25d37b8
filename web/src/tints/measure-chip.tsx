import { useState } from 'react';
import { fixed } from '@dewpot/core/units';
import type { ColourMeasuredBy } from '@dewpot/core/tints';
import type { ChipReading, SwatchInput, SwatchView } from '@dewpot/contract';
import { useReadSwatch, useSaveSwatch } from '../api/tints';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { EditDialog } from '../ui/edit-dialog';
import { Failure } from '../ui/states';
import { PhotoColourPick } from '../ui/photo-colour';
import { useSay } from '../ui/say';

interface Found {
  readonly colour: string;
  readonly by: ColourMeasuredBy;
}

/** A chip's colour, measured by the reader, out of a photo, or set by eye. */
export function MeasureChip({ chip, onClose }: { chip: SwatchView; onClose: () => void }) {
  const say = useSay();
  const save = useSaveSwatch();
  const [by, setBy] = useState<'reader' | 'photo' | 'eye'>('reader');
  const [found, setFound] = useState<Found>();
  const keep = () => {
    if (!found) return;
    const { id, ...rest } = chip;
    const input: SwatchInput = { ...rest, measured: { ...found, at: Date.now() } };
    save.mutate({ id, input }, { onSuccess: onClose });
  };
  return (
    <EditDialog
      title={say('tints.colourOfChip', { chip: chip.name })}
      busy={save.isPending}
      disabled={!found}
      error={save.error}
      onSave={keep}
      onClose={onClose}
    >
      <Choice
        legend={say('tints.measured')}
        value={by}
        options={[
          { value: 'reader', label: say('tints.byReader'), hint: say('tints.surest') },
          { value: 'photo', label: say('tints.byPhoto'), hint: say('tints.withCard') },
          { value: 'eye', label: say('tints.byEye'), hint: say('tints.nothingLearned') },
        ]}
        onChange={(next) => {
          setBy(next);
          setFound(undefined);
        }}
      />
      {by === 'reader' && <ByReader id={chip.id} onRead={({ colour }) => setFound({ colour, by: 'reader' })} />}
      {by === 'photo' && (
        <PhotoColourPick onColour={({ colour, sure }) => setFound({ colour, by: sure ? 'photo' : 'photo-unsure' })} />
      )}
      {by === 'eye' && (
        <input
          type="color"
          className="h-14 w-28 cursor-pointer"
          aria-label={say('tints.itsColourDry')}
          value={found?.colour ?? '#b0a898'}
          onChange={(event) => setFound({ colour: event.target.value, by: 'eye' })}
        />
      )}
      <div
        className={`grid h-24 place-items-center ${found ? '' : 'border-base-300 border border-dashed'}`}
        style={found && { background: found.colour }}
      >
        {!found && <span className="quiet">{say('tints.noColourYet')}</span>}
      </div>
      {found && <p className="text-center text-sm">{found.colour}</p>}
    </EditDialog>
  );
}

/** The reader laid on the chip: three touches, and whether it is still damp. */
function ByReader({ id, onRead }: { id: string; onRead: (reading: ChipReading) => void }) {
  const say = useSay();
  const read = useReadSwatch();
  const { data } = read;
  return (
    <div className="space-y-2">
      <Button
        size="tall"
        className="w-full"
        disabled={read.isPending}
        onClick={() => read.mutate(id, { onSuccess: (reading) => !reading.damp && onRead(reading) })}
      >
        {read.isPending ? say('tints.readingChip') : data ? say('tints.layAgain') : say('tints.layReader')}
      </Button>
      <Failure error={read.error} />
      {data && (
        <p className={data.damp ? 'text-warning font-semibold' : 'quiet text-sm'}>
          {data.damp
            ? say('tints.stillDamp')
            : say('tints.readerTold', {
                device: data.device,
                touches: data.touches.length,
                spread: fixed(data.spread, 1),
              })}
        </p>
      )}
    </div>
  );
}
