import { HOUR, type FieldIssue, type Message } from '../../foundation/units/index.js';
import type { CalendarLine, CalendarProblem } from './calendar-problem.js';
import { shiftFor } from './chain-of-line.js';
import { chainOf, type ChainTimes } from './chain.js';
import { chancesOf, type DrawnLine, type LineChance } from './chance.js';
import { wantedStill } from './order-lines.js';
import { latePieces, type EarlierSession, type Poured, type Schedule, type Session } from './problem.js';

/** A planned session. Times in ms. */
export interface PlannedSession {
  readonly at: number;
  readonly minutes: number;
  /** How long the evening is, min. */
  readonly room: number;
  readonly poured: readonly Poured[];
  /** Buckets by mix, in the order in which they are mixed. */
  readonly batches: Session['batches'];
}

/** What becomes of the pieces of a line that a session pours: when they come to each state, usually and at the longest. */
export interface PlannedPieces {
  readonly line: string;
  /** Which of the sessions pours them; undefined where they stand already. */
  readonly session?: number;
  readonly pouredAt: number;
  readonly count: number;
  readonly middle?: ChainTimes;
  readonly long?: ChainTimes;
}

/** How a line of an order comes out by a plan. */
export interface LineOutcome extends LineChance {
  readonly line: string;
  /** Pieces that are still to come out good, and those that are poured for that. */
  readonly wanted: number;
  readonly poured: number;
  /** Of those, pieces that are poured too late for the date. */
  readonly late: number;
  /** Chance that a piece is lost on the way. */
  readonly risk: number;
}

/** A plan of all open orders. */
export interface CalendarPlan {
  readonly sessions: readonly PlannedSession[];
  readonly pieces: readonly PlannedPieces[];
  readonly outcomes: readonly LineOutcome[];
  /** Chance that all lines are ready by their dates. */
  readonly chance: number;
  /** Proven: no plan holds fewer sessions, where as few pieces are late. */
  readonly leastSessions: number;
  readonly best: boolean;
  /** Pieces that do not go into the evenings that are looked at. */
  readonly left: number;
  readonly issues: readonly FieldIssue[];
  readonly notes: readonly Message[];
}

/** Sessions that begin at times as those of slots; what has no slot is left out. */
export function inSlots(
  { schedule: { slots, lines } }: CalendarProblem,
  sessions: readonly Pick<PlannedSession, 'at' | 'poured'>[],
): EarlierSession[] {
  // prettier-ignore
  return sessions.flatMap(({ at, poured }) => {
    const slot = slots.findIndex((one) => one.at === at);
    const known = poured.filter(({ line }) => lines.some(({ key }) => key === line));
    return slot < 0 ? [] : [{ slot, poured: known }];
  });
}

/** A line as its chance is drawn. */
function drawnLine(one: CalendarLine, schedule: Schedule, { schedule: { slots }, warmer }: CalendarProblem): DrawnLine {
  // prettier-ignore
  const { line, piece, risk, air } = one;
  const planned = schedule.sessions.flatMap(({ slot, poured }) =>
    poured.flatMap(({ line: key, count }) => (key === line.id ? [{ at: slots[slot]?.at ?? 0, count }] : [])),
  );
  // What is ready already is waited for no more.
  const standing = line.poured.map(({ at, count, safe, ready }) => ({ at, count: count - ready, safe }));
  const ready = line.poured.reduce((sum, { ready: own }) => sum + own, 0);
  return {
    key: line.id,
    wanted: Math.max(0, line.count - ready),
    pours: [...standing, ...planned],
    piece,
    risk,
    state: line.state,
    after: (line.joining ?? 0) * HOUR,
    ...(line.by !== undefined && { by: line.by }),
    air: (deviations) => air({ deviations, warmer }),
  };
}

/** The sessions of a schedule, on their days. */
export const sessionsOf = ({ schedule: { slots } }: CalendarProblem, { sessions }: Schedule): PlannedSession[] =>
  sessions.map(({ slot, poured, batches, minutes }) => ({
    at: slots[slot]?.at ?? 0,
    room: slots[slot]?.minutes ?? 0,
    minutes,
    poured,
    batches,
  }));

/** Pieces of each line that were poured and are not as they are wanted yet. */
function standingPieces({ lines, atHand, warmer }: CalendarProblem): PlannedPieces[] {
  const { middle: usual, long: slow } = shiftFor(warmer);
  return lines.flatMap(({ line, piece, air }) =>
    line.poured.flatMap(({ at, count, ready }): PlannedPieces[] => {
      if (count <= ready) return [];
      const [middle, long] = [usual, slow].map((shift) => chainOf(piece, at, air(shift), atHand));
      return [{ line: line.id, pouredAt: at, count: count - ready, ...(middle && { middle }), ...(long && { long }) }];
    }),
  );
}

/** The pieces that a schedule pours. */
const plannedPieces = ({ lines, schedule: { slots } }: CalendarProblem, { sessions }: Schedule): PlannedPieces[] =>
  sessions.flatMap(({ slot, poured }, session) =>
    poured.map(({ line: key, count }): PlannedPieces => {
      const own = lines.find(({ line }) => line.id === key);
      const [middle, long] = [own?.middle[slot], own?.long[slot]];
      const pouredAt = slots[slot]?.at ?? 0;
      return { line: key, session, pouredAt, count, ...(middle && { middle }), ...(long && { long }) };
    }),
  );

/** What a schedule comes to: when its pieces are ready, and how likely that is in time. */
export function planOf(
  problem: CalendarProblem,
  schedule: Schedule & { readonly best?: boolean; readonly leastSessions?: number; readonly left?: number },
  seed: number,
  quick = false,
): CalendarPlan {
  const late = latePieces(problem.schedule, schedule);
  const { lines, order } = chancesOf(
    problem.lines.map((one) => drawnLine(one, schedule, problem)),
    { seed, season: problem.season, atHand: problem.atHand, known: problem.known, quick },
  );
  const pouredOf = (id: string) =>
    schedule.sessions.flatMap(({ poured }) => poured).reduce((sum, one) => sum + (one.line === id ? one.count : 0), 0);
  return {
    sessions: sessionsOf(problem, schedule),
    pieces: [...standingPieces(problem), ...plannedPieces(problem, schedule)],
    outcomes: problem.lines.map(({ line, risk }) => ({
      risk,
      line: line.id,
      wanted: wantedStill(line),
      poured: pouredOf(line.id),
      late: late.get(line.id) ?? 0,
      ...(lines.get(line.id) ?? { chance: 0 }),
    })),
    chance: order,
    leastSessions: schedule.leastSessions ?? 0,
    best: schedule.best ?? false,
    left: schedule.left ?? 0,
    issues: problem.issues,
    notes: problem.notes,
  };
}
