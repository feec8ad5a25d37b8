import { msg, type Message } from '@dewpot/core/units';
import { stepNames, type PotLife, type StepKind, type TimedStep, type Timeline } from '@dewpot/core/bench';
import { brokenAxis, type BrokenAxis } from './broken-axis';
import { clockOf, spanOf } from './format-time';
import { useSay } from './say';

/** What a step is drawn as: what is dry, what is wet, what is in the mould, what is done to a face. */
type Look = 'ready' | 'dry' | 'wet' | 'place' | 'face' | 'rest';
const looks: Record<StepKind, Look> = {
  'lay-out': 'ready',
  release: 'ready',
  'release-dries': 'rest',
  insets: 'ready',
  cores: 'ready',
  wash: 'ready',
  weigh: 'dry',
  mix: 'wet',
  rest: 'rest',
  fill: 'place',
  press: 'place',
  tap: 'place',
  mesh: 'place',
  strike: 'face',
  cover: 'face',
  clean: 'ready',
  smooth: 'face',
  float: 'face',
  'first-edge': 'face',
  'second-edge': 'face',
  trowel: 'face',
  broom: 'face',
};
const hatch = (colour: string) => `repeating-linear-gradient(135deg, ${colour} 0 2px, transparent 2px 5px)`;
const fills: Record<Look, string> = {
  ready: 'color-mix(in oklab, var(--color-base-content) 35%, var(--color-base-100))',
  dry: 'var(--early)',
  wet: 'var(--water)',
  place: 'var(--good)',
  face: 'var(--late)',
  rest: hatch('color-mix(in oklab, var(--color-base-content) 45%, transparent)'),
};
const words: Record<Look, Message> = {
  ready: msg('ui.lookReady'),
  dry: msg('ui.lookDry'),
  wet: msg('ui.lookWet'),
  place: msg('ui.lookPlace'),
  face: msg('ui.lookFace'),
  rest: msg('ui.lookRest'),
};

/** Steps that share a row: those of one bucket, or those of the whole pour. */
interface Row {
  readonly key: string;
  readonly label: string;
  readonly steps: readonly TimedStep[];
  readonly potLife?: PotLife;
}

function rowsOf(
  { steps, potLives }: Timeline,
  before: string,
  labels: (part: number, bucket: number) => string,
): Row[] {
  const whole = steps.filter(({ step }) => step.bucket === undefined);
  const rows = potLives.map((potLife) => ({
    key: `${potLife.part}.${potLife.bucket}`,
    label: labels(potLife.part, potLife.bucket),
    steps: steps.filter(({ step }) => step.part === potLife.part && step.bucket === potLife.bucket),
    potLife,
  }));
  return [{ key: 'whole', label: before, steps: whole }, ...rows];
}

const percent = (share: number) => `${(share * 100).toFixed(3)}%`;
const between = ({ at }: BrokenAxis, from: number, to: number) => ({
  left: percent(at(from)),
  width: percent(Math.max(0.002, at(to) - at(from))),
});

function Bar({ timed: { step, start, end, window, state }, axis }: { timed: TimedStep; axis: BrokenAxis }) {
  const say = useSay();
  return (
    <>
      {window && (
        <span
          className="absolute top-1/2 h-1 -translate-y-1/2 opacity-60"
          style={{ ...between(axis, window.from, window.to), background: 'var(--late)' }}
        />
      )}
      <span
        className={`absolute inset-y-1 ${state === 'done' ? 'opacity-45' : ''} ${state === 'begun' ? 'outline-base-content outline-2' : ''}`}
        style={{ ...between(axis, start, end), minWidth: 3, background: fills[looks[step.kind]] }}
        title={say('ui.stepFromTo', { stepNames: say(stepNames[step.kind]), start: clockOf(start), end: clockOf(end) })}
      />
    </>
  );
}

