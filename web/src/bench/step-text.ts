import { releaseCalled, releases } from '@dewpot/core/moulds';
import { stepNames, type Step, type StepKind } from '@dewpot/core/bench';
import type { BenchOf } from '@dewpot/core/planning';
import type { Placing, PlacingKey } from '@dewpot/core/pours';
import { distinct, msg, type Message } from '@dewpot/core/units';
import type { Speaker } from '@dewpot/locales';

/** A step's name with what it is of. */
export function stepTitle(step: Step, label: (part: number, bucket: number) => string, say: Speaker): string {
  const name = stepNames[step.kind];
  if (step.bucket === undefined || step.kind === 'mesh') return say(name);
  const { n, of } = step.lift ?? { n: 1, of: 1 };
  return say('bench.titleOf', { name, lifts: of, n, label: label(step.part, step.bucket) });
}

/** What is said of steps that no mould's own way of placing tells. */
const plainWords: Partial<Record<StepKind, Message>> = {
  'lay-out': msg('bench.sayLayOut'),
  'release-dries': msg('bench.sayReleaseDries'),
  insets: msg('bench.sayInsets'),
  cores: msg('bench.sayCores'),
  wash: msg('bench.sayWash'),
  weigh: msg('bench.sayWeigh'),
  mix: msg('bench.sayMix'),
  rest: msg('bench.sayRest'),
  cover: msg('bench.sayCover'),
  clean: msg('bench.sayClean'),
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
  if (step.kind === 'release') return named ? say(releases[named].how) : say(msg('bench.sayRelease'));
  const keys = placingKeys(step);
  const items = new Set(step.moulds.map(({ item }) => item));
  const own = placings.filter(({ item }) => items.has(item));
  const told = keys.flatMap((key) => own.flatMap(({ steps }) => steps.filter((one) => one.key === key)));
  const words = distinct(told.map(({ text }) => text))
    .map((text) => say(text))
    .join(' ');
  return words || say(plainWords[step.kind] ?? stepNames[step.kind]);
}

/** Cautions that stand at a step. */
export function stepCautions(step: Step, { parts }: Pick<BenchOf, 'parts'>): Message[] {
  const at = step.kind === 'weigh' ? 'measure' : step.kind === 'mix' ? 'mix' : step.kind === 'fill' || step.kind === 'press' ? 'place' : step.kind === 'clean' ? 'clean' : step.kind === 'cover' ? 'lift' : undefined; // prettier-ignore
  const own = step.bucket === undefined ? parts : parts.slice(step.part, step.part + 1);
  return distinct(own.flatMap(({ sheet }) => sheet.cautions.filter((one) => one.step === at).map(({ text }) => text)));
}
