import { DAY } from '../../foundation/units/index.js';
import type { CalendarPlan, PlannedPieces } from './calendar-plan.js';
import { wantedStates, type WantedState } from './chain.js';
import type { OpenLine } from './order-lines.js';

/** What is done to pieces that are not poured yet. */
export const plannedTaskKinds = ['demould', 'damp', 'end-moist-curing', 'weigh', 'coat'] as const;
export type PlannedTaskKind = (typeof plannedTaskKinds)[number];

/** Something that a plan wants done to what one session pours of a line. Times in ms: usually, and at the longest that is counted on; what is kept damp is so from the first until the second. */
export interface PlannedTask {
  readonly task: PlannedTaskKind;
  readonly line: string;
  readonly count: number;
  readonly at: number;
  readonly latest: number;
}

/** The first weighing is a day after the cover is off. */
const FIRST_WEIGHING = DAY;

function tasksOf({ line, count, middle, long }: PlannedPieces, state: WantedState): PlannedTask[] {
  if (!middle) return [];
  const reaches = (wanted: WantedState) => wantedStates.indexOf(state) >= wantedStates.indexOf(wanted);
  const task = (kind: PlannedTaskKind, at: number, latest = at): PlannedTask => ({ task: kind, line, count, at, latest: Math.max(at, latest) }); // prettier-ignore
  return [
    task('demould', middle.demoulded, long?.demoulded),
    ...(reaches('cured') && middle.cured > middle.demoulded ? [task('damp', middle.demoulded, middle.cured)] : []),
    ...(reaches('cured') ? [task('end-moist-curing', middle.cured, long?.cured)] : []),
    ...(reaches('dry')
      ? [task('weigh', middle.cured + FIRST_WEIGHING, (long?.cured ?? middle.cured) + FIRST_WEIGHING)]
      : []),
    ...(reaches('sealed') ? [task('coat', middle.dry, long?.dry)] : []),
  ];
}

/** What a plan wants done beside its sessions, in the order of time. */
export function plannedTasks(
  { pieces }: Pick<CalendarPlan, 'pieces'>,
  lines: readonly Pick<OpenLine, 'id' | 'state'>[],
): PlannedTask[] {
  // prettier-ignore
  return pieces
    .filter(({ session }) => session !== undefined)
    .flatMap((piece) => {
      const line = lines.find(({ id }) => id === piece.line);
      return line ? tasksOf(piece, line.state) : [];
    })
    .sort((a, b) => a.at - b.at);
}