/** The hour of a pour: bucket by bucket with its pot life drawn through, faces in their windows, and when hands are free. */
export function HourLine({
  timeline,
  labels,
  now,
}: {
  timeline: Timeline;
  labels: (part: number, bucket: number) => string;
  now?: number;
}) {
  const say = useSay();
  const axis = brokenAxis(timeline.start, timeline.end, timeline.free);
  const rows = rowsOf(timeline, say('ui.beforeAndAfter'), labels);
  const used = [...new Set(timeline.steps.map(({ step }) => looks[step.kind]))];
  return (
    <figure>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={say('ui.timelineDrawn')}>
        <div className="grid min-w-[36rem] grid-cols-[8rem_1fr] items-center gap-x-2" aria-hidden="true">
          {rows.map(({ key, label, steps, potLife }) => (
            <div key={key} className="contents">
              <span className="truncate py-1 text-sm" title={label}>
                {label}
              </span>
              <div className="border-base-300 relative h-8 border-b">
                {potLife && (
                  <>
                    <span
                      className="absolute inset-y-0 opacity-25"
                      style={{ ...between(axis, potLife.from, potLife.good), background: 'var(--good)' }}
                    />
                    <span
                      className="absolute inset-y-0 opacity-50"
                      style={{ ...between(axis, potLife.good, potLife.to), background: hatch('var(--late)') }}
                    />
                  </>
                )}
                {steps.map((timed) => (
                  <Bar key={timed.step.key} timed={timed} axis={axis} />
                ))}
                {now !== undefined && <Mark at={percent(axis.at(now))} />}
              </div>
            </div>
          ))}
          <span className="quiet py-1 text-sm">{say('ui.handsFree')}</span>
          <div className="relative h-6">
            {timeline.free.map(({ from, to }) => (
              <span
                key={from}
                className="border-base-content/40 absolute top-1 h-4 overflow-hidden border text-center text-[0.65rem] leading-4 whitespace-nowrap"
                style={between(axis, from, to)}
              >
                {axis.at(to) - axis.at(from) > 0.04 && say(spanOf(to - from))}
              </span>
            ))}
          </div>
          <span />
          <Ticks timeline={timeline} axis={axis} />
        </div>
      </div>
      <ul className="sr-only">
        {timeline.steps.map(({ step, start, end }) => (
          <li key={step.key}>
            {step.bucket === undefined ? '' : `${labels(step.part, step.bucket)}: `}
            {say('ui.stepFromTo', { stepNames: stepNames[step.kind], start: clockOf(start), end: clockOf(end) })}
          </li>
        ))}
      </ul>
      <figcaption className="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-xs">
        {used.map((look) => (
          <span key={look} className="flex items-center gap-1.5">
            <span className="inline-block h-3 w-4" style={{ background: fills[look] }} /> {say(words[look])}
          </span>
        ))}
        <span className="flex items-center gap-1.5">
          <span className="inline-block h-3 w-4" style={{ background: hatch('var(--late)') }} /> {say('ui.stiffens')}
        </span>
      </figcaption>
    </figure>
  );
}

const Mark = ({ at }: { at: string }) => (
  <span className="bg-base-content absolute inset-y-0 w-0.5" style={{ left: at }} />
);

/** Times under the axis: its ends, both sides of each break, and what lies wide enough between. */
function Ticks({ timeline: { start, end }, axis }: { timeline: Timeline; axis: BrokenAxis }) {
  const say = useSay();
  const wanted = [start, end, ...axis.breaks.flatMap(({ from, to }) => [from, to])];
  const step = (end - start) / 60_000 > 240 ? 30 : 15;
  const first = Math.ceil(start / (step * 60_000)) * step * 60_000;
  const even = Array.from({ length: 200 }, (_, i) => first + i * step * 60_000).filter((time) => time < end);
  const inBreak = (time: number) => axis.breaks.some(({ from, to }) => time > from && time < to);
  const shown: number[] = [];
  for (const time of [...wanted, ...even.filter((one) => !inBreak(one))])
    if (shown.every((other) => Math.abs(axis.at(other) - axis.at(time)) > 0.07)) shown.push(time);
  return (
    <div className="quiet relative h-5 text-xs">
      {shown.map((time) => (
        <span
          key={time}
          className="absolute -translate-x-1/2 first:translate-x-0"
          style={{ left: percent(Math.min(0.97, axis.at(time))) }}
        >
          {say(clockOf(time))}
        </span>
      ))}
    </div>
  );
}
