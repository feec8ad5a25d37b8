import { defined } from '@dewpot/core/math';
import { finderOf } from '@dewpot/core/materials';
import { knownColours } from '@dewpot/core/tints';
import type { Solver } from '@dewpot/core/solver';
import {
  buyBy,
  calendarProblem,
  calendarSources,
  copiesOwned,
  heldUpBy,
  judgeCalendar,
  leastSessions,
  planCalendar,
  waysOut,
  type BuyBy,
  type CalendarPlan,
  type CalendarProblem,
  type CalendarSources,
  type HeldUpBy,
  type JudgedCalendar,
  type PlannedSession,
  type WayOut,
} from '@dewpot/core/calendar';
import type { CalendarFacts, MixView, MouldView, PastPoursView, SessionView, StoreView, TintsView } from '@dewpot/contract'; // prettier-ignore
import { pourSources } from '../api/pour-sources';

/** All that a calendar is planned from, as it crosses to a worker. */
export interface CalendarData {
  readonly moulds: readonly MouldView[];
  readonly mixes: readonly MixView[];
  readonly store: StoreView;
  readonly tints: TintsView;
  readonly workshop: SessionView['workshop'];
  readonly past: PastPoursView;
  readonly facts: CalendarFacts;
}

type Dated = Pick<PlannedSession, 'at' | 'poured'>;

/** The same plan comes of the same orders. */
const SEED = 1;
/** A plan is looked for so long, and each way out, s. */
const PLAN_SECONDS = 3.8;
const WAY_SECONDS = 1.2;

/** What the calendar is made from, out of plain data. */
export function sourcesOf({ moulds, mixes, store, tints, workshop, past, facts }: CalendarData): CalendarSources {
  const find = finderOf(store.materials);
  const colours = knownColours(tints.swatches, find);
  const sources = pourSources({ moulds, mixes, palette: { ...tints, store, find, colours }, workshop, past, now: facts.now }); // prettier-ignore
  const owned = moulds.map((mould) => ({ ...mould, copies: copiesOwned(mould.copies) }));
  return calendarSources({ ...sources, moulds: owned }, facts);
}

/** How a plan is asked for: what was planned before, and what a person put where it is. */
export interface PlanAsked {
  readonly before?: readonly Dated[];
  readonly kept?: readonly Dated[];
}

/** The work of a calendar beside the screen. It is given its data first; a question goes by what was given last when it was asked. */
export function makeCalendarWork(load: () => Promise<Solver>) {
  let sources: CalendarSources | undefined;
  let problem: CalendarProblem | undefined;
  let solver: Promise<Solver> | undefined;
  const clock = () => performance.now() / 1000;
  const ways = async (seconds: number) => ({ solve: await (solver ??= load()), seconds, clock, seed: SEED });
  return {
    /** Takes the data in. */
    take(data: CalendarData): void {
      sources = sourcesOf(data);
      problem = undefined;
    },
    /** Looks for the best plan; hears of each better one. */
    async plan(asked: PlanAsked, onBetter: (sessions: readonly PlannedSession[]) => void): Promise<CalendarPlan> {
      const { before, kept } = asked;
      const more = { ...(before && { before }), ...(kept && { kept }) };
      return planCalendar(defined(sources), { ...(await ways(PLAN_SECONDS)), ...more, onBetter: (better) => onBetter(better) }); // prettier-ignore
    },
    /** Judges sessions as they are. */
    judge(sessions: readonly Dated[]): JudgedCalendar {
      problem ??= calendarProblem(defined(sources));
      return judgeCalendar(problem, sessions, SEED);
    },
    /** How few sessions there can be for what is still to be poured. */
    async least(): Promise<number> {
      const { schedule } = (problem ??= calendarProblem(defined(sources)));
      const { solve, seconds, clock: now } = await ways(WAY_SECONDS);
      return leastSessions(schedule, solve, seconds, now);
    },
    /** What would help, one after another. */
    async help(plan: CalendarPlan, onFound: (way: WayOut) => void): Promise<void> {
      waysOut(defined(sources), plan, await ways(WAY_SECONDS), (way) => onFound(way));
    },
    async heldUp(plan: CalendarPlan): Promise<HeldUpBy | undefined> {
      return heldUpBy(defined(sources), plan, await ways(WAY_SECONDS));
    },
    /** What runs out, and by when. */
    buy(plan: CalendarPlan): BuyBy[] {
      return buyBy(defined(sources), plan);
    },
  };
}
export type CalendarWork = ReturnType<typeof makeCalendarWork>;
