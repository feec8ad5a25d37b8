import type { ReleaseName } from '../../geometry/moulds/index.js';
import type { Grade } from '../../mixing/mixes/index.js';
import type { Cover } from '../../process/curing/index.js';
import { causeKeys, type Cause } from './causes.js';

/** What of a pour a cause can change. */
interface Changeable {
  readonly items: readonly { readonly mouldId: string; readonly mesh?: boolean }[];
  readonly grade: Grade;
  readonly people?: number;
  readonly release?: string;
  readonly cover?: string;
}

const COVER: Cover = 'bag';
const RELEASE: ReleaseName = 'wax';
const MOST_PEOPLE = 4;
const STIFFEST = 1;

/** What a next pour chooses otherwise, so that a cause does not come up again; empty where a choice does not help. */
function changed(cause: Cause, { items, grade, people = 1 }: Changeable): Partial<Changeable> {
  switch (cause) {
    case 'dried-early':
    case 'dried-long':
    case 'uncovered':
      return { cover: COVER };
    case 'over-ceiling':
      return grade > STIFFEST ? { grade: (grade - 1) as Grade } : {};
    case 'late-placing':
      return people < MOST_PEOPLE ? { people: people + 1 } : {};
    case 'no-release':
      return { release: RELEASE };
    case 'unreinforced':
      return { items: items.map((item) => ({ ...item, mesh: true })) };
    default:
      return {};
  }
}

/** Causes against which a pour can be planned otherwise. */
const PLANNABLE: readonly Cause[] = ['dried-early', 'dried-long', 'uncovered', 'over-ceiling', 'late-placing', 'no-release', 'unreinforced']; // prettier-ignore

export const isPlannable = (cause: Cause): boolean => PLANNABLE.includes(cause);
/** A cause by its key as an address names it. */
export const causeCalled = (word: string | null): Cause | undefined => causeKeys.find((cause) => cause === word);

/** A pour planned so that a cause does not come up again: another cover, a stiffer grade, mesh, a release, one more pair of hands. */
export const plannedAgainst = <Choices extends Changeable>(choices: Choices, cause: Cause): Choices => ({
  ...choices,
  ...changed(cause, choices),
});
