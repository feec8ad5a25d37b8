import { releaseCalled } from '../../geometry/moulds/index.js';
import { stepsOf, type RunWays, type Step } from '../bench/index.js';
import { calculateSheet, placingsOf, type CalculatedPart, type Placing } from '../pours/index.js';
import type { PourChoices, PourPart } from './pour-sources.js';

/** What a pour makes of one mix, with its sheet and how its moulds are filled. */
export type BenchPart = PourPart & CalculatedPart & { readonly placings: readonly Placing[] };

/** A pour at the bench: its mixes with their sheets, and its steps. */
export interface BenchOf {
  readonly parts: readonly BenchPart[];
  readonly steps: readonly Step[];
}

/** How a pour is run, from what was chosen for it. */
const waysOf = (
  { release, finish = 'broom', people = 1 }: Pick<PourChoices, 'release' | 'finish' | 'people'>,
  windows?: readonly number[],
): RunWays => {
  const named = releaseCalled(release);
  return { finish, people, ...(named && { release: named }), ...(windows && { windows }) };
};

/** A pour's mixes with their sheets, and its steps at the bench: the same on every device. @throws InputError */
export function benchOf({
  parts,
  input,
}: {
  readonly parts: readonly PourPart[];
  readonly input: PourChoices;
}): BenchOf {
  const calculated = parts.map((part) => ({
    ...part,
    sheet: calculateSheet(part.plan),
    placings: placingsOf(part.plan, input.finish, part.windows),
  }));
  return {
    parts: calculated,
    steps: stepsOf(
      calculated,
      waysOf(
        input,
        parts.map(({ windows = 1 }) => windows),
      ),
    ),
  };
}
