import { useMemo, useState } from 'react';
import { timelineOf, type Step } from '@dewpot/core/bench';
import type { Finish } from '@dewpot/core/pours';
import type { PourInput } from '@dewpot/contract';
import { format, isSameDay } from 'date-fns';
import { HourLine } from '../ui/pour-timeline';
import { SelectField } from '../ui/select-field';
import { useNow } from '../ui/use-now';
import { bucketLabel } from './bucket-label';
import type { SheetPart } from './plan';
import { useSay } from '../ui/say';

const QUARTER = 15 * 60_000;
const finishWords: Record<Finish, string> = {
  broom: 'broomed: a grip underfoot',
  trowel: 'trowelled smooth',
  struck: 'left as struck off',
};

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
  const clock = (time: number) => format(time, isSameDay(time, timeline.start) ? 'HH:mm' : 'EEE HH:mm');
  const slabs = sheets.some(({ plan }) => plan.items.some(({ piece }) => piece === 'slab'));
  const last = timeline.steps.some(({ step }) => step.window) ? ', faces done ' : ', cleaned up ';
  return (
    <section className="card-slab no-print" aria-label="Timeline of the pour">
      <div className="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div>
          <h2 className="text-2xl">Timeline of the pour</h2>
          <p>
            Begin {clock(timeline.start)}, all poured <strong>{clock(timeline.poured)}</strong>
            {last}
            <strong>{clock(timeline.end)}</strong>
          </p>
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <label className="block text-sm font-semibold">
            Begin at
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
            label="At the bench"
            value={input.people ?? 1}
            options={[1, 2, 3, 4].map((value) => ({ value, label: value === 1 ? 'one person' : `${value} people` }))}
            onChange={(people) => onChange({ people })}
          />
          {slabs && (
            <SelectField<Finish>
              label="Open faces"
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
