import { Amounts } from '../ui/amounts';
import { useMemo, useState } from 'react';
import { type Message, msg } from '@dewpot/core/units';
import { timelineOf, type Step } from '@dewpot/core/bench';
import type { Finish } from '@dewpot/core/pours';
import type { PourInput } from '@dewpot/contract';
import { format, isSameDay } from 'date-fns';
import { clockOf, weekdayClock } from '../ui/format-time';
import { HourLine } from '../ui/pour-timeline';
import { SelectField } from '../ui/select-field';
import { useNow } from '../ui/use-now';
import { bucketLabel } from './bucket-label';
import type { SheetPart } from './plan';
import { useSay } from '../ui/say';

const QUARTER = 15 * 60_000;
const finishWords: Record<Finish, Message> = {
  broom: msg('pours.finishBroomField'),
  trowel: msg('pours.finishTrowelField'),
  struck: msg('pours.finishStruck'),
};

/** The clock, with its day where that is another than the start's. */
const clockFrom = (start: number, time: number) => (isSameDay(time, start) ? clockOf(time) : weekdayClock(time));

/** The hour of a plan: when it starts, when hands are free, when it ends, and what would not go. */
export function HourSlab({
  input,
  sheets,
  steps,
  onChange,
}: {
  input: PourInput;
  sheets: readonly SheetPart[];
  steps: readonly Step[];
  onChange: (part: Partial<PourInput>) => void;
}) {
  const say = useSay();
  const now = useNow();
  // The next quarter of an hour: by then one has read the sheet.
  const [chosen, setChosen] = useState<number>();
  const start = chosen ?? Math.ceil(now / QUARTER) * QUARTER;
  const timeline = useMemo(() => timelineOf(steps, { start }), [steps, start]);
  const slabs = sheets.some(({ plan }) => plan.items.some(({ piece }) => piece === 'slab'));
  return (
    <section className="card-slab no-print" aria-label={say('pours.timeline')}>
      <div className="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div>
          <h2 className="text-2xl">{say('pours.timeline')}</h2>
          <p>
            <Amounts
              of={msg('pours.beginTold', {
                start: clockOf(timeline.start),
                poured: clockFrom(timeline.start, timeline.poured),
                faces: timeline.steps.some(({ step }) => step.window) ? 'yes' : 'no',
                end: clockFrom(timeline.start, timeline.end),
              })}
            />
          </p>
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <label className="block text-sm font-semibold">
            {say('pours.beginAt')}
            <input
              type="time"
              className="input input-bordered mt-1 block h-12 w-32"
              value={format(start, 'HH:mm')}
              onChange={({ target: { value } }) => {
                const [hours, minutes] = value.split(':').map(Number);
                if (hours === undefined || minutes === undefined) return;
                setChosen(new Date(now).setHours(hours, minutes, 0, 0));
              }}
            />
          </label>
          <SelectField
            label={say('pours.atTheBench')}
            value={input.people ?? 1}
            options={[1, 2, 3, 4].map((value) => ({
              value,
              label: say('pours.people', { count: value }),
            }))}
            onChange={(people) => onChange({ people })}
          />
          {slabs && (
            <SelectField<Finish>
              label={say('pours.openFaces')}
              value={input.finish ?? 'broom'}
              options={(Object.keys(finishWords) as Finish[]).map((value) => ({ value, label: finishWords[value] }))}
              onChange={(finish) => onChange({ finish })}
            />
          )}
        </div>
      </div>
      {timeline.warnings.length > 0 && (
        <ul className="border-warning mb-3 space-y-1 border-l-4 pl-3">
          {timeline.warnings.map(({ step, text }) => (
            <li key={step}>{say(text)}</li>
          ))}
        </ul>
      )}
      <HourLine timeline={timeline} labels={(part, bucket) => bucketLabel(sheets, part, bucket, say)} />
    </section>
  );
}
