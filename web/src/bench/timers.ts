import { defined } from '@dewpot/core/math';
import { msg, type Phrase } from '@dewpot/core/units';
import { layered, stepNames, type Run, type TimedStep, type Timeline } from '@dewpot/core/bench';

/** Something that runs out, or comes due, ms. */
export interface BenchTimer {
  readonly key: string;
  readonly name: Phrase;
  /** From when on; undefined where it runs already. */
  readonly from?: number;
  readonly until: number;
  readonly kind: 'pot-life' | 'wait' | 'layer' | 'face';
}

const done = (run: Run, key: string) => run.times.get(key)?.end !== undefined;

/** Buckets that are mixed and not yet placed. */
function potLives({ potLives: lives, steps }: Timeline, run: Run, label: (part: number, bucket: number) => string) {
  return lives.flatMap(({ part, bucket, good }): BenchTimer[] => {
    const own = steps.filter(({ step }) => step.part === part && step.bucket === bucket);
    const mixing = own.find(({ step }) => step.kind === 'mix');
    const placing = own.filter(({ step }) => step.kind === 'fill' || step.kind === 'press');
    if (!mixing || mixing.state === 'ahead' || placing.every(({ step }) => done(run, step.key))) return [];
    return [
      {
        key: `life ${part}.${bucket}`,
        name: msg('bench.bucketStiffens', { label: label(part, bucket) }),
        until: good,
        kind: 'pot-life',
      },
    ];
  });
}

/** Layers that may go on, from when until when. */
function layers({ steps }: Timeline, run: Run): BenchTimer[] {
  return steps.flatMap(({ step }): BenchTimer[] => {
    const { after, key } = step;
    if (!after || done(run, key)) return [];
    const laid = after.below.map((below) => run.times.get(below)?.end);
    if (laid.some((end) => end === undefined)) return [];
    const below = Math.max(...laid.map((end) => defined(end)));
    return [
      { key, name: layered(step), from: below + after.from * 60_000, until: below + after.to * 60_000, kind: 'layer' },
    ];
  });
}

/** Faces that are struck off and wait for their finish. */
const faces = ({ steps }: Timeline, run: Run): BenchTimer[] =>
  steps.flatMap(({ step, window }): BenchTimer[] =>
    window && !done(run, step.key) && done(run, defined(step.window).of)
      ? [{ key: step.key, name: stepNames[step.kind], from: window.from, until: window.to, kind: 'face' }]
      : [],
  );

/** What stands by itself: a bucket at rest, release that dries. */
const waits = ({ steps }: Timeline): BenchTimer[] =>
  steps.flatMap(({ step, end, state }: TimedStep): BenchTimer[] =>
    state === 'begun' && !step.hands ? [{ key: step.key, name: stepNames[step.kind], until: end, kind: 'wait' }] : [],
  );

/** All that runs at the bench, what runs out first at the head. */
export function timersOf(timeline: Timeline, run: Run, label: (part: number, bucket: number) => string): BenchTimer[] {
  const all = [
    ...potLives(timeline, run, label),
    ...layers(timeline, run),
    ...faces(timeline, run),
    ...waits(timeline),
  ];
  return all.sort((a, b) => a.until - b.until);
}

/** Minutes and seconds as a clock counts down; below zero with a minus. */
export function countdown(ms: number): string {
  const seconds = Math.round(Math.abs(ms) / 1000);
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60];
  const two = (n: number) => String(n).padStart(2, '0');
  const clock = hours > 0 ? `${hours} h ${two(minutes)}` : `${minutes}:${two(seconds % 60)}`;
  return ms < 0 ? `−${clock}` : clock;
}
