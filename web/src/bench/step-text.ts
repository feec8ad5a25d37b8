import { releaseCalled, releases, stepNames, type Step } from '@dewpot/core';
import type { BenchOf } from '@dewpot/contract';

/** A step's name with what it is of. */
export function stepTitle(step: Step, label: (part: number, bucket: number) => string): string {
  const name = stepNames[step.kind];
  const lift = step.lift && step.lift.of > 1 ? `, lift ${step.lift.n} of ${step.lift.of}` : '';
  return step.bucket === undefined || step.kind === 'mesh' ? name : `${name}${lift}: ${label(step.part, step.bucket)}`;
}

const moulds = ({ moulds: all }: Step) => all.map(({ name, layer }) => (layer ? `${name}, layer ${layer}` : name)).join(', '); // prettier-ignore

/** What a step asks for, in a sentence: for the eye, and for the voice. */
export function stepSentence(step: Step, { release }: { release?: string }): string {
  const named = releaseCalled(release);
  switch (step.kind) {
    case 'lay-out':
      return 'Lay everything out in reach, moulds level both ways, joints and holes sealed.';
    case 'release':
      return named ? releases[named].how : 'Put the release on, thin.';
    case 'release-dries':
      return 'Let it dry, and buff what wants buffing.';
    case 'insets':
      return 'Lay them on the bottom as drawn: mirrored, and fixed so that nothing creeps under.';
    case 'cores':
      return 'Set the cores and plugs, and weight them: fluid mix lifts a core.';
    case 'wash':
      return 'Wash the bucket, the tools and your gloves before the next colour.';
    case 'weigh':
      return 'Everything dry into the bucket, in this order.';
    case 'mix':
      return 'Mix from the bottom up. Look, before each splash.';
    case 'rest':
      return 'Let it stand so that air can rise, then stir once more.';
    case 'fill':
      return step.lift?.n === 1 && step.lift.of > 1
        ? `To the first line each, worked into the corners and round the core: ${moulds(step)}.`
        : `Pour slowly, to the line: ${moulds(step)}.`;
    case 'press':
      return `Press an even layer over the whole form: ${moulds(step)}.`;
    case 'tap':
      return 'Tap or vibrate 20 to 60 seconds each. Stop when the bubbles stop.';
    case 'mesh':
      return `Lay the mesh in, clear of every edge, and press it into what is there: ${moulds(step)}.`;
    case 'strike':
      return 'Draw a straight edge across the rim, sawing as it goes.';
    case 'cover':
      return 'Cover them, out of sun and wind.';
    case 'clean':
      return 'Wash tools before it sets. Let the rinse water settle and harden; never down a drain.';
    case 'smooth':
      return 'Smooth the face with a damp glove.';
    case 'float':
      return 'Level it with the float, without working water up.';
    case 'first-edge':
      return 'Run the edger along, once the sheen is gone.';
    case 'second-edge':
      return 'Run the edger along again, harder.';
    case 'trowel':
      return 'Trowel it smooth, the blade nearly flat. Then cover it.';
    case 'broom':
      return 'One light draw of the broom across, the same way all over. Then cover it.';
  }
}

/** Cautions that stand at a step. */
export function stepCautions(step: Step, { parts }: Pick<BenchOf, 'parts'>): string[] {
  const at = step.kind === 'weigh' ? 'measure' : step.kind === 'mix' ? 'mix' : step.kind === 'fill' || step.kind === 'press' ? 'place' : step.kind === 'clean' ? 'clean' : step.kind === 'cover' ? 'lift' : undefined; // prettier-ignore
  const own = step.bucket === undefined ? parts : parts.slice(step.part, step.part + 1);
  return [...new Set(own.flatMap(({ sheet }) => sheet.cautions.filter((one) => one.step === at).map(({ text }) => text)))]; // prettier-ignore
}
