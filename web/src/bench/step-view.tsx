import { defined } from '@dewpot/core/math';
import { bucketKey, bucketNow, partNow, type StepKind } from '@dewpot/core/bench';
import type { TrialKind } from '@dewpot/core/casts';
import type { PourInput, PourView } from '@dewpot/contract';
import { TrialCopies } from '../ui/trial-copies';
import { CoresStep, LayOutStep, ReleaseStep } from './ready-steps';
import { FaceStep } from './face-step';
import { FillStep } from './fill-step';
import { InsetsStep, MeshStep } from './laid-in-steps';
import { MixStep } from './mix-step';
import type { BucketContext, StepContext } from './step-context';
import { stepCautions, stepSentence } from './step-text';
import { Countdown } from './countdown-view';
import { WeighStep } from './weigh-step';
import { LocalRules } from '../ui/local-rules';
import { useSay } from '../ui/say';

/** The steps at which it is told which copy gets which way of a trial. */
const trialSteps: Readonly<Record<TrialKind, readonly StepKind[]>> = {
  release: ['lay-out', 'release'],
  cover: ['lay-out', 'cover'],
  other: ['lay-out', 'fill', 'press', 'tap', 'strike'],
};

/** What is done at a step, with its caution. */
export function StepView({ pour, ...context }: StepContext & { pour: PourView }) {
  const say = useSay();
  const { bench, timed } = context;
  const { step } = timed;
  const { input } = pour;
  const cautions = stepCautions(step, bench);
  return (
    <div className="space-y-3">
      <p className="text-lg">
        {stepSentence(step, { release: input.release, placings: defined(bench.parts[step.part]).placings }, say)}
      </p>
      {cautions.map((caution) => (
        <p key={caution.key} className="border-accent border-l-4 pl-3">
          {say(caution)}
        </p>
      ))}
      {cautions.length > 0 && <LocalRules />}
      {pour.trial && trialSteps[pour.trial.kind].includes(step.kind) && <TrialCopies pour={pour} />}
      <Body {...context} input={input} />
    </div>
  );
}

function Body({ input, ...context }: StepContext & { input: Omit<PourInput, 'version'> }) {
  const { bench, timed, run, now } = context;
  const { step } = timed;
  const bucket = step.bucket === undefined ? undefined : withBucket(context);
  switch (step.kind) {
    case 'lay-out':
      return <LayOutStep bench={bench} input={input} />;
    case 'release':
      return <ReleaseStep bench={bench} release={input.release} />;
    case 'insets':
      return <InsetsStep bench={bench} />;
    case 'mesh':
      return <MeshStep bench={bench} step={step} />;
    case 'cores':
      return <CoresStep cores={context.cores} />;
    case 'release-dries':
    case 'rest':
      return <Countdown from={run.times.get(step.key)?.start ?? now} minutes={step.minutes} now={now} />;
    case 'tap':
      return <Countdown from={run.times.get(step.key)?.start ?? now} minutes={step.minutes} now={now} />;
    case 'weigh':
      return <WeighStep {...defined(bucket)} />;
    case 'mix':
      return <MixStep {...defined(bucket)} />;
    case 'fill':
    case 'press':
      return <FillStep {...defined(bucket)} />;
    case 'smooth':
    case 'float':
    case 'first-edge':
    case 'second-edge':
    case 'trowel':
    case 'broom':
      return <FaceStep {...context} />;
    default:
      return null;
  }
}

function withBucket(context: StepContext): BucketContext {
  const { bench, timed, run } = context;
  const { part, bucket = 0 } = timed.step;
  return {
    ...context,
    bucketful: defined(defined(bench.parts[part]).sheet.bucketfuls[bucket]),
    bucketKey: bucketKey(part, bucket),
    bucket: bucketNow(bench.parts, run, part, bucket),
    part: partNow(bench.parts, bench.steps, run, part),
  };
}
