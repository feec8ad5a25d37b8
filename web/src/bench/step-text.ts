import { releaseCalled, releases } from '@dewpot/core/moulds';
import { stepNames, type Step, type StepKind } from '@dewpot/core/bench';
import type { BenchOf } from '@dewpot/core/planning';
import type { Placing, PlacingKey } from '@dewpot/core/pours';
import { distinct, type Message } from '@dewpot/core/units';
import type { Speaker } from '@dewpot/locales';

/** A step's name with what it is of. */
export function stepTitle(step: Step, label: (part: number, bucket: number) => string, say: Speaker): string {
  const name = say(stepNames[step.kind]);
  const lift = step.lift && step.lift.of > 1 ? `, lift ${step.lift.n} of ${step.lift.of}` : '';
  return step.bucket === undefined || step.kind === 'mesh' ? name : `${name}${lift}: ${label(step.part, step.bucket)}`;
}

/** What is said of steps that no mould's own way of placing tells. */
const plainWords: Partial<Record<StepKind, string>> = {
  'lay-out': 'Lay everything out in reach, moulds level both ways, joints and holes sealed.',
  'release-dries': 'Let it dry, and buff what wants buffing.',
  insets: 'Lay them on the bottom as drawn: mirrored, and fixed so that nothing creeps under.',
  cores: 'Set the cores and plugs, and weight them: fluid mix lifts a core.',
  wash: 'Wash the bucket, the tools and your gloves before the next colour.',
  weigh: 'Everything dry into the bucket, in this order.',
  mix: 'Mix from the bottom up. Look, before each splash.',
  rest: 'Let it stand so that air can rise, then stir once more.',
  cover: 'Cover them, out of sun and wind.',
  clean: 'Wash tools before it sets. Let the rinse water settle and harden; never down a drain.',
};

/** Which steps of placing a step at the bench is: a first lift with what is looked at before it. */
function placingKeys({ kind, lift }: Step): readonly PlacingKey[] {
  if (kind === 'fill') return (lift?.n ?? 1) === 1 ? ['before', 'first'] : ['rest'];
  if (kind === 'press') return ['before', 'press'];
  return [kind as PlacingKey];
}

/** What a step asks for, in sentences: for the eye, and for the voice. `placings` of the step's own mix. */
export function stepSentence(
  step: Step,
  { release, placings }: { release?: string | undefined; placings: readonly Placing[] },
  say: Speaker,
): string {
  const named = releaseCalled(release);
  if (step.kind === 'release') return named ? say(releases[named].how) : 'Put the release on, thin.';
  const keys = placingKeys(step);
  const items = new Set(step.moulds.map(({ item }) => item));
  const own = placings.filter(({ item }) => items.has(item));
  const told = keys.flatMap((key) => own.flatMap(({ steps }) => steps.filter((one) => one.key === key)));
  const words = distinct(told.map(({ text }) => text))
    .map((text) => say(text))
    .join(' ');
  return words || (plainWords[step.kind] ?? say(stepNames[step.kind]));
}

/** Cautions that stand at a step. */
export function stepCautions(step: Step, { parts }: Pick<BenchOf, 'parts'>): Message[] {
  const at = step.kind === 'weigh' ? 'measure' : step.kind === 'mix' ? 'mix' : step.kind === 'fill' || step.kind === 'press' ? 'place' : step.kind === 'clean' ? 'clean' : step.kind === 'cover' ? 'lift' : undefined; // prettier-ignore
  const own = step.bucket === undefined ? parts : parts.slice(step.part, step.part + 1);
  return distinct(own.flatMap(({ sheet }) => sheet.cautions.filter((one) => one.step === at).map(({ text }) => text)));
}
