import { Activity, useMemo, useState } from 'react';
import { type BenchOf, coreHolds, type Run, type TimedStep, timelineOf } from '@dewpot/core';
import type { PourView } from '@dewpot/contract';
import { Undo2 } from 'lucide-react';
import type { RunAtHand } from '../api/run';
import { bucketLabel } from '../pours';
import { Button } from '../ui/button';
import { Failure } from '../ui/states';
import { useAlerts, useAwake, useVoice } from './alerts';
import { BenchHead } from './bench-head';
import { DoneView } from './done-view';
import { StepView } from './step-view';
import { stepSentence, stepTitle } from './step-text';
import { countdown, timersOf } from './timers';
import { TimersStrip } from './timers-strip';
import { useClock } from './use-clock';
import { WaitView } from './wait-view';

/** A step that begins later than this from now is waited for, ms. */
const SOON = 45_000;

/** Where one stands: the step at hand of the buckets, and what comes after it. */
function standing(steps: readonly TimedStep[], run: Run) {
  const chain = steps.filter(({ step }) => !step.window);
  const open = chain.filter(({ step }) => run.times.get(step.key)?.end === undefined);
  return { at: open[0], next: open[1], left: open.length, of: chain.length };
}

/** A pour step by step: the pot life above, one step in the middle, what runs out next and the way on below. */
export function BenchRun({
  pour,
  bench,
  atHand,
  run,
}: {
  pour: PourView;
  bench: BenchOf;
  atHand: RunAtHand;
  run: Run;
}) {
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
  const label = (part: number, bucket: number) => bucketLabel(bench.parts, part, bucket);
  const timers = timersOf(timeline, run, label);
  const { at, next, left, of } = standing(timeline.steps, run);
  const face = timeline.steps.find(({ step }) => step.key === opened && run.times.get(step.key)?.end === undefined);
  const shown = face ?? at;
  const held = shown && !face && shown.state === 'ahead' && shown.start - now > SOON ? shown : undefined;
  const title = shown ? stepTitle(shown.step, label) : 'All poured';
  const said = shown
    ? `${title}. ${stepSentence(shown.step, { release: pour.input.release, placings: bench.parts[shown.step.part]!.placings })}`
    : title;
  useVoice(held ? `Wait: ${title} comes later.` : said, aloud);
  const times = useMemo(
    () => timers.flatMap(({ from, until }) => (from === undefined ? [until] : [from, until])),
    [timers],
  );
  useAlerts(times, now, aloud);
  const { record } = atHand;
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
  const after = face ? at : next;
  // The next step is made ready out of sight, so that a tap brings it at once.
  const ahead = [shown, after].filter((one) => one !== undefined);
  // What has stood long enough does not run out any more.
  const soonest = timers.find(({ kind, until }) => kind !== 'wait' || until >= now);
  return (
    <div className="bg-base-200 fixed inset-0 z-30 flex flex-col">
      <BenchHead
        pour={pour}
        timeline={timeline}
        run={run}
        now={now}
        label={label}
        aloud={aloud}
        onAloud={setAloud}
        waiting={atHand.waiting}
      />
      <div className="min-h-0 flex-1 overflow-y-auto">
        <div className="mx-auto max-w-3xl space-y-3 p-3 sm:p-4">
          {atHand.refused && (
            <Failure error={atHand.refused}>
              <Button size="tall" className="mt-2" onClick={atHand.forget}>
                Let go of what was not taken
              </Button>
            </Failure>
          )}
          <TimersStrip timers={timers} now={now} opened={opened} onOpen={setOpened} />
          {shown ? (
            <>
              <p className="quiet text-sm">
                {face ? 'In between' : `Step ${of - left + 1} of ${of}`},{' '}
                {pour.parts.length > 1 ? pour.parts[shown.step.part]!.mixName : `pour ${pour.number}`}
              </p>
              <h1 className="text-3xl">{title}</h1>
              {held && <WaitView timed={held} now={now} />}
            </>
          ) : (
            <DoneView pour={pour} bench={bench} run={run} timers={timers} />
          )}
          {ahead.map((timed) => (
            <Activity key={timed.step.key} mode={timed === shown && !held ? 'visible' : 'hidden'}>
              <StepView {...{ bench, cores, run, now, record, label, timed }} input={pour.input} />
            </Activity>
          ))}
        </div>
      </div>
      <footer className="bg-base-100 border-base-300 border-t p-2">
        <div className="mx-auto max-w-3xl">
          <p className="quiet flex justify-between gap-3 px-1 pb-1.5 text-sm">
            <span className="truncate">{after ? `Next: ${stepTitle(after.step, label)}` : 'Then it is done'}</span>
            {soonest && (
              <span className={`shrink-0 ${soonest.until < now ? 'text-error font-bold' : ''}`}>
                {soonest.name} {countdown(soonest.until - now)}
              </span>
            )}
          </p>
          <div className="flex gap-2">
            <Button
              size="own"
              className="h-18 w-18 shrink-0 p-0"
              aria-label={run.latest.length > 0 ? 'Take back the last thing' : 'Nothing to take back'}
              disabled={run.latest.length === 0}
              onClick={() => record(...run.latest.map(({ id }) => ({ kind: 'void' as const, of: id })))}
            >
              <Undo2 size={28} aria-hidden="true" />
            </Button>
            {shown && (
              <Button look="main" size="own" className="h-18 flex-1 text-xl" onClick={forward}>
                {held ? 'Go on now' : face || !next ? 'Done' : 'Done, next'}
              </Button>
            )}
          </div>
        </div>
      </footer>
    </div>
  );
}
