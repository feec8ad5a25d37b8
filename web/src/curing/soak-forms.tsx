import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { bathNote, baths, leaching, type Bath } from '@dewpot/core/curing';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { NumberField } from '../ui/number-field';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { bathWords } from '../ui/casts/event-words';
import { useSay } from '../ui/say';

const usualHours: Record<Bath, readonly number[]> = { water: [24, 72, 168], vinegar: [4, 8, 24], leach: [24, 48] };
const hoursInWords = (hours: number) => (hours < 24 ? `${hours} h` : hours === 24 ? 'a day' : `${hours / 24} days`);

/** A bath: to keep it wet, to take lime off its face, or to leach it for plants; with the caution that goes with it. */
export function SoakForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const { binderClass } = defined(casts[0]).snapshot;
  const [bath, setBath] = useState<Bath>('water');
  const [hours, setHours] = useState(defined(usualHours.water[0]));
  const note = bathNote(bath, binderClass);
  return (
    <div className="space-y-4">
      <Choice
        legend={say('curing.whichBath')}
        options={(Object.keys(baths) as Bath[]).map((value) => ({
          value,
          label: bathWords[value],
          hint: baths[value].does,
        }))}
        value={bath}
        onChange={(next) => {
          setBath(next);
          setHours(defined(usualHours[next][0]));
        }}
      />
      <Choice
        legend={say('curing.howLong')}
        options={usualHours[bath].map((value) => ({ value, label: hoursInWords(value) }))}
        value={hours}
        onChange={setHours}
      />
      {note && <p className="text-accent font-semibold">{say(note)}</p>}
      <p className="border-accent border-l-4 pl-3">{say(baths[bath].caution)}</p>
      <DoneButton
        casts={casts}
        busy={busy}
        record={record}
        said={`${say.value(bathWords[bath])}, ${hoursInWords(hours)}.`}
        event={{ type: 'soaked', bath, hours }}
      >
        {say('curing.inItNow', { hours: hoursInWords(hours) })}
      </DoneButton>
      <StripForm casts={casts} busy={busy} record={record} />
    </div>
  );
}

/** The end of a bath; a leaching soak gets fresh water, or a strip tells that it is done. */
export function EndSoakForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const soak = casts.find(({ life }) => life.soak)?.life.soak;
  const out = casts.filter(({ life }) => life.soak);
  if (!soak) return <p>{say('curing.noBath')}</p>;
  const again = { type: 'soaked' as const, bath: soak.bath, hours: soak.hours };
  return (
    <div className="space-y-4">
      {soak.bath === 'leach' && <StripForm casts={casts} busy={busy} record={record} />}
      <p className="border-accent border-l-4 pl-3">{say(baths[soak.bath].caution)}</p>
      {soak.bath === 'leach' && (
        <DoneButton
          casts={out}
          busy={busy}
          record={record}
          said={say('curing.freshWaterSaid')}
          event={again}
          look="strong"
          size="tall"
        >
          {say('curing.freshWater')}
        </DoneButton>
      )}
      <DoneButton casts={out} busy={busy} record={record} said={say('curing.outOfBath')} event={{ type: 'rinsed' }}>
        {say('curing.outRinsed')}
      </DoneButton>
    </div>
  );
}

/** What a test strip says of the water it lay in. */
function StripForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const [ph, setPh] = useState(NaN);
  const { life } = defined(casts[0]);
  const { told } = leaching(life.ph ?? [], life.leaches ?? 0);
  return (
    <form className="border-base-300 space-y-2 border-t pt-3" onSubmit={(event) => event.preventDefault()}>
      <p>{say(told)}</p>
      <div className="flex items-end gap-3">
        <label className="text-sm font-semibold">
          {say('curing.stripSays')}
          <NumberField label={say('curing.stripLabel')} value={ph} onChange={setPh} className="mt-1 block w-28" />
        </label>
        <Button
          type="submit"
          disabled={busy || Number.isNaN(ph)}
          look="strong"
          onClick={() =>
            record(
              say('curing.phSaid', { ph }),
              casts.map((cast) => ({ cast, event: { type: 'ph' as const, ph } })),
            )
          }
        >
          {say('care.keep')}
        </Button>
      </div>
    </form>
  );
}
