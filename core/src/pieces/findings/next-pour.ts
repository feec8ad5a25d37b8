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

const covered = (): Partial<Changeable> => ({ cover: COVER });

/** What a next pour chooses otherwise, so that a cause does not come up again; nothing where it is at its end already. */
const changes: Readonly<Partial<Record<Cause, (choices: Changeable) => Partial<Changeable>>>> = {
  'dried-early': covered,
  'dried-long': covered,
  uncovered: covered,
  'over-ceiling': ({ grade }) => (grade > STIFFEST ? { grade: (grade - 1) as Grade } : {}),
  'late-placing': ({ people = 1 }) => (people < MOST_PEOPLE ? { people: people + 1 } : {}),
  'no-release': () => ({ release: RELEASE }),
  unreinforced: ({ items }) => ({ items: items.map((item) => ({ ...item, mesh: true })) }),
};

/** Whether a pour can be planned otherwise against a cause. */
export const isPlannable = (cause: Cause): boolean => cause in changes;
/** A cause by its key as an address names it. */
export const causeCalled = (word: string | null): Cause | undefined => causeKeys.find((cause) => cause === word);

/** A pour planned so that a cause does not come up again: another cover, a stiffer grade, mesh, a release, one more pair of hands. */
export const plannedAgainst = <Choices extends Changeable>(choices: Choices, cause: Cause): Choices => ({
  ...choices,
  ...changes[cause]?.(choices),
});
