import { Activity } from 'react';
import { Undo2 } from 'lucide-react';
import { Button } from '../ui/button';
import { Failure } from '../ui/states';
import { BenchHead } from './bench-head';
import { DoneView } from './done-view';
import { stepTitle } from './step-text';
import { StepView } from './step-view';
import { countdown } from './timers';
import { TimersStrip } from './timers-strip';
import { useBenchRun, type BenchRunProps } from './use-bench-run';
import { WaitView } from './wait-view';
import { useSay } from '../ui/say';

type At = ReturnType<typeof useBenchRun>;

/** A pour step by step: the pot life above, one step in the middle, what runs out next and the way on below. */
export function BenchRun(props: BenchRunProps) {
  const say = useSay();
  const { pour, bench, atHand, run } = props;
  const at = useBenchRun(props);
  const { now, timeline, label, timers, shown, held, after, aloud } = at;
  // The next step is made ready out of sight, so that a tap brings it at once.
  const ahead = [shown, after].filter((one) => one !== undefined);
  return (
    <div className="bg-base-200 fixed inset-0 z-30 flex flex-col">
      <BenchHead {...{ pour, timeline, run, now, label, aloud }} onAloud={at.setAloud} waiting={atHand.waiting} />
      <div className="min-h-0 flex-1 overflow-y-auto">
        <div className="mx-auto max-w-3xl space-y-3 p-3 sm:p-4">
          {atHand.refused && (
            <Failure error={atHand.refused}>
              <Button size="tall" className="mt-2" onClick={atHand.forget}>
                {say('bench.discardRejected')}
              </Button>
            </Failure>
          )}
          <TimersStrip timers={timers} now={now} opened={at.opened} onOpen={at.setOpened} />
          {shown ? <StepHead at={at} pour={pour} /> : <DoneView {...{ pour, bench, run, timers }} />}
          {ahead.map((timed) => (
            <Activity key={timed.step.key} mode={timed === shown && !held ? 'visible' : 'hidden'}>
              <StepView {...{ bench, run, now, label, timed }} cores={at.cores} record={atHand.record} pour={pour} />
            </Activity>
          ))}
        </div>
      </div>
      <BenchFoot at={at} {...props} />
    </div>
  );
}

function StepHead({ at: { face, count, shown, title, held, now }, pour }: { at: At; pour: BenchRunProps['pour'] }) {
  const say = useSay();
  const part = shown && pour.parts[shown.step.part];
  return (
    <>
      <p className="quiet text-sm">
        {face ? say('bench.inBetween') : say('bench.stepOf', { step: count.step, of: count.of })},{' '}
        {part && pour.parts.length > 1 ? part.mixName : say('bench.pourInline', { number: pour.number })}
      </p>
      <h1 className="text-3xl">{title}</h1>
      {held && <WaitView timed={held} now={now} />}
    </>
  );
}

/** What runs out next, the way back and the way on. */
function BenchFoot({ at, run, atHand: { record } }: BenchRunProps & { at: At }) {
  const say = useSay();
  const { after, soonest, now, shown, held, face, next, label } = at;
  return (
    <footer className="bg-base-100 border-base-300 border-t p-2">
      <div className="mx-auto max-w-3xl">
        <p className="quiet flex justify-between gap-3 px-1 pb-1.5 text-sm">
          <span className="truncate">
            {after ? say('bench.nextStep', { step: stepTitle(after.step, label, say) }) : say('bench.thenDone')}
          </span>
          {soonest && (
            <span className={`shrink-0 ${soonest.until < now ? 'text-error font-bold' : ''}`}>
              {say.value(soonest.name)} {countdown(soonest.until - now)}
            </span>
          )}
        </p>
        <div className="flex gap-2">
          <Button
            size="own"
            className="h-18 w-18 shrink-0 p-0"
            aria-label={run.latest.length > 0 ? say('bench.undoLast') : say('bench.nothingToUndo')}
            disabled={run.latest.length === 0}
            onClick={() => record(...run.latest.map(({ id }) => ({ kind: 'void' as const, of: id })))}
          >
            <Undo2 size={28} aria-hidden="true" />
          </Button>
          {shown && (
            <Button look="main" size="own" className="h-18 flex-1 text-xl" onClick={at.forward}>
              {held ? say('bench.goOnNow') : face || !next ? say('bench.done') : say('bench.doneNext')}
            </Button>
          )}
        </div>
      </div>
    </footer>
  );
}
