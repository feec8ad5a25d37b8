import { useMemo, useState } from 'react';
import { coreHolds, timelineOf, type Run, type TimedStep } from '@dewpot/core/bench';
import type { BenchOf } from '@dewpot/core/planning';
import type { PourView } from '@dewpot/contract';
import type { RunAtHand } from '../api/run';
import { bucketLabel } from '../pours';
import { useAlerts, useAwake, useVoice } from './alerts';
import { stepSentence, stepTitle } from './step-text';
import { timersOf } from './timers';
import { useClock } from './use-clock';
import { useSay } from '../ui/say';

/** A step that begins later than this from now is waited for, ms. */
const SOON = 45_000;

/** Where one stands: the step at hand of the buckets, and what comes after it. */
function standing(steps: readonly TimedStep[], run: Run) {
  const chain = steps.filter(({ step }) => !step.window);
  const open = chain.filter(({ step }) => run.times.get(step.key)?.end === undefined);
  return { at: open[0], next: open[1], left: open.length, of: chain.length };
}

export interface BenchRunProps {
  readonly pour: PourView;
  readonly bench: BenchOf;
  readonly atHand: RunAtHand;
  readonly run: Run;
}

/** A run by the clock: the step that is shown, what runs out, and the way on. It speaks, calls and keeps the screen awake. */
export function useBenchRun({ pour, bench, atHand: { record }, run }: BenchRunProps) {
  const say = useSay();
  const now = useClock();
  const [aloud, setAloud] = useState(false);
  const [opened, setOpened] = useState<string>();
  useAwake();
  // Laid again by the minute, and whenever something happened.
  const minute = Math.floor(now / 60_000) * 60_000;
  const timeline = useMemo(
    () => timelineOf(bench.steps, { start: pour.startedAt ?? minute, now: minute, times: run.times }),
    [bench, pour.startedAt, minute, run],
  );
  // Calculated as the bench opens, so that no step waits for it.
  const cores = useMemo(() => bench.parts.flatMap(coreHolds), [bench]);
  const label = (part: number, bucket: number) => bucketLabel(bench.parts, part, bucket, say);
  const timers = timersOf(timeline, run, label);
  const { at, next, left, of } = standing(timeline.steps, run);
  const face = timeline.steps.find(({ step }) => step.key === opened && run.times.get(step.key)?.end === undefined);
  const shown = face ?? at;
  const held = shown && !face && shown.state === 'ahead' && shown.start - now > SOON ? shown : undefined;
  const title = shown ? stepTitle(shown.step, label, say) : say('bench.allPoured');
  const placings = shown && bench.parts[shown.step.part]?.placings;
  const said = shown
    ? say('bench.saidTitle', {
        title,
        sentence: stepSentence(shown.step, { release: pour.input.release, placings: placings ?? [] }, say),
      })
    : title;
  useVoice(held ? say('bench.waitComes', { title }) : said, aloud);
  const times = useMemo(
    () => timers.flatMap(({ from, until }) => (from === undefined ? [until] : [from, until])),
    [timers],
  );
  useAlerts(times, now, aloud);
  const forward = () => {
    if (!shown) return;
    if (held) return record({ kind: 'begin', step: shown.step.key });
    if (face) {
      setOpened(undefined);
      return record({ kind: 'done', step: face.step.key });
    }
    const follows = next && next.start - now <= SOON + (shown.end - Math.min(now, shown.end)) && !next.step.after;
    return record(
      { kind: 'done', step: shown.step.key },
      ...(follows ? [{ kind: 'begin' as const, step: next.step.key }] : []),
    );
  };
  return {
    ...{ now, timeline, cores, label, timers, shown, face, held, title, next, forward },
    ...{ aloud, setAloud, opened, setOpened },
    /** Which step it is, of how many. */
    count: { step: of - left + 1, of },
    after: face ? at : next,
    // What has stood long enough does not run out any more.
    soonest: timers.find(({ kind, until }) => kind !== 'wait' || until >= now),
  };
}
