import { useEffect, useEffectEvent, useRef, useState, type Dispatch, type SetStateAction } from 'react';
import { proxy } from 'comlink';
import { movedSessions, type CalendarPlan, type JudgedCalendar, type MovedSession } from '@dewpot/core/calendar';
import type { CalendarPlanView } from '@dewpot/contract';
import { useKeepPlan } from '../api/orders';
import type { CalendarData, PlanAsked } from '../workers/calendar-work';
import { markedSessions, movedTo, planToKeep, toCome, type PlanSession } from './plan-sessions';
import { useCalendarWork } from './use-calendar-work';
import { useHelp } from './use-help';

/** What is shown of a plan: its sessions, and how they were judged. */
interface Shown {
  readonly sessions: readonly PlanSession[];
  readonly judged?: JudgedCalendar;
}

/** How few sessions there can be, and what that was found from. */
interface Bound {
  readonly data: CalendarData;
  readonly least: number;
}

/** A plan with what is known of how few sessions there can be. */
const bounded = (shown: Shown, least: number): Shown =>
  shown.judged
    ? { ...shown, judged: { ...shown.judged, plan: { ...shown.judged.plan, leastSessions: least } } }
    : shown;

/** Looks for plans and judges sessions; what comes late of an earlier turn is passed over. */
function useSearch(data: CalendarData, show: Dispatch<SetStateAction<Shown>>) {
  const { ask, end } = useCalendarWork(data);
  const [looking, setLooking] = useState<{ readonly found?: number }>();
  const [planning, judging] = [useRef(0), useRef(0)];
  const bound = useRef<Bound>(undefined);
  const search = async (asked: PlanAsked, marks: readonly PlanSession[]): Promise<CalendarPlan | undefined> => {
    const mine = ++planning.current;
    const isMine = () => mine === planning.current;
    setLooking({});
    try {
      const better = proxy((found: readonly object[]) => void (isMine() && setLooking({ found: found.length })));
      const plan = await ask((work) => work.plan(asked, better));
      if (!isMine()) return undefined;
      bound.current = { data, least: plan.leastSessions };
      show({ judged: { plan, breaches: [] }, sessions: markedSessions(plan, marks) });
      return plan;
    } finally {
      if (isMine()) setLooking(undefined);
    }
  };
  const judge = async (sessions: readonly PlanSession[]) => {
    const mine = ++judging.current;
    const judged = await ask((work) => work.judge(toCome(sessions, data.facts.now)));
    if (mine !== judging.current) return;
    // However sessions are moved, there can be no fewer; where orders or copies changed, that is found out again.
    const known = bound.current?.data === data ? bound.current.least : undefined;
    show(bounded({ judged, sessions }, known ?? 0));
    if (known !== undefined) return;
    const least = await ask((work) => work.least());
    // A plan that was found meanwhile has told it.
    if (mine !== judging.current || bound.current?.data === data) return;
    bound.current = { data, least };
    show((shown) => bounded(shown, least));
  };
  const stop = () => {
    planning.current += 1;
    end();
    setLooking(undefined);
  };
  return { looking, search, judge, stop };
}

/**
 * Plans in a worker of this screen. What is kept is shown first; where nothing is, a plan is looked for at once. `asking`: whether one is kept is
 * still asked, as what the browser remembers may be older.
 */
export function usePlanner(data: CalendarData, kept: CalendarPlanView | undefined, asking = false) {
  const [shown, setShown] = useState<Shown>({ sessions: kept?.sessions ?? [] });
  const [before, setBefore] = useState<Shown>();
  const [moved, setMoved] = useState<readonly MovedSession[]>([]);
  const [failed, setFailed] = useState<unknown>();
  const keeping = useKeepPlan();
  const { facts } = data;
  const { judged, sessions } = shown;
  const { looking, search, judge, stop } = useSearch(data, setShown);
  const { help, look, forget } = useHelp(data);
  const failing = (error: unknown) => setFailed(error);
  const keep = (plan: CalendarPlan, of: readonly PlanSession[], version = kept?.version ?? 0) =>
    keeping.mutate(planToKeep(plan, of, facts, version));

  /** What the plan that is looked for was asked by: it is asked again where what is known changes meanwhile. */
  const looked = useRef<{ readonly asked: PlanAsked; readonly marks: readonly PlanSession[] }>(undefined);
  const planBy = async (asked: PlanAsked, marks: readonly PlanSession[]) => {
    setFailed(undefined);
    forget();
    looked.current = { asked, marks };
    const plan = await search(asked, marks);
    if (!plan) return;
    setBefore(undefined);
    setMoved(asked.before ? movedSessions((before ?? shown).sessions, plan.sessions, facts.now) : []);
    keep(plan, markedSessions(plan, marks));
    await look(plan);
  };
  const begin = useEffectEvent(async () => {
    if (facts.lines.length === 0 || (asking && !kept)) return;
    if (looking && looked.current) {
      stop();
      await planBy(looked.current.asked, looked.current.marks);
    } else if (judged) await judge(sessions);
    else await (kept ? judge(kept.sessions) : planBy({}, []));
  });
  // What is shown is judged by what is known, and a plan looked for by it: when that changes, again.
  useEffect(() => {
    Promise.resolve().then(begin).catch(setFailed);
  }, [data, asking]);

  return {
    judged,
    /** Whether what is kept is still judged for the first time. */
    opening: kept !== undefined && !judged && !looking && facts.lines.length > 0 && failed === undefined,
    sessions,
    /** Sessions found so far, while a better plan is looked for. */
    looking,
    help,
    /** What was judged before sessions were moved, until that is kept or undone. */
    movedFrom: before?.judged,
    /** What the last plan put otherwise than the one before it. */
    moved,
    forgetMoved: () => setMoved([]),
    failed,
    keeping,
    planAnew: () => {
      const ahead = toCome(sessions, facts.now);
      const marks = ahead.filter((one) => one.kept);
      planBy({ ...(ahead.length > 0 && { before: ahead }), kept: marks }, marks).catch(failing);
    },
    /** Keeps what is shown over what somebody else kept meanwhile, by its version. */
    keepMine: (version: number) => judged && keep(judged.plan, sessions, version),
    /** Looks for what would help the plan that is shown. */
    askHelp: () => {
      if (judged) look(judged.plan).catch(failing);
    },
    stop,
    move: (from: number, to: number) => {
      const was = shown;
      const next = movedTo(sessions, from, to);
      setShown({ ...shown, sessions: next });
      judge(next)
        .then(() => setBefore((one) => one ?? was))
        .catch((error: unknown) => {
          setShown(was);
          failing(error);
        });
    },
    keepMoved: () => {
      if (judged) keep(judged.plan, sessions);
      setBefore(undefined);
    },
    undoMoved: () => {
      if (before) setShown(before);
      setBefore(undefined);
    },
  };
}
export type Planner = ReturnType<typeof usePlanner>;
