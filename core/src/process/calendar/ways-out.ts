import { DAY, msg, quantity, type Message, type Moment } from '../../foundation/units/index.js';
import { chanceOfEnough } from './least-poured.js';
import type { CalendarPlan } from './calendar-plan.js';
import type { CalendarSources, CalendarTrial } from './calendar-sources.js';
import { SURE_ENOUGH } from './chance.js';
import { planCalendar, unsureOf, type PlanWays } from './plan-calendar.js';
import type { CasterWeek } from './week.js';

/** What would help a plan, with what it comes to. */
export interface WayOut {
  readonly kind: 'copy' | 'longer' | 'evening' | 'warmer' | 'faster' | 'fewer' | 'later';
  readonly told: Message;
}

/** An hour more, and so many °C more, are tried. */
const LONGER = 60;
const WARMER = 5;
/** Moulds of which one more copy is tried: those that most is poured of. */
const MOST_MOULDS = 4;

/** What of two plans is told apart, in the order of what matters. */
interface Standing {
  readonly unsure: number;
  readonly late: number;
  readonly sessions: number;
  readonly ready: number;
}

/** How a plan stands: lines that are not sure enough, pieces too late, sessions, and when all is ready, ms. */
function standingOf(plan: CalendarPlan): Standing {
  const { outcomes, sessions, left } = plan;
  return {
    unsure: unsureOf(plan),
    late: outcomes.reduce((sum, { late }) => sum + late, 0) + left,
    sessions: sessions.length,
    ready: Math.max(0, ...outcomes.map(({ wanted, likely }) => (wanted > 0 ? (likely ?? Infinity) : 0))),
  };
}

/** What one plan gains on another; undefined where that is nothing to speak of. */
function gainOf(before: Standing, after: Standing): Message | undefined {
  if (after.unsure < before.unsure)
    return after.unsure === 0
      ? msg('calendar.gainAll')
      : msg('calendar.gainLines', { lines: before.unsure - after.unsure });
  if (after.unsure > before.unsure) return undefined;
  if (after.late < before.late) return msg('calendar.gainPieces', { pieces: before.late - after.late });
  if (after.sessions < before.sessions)
    return msg('calendar.gainSessions', { sessions: before.sessions - after.sessions });
  const days = Math.round((before.ready - after.ready) / DAY);
  return after.sessions === before.sessions && Number.isFinite(days) && days >= 1
    ? msg('calendar.gainDays', { days })
    : undefined;
}

/** The moulds that most is poured of by a plan. */
function busiestMoulds({ lines }: CalendarSources, { outcomes }: CalendarPlan): string[] {
  const poured = new Map<string, number>();
  for (const { id, mouldId } of lines) {
    const own = outcomes.find(({ line }) => line === id)?.poured ?? 0;
    if (own > 0) poured.set(mouldId, (poured.get(mouldId) ?? 0) + own);
  }
  return [...poured].sort(([, a], [, b]) => b - a).map(([id]) => id).slice(0, MOST_MOULDS); // prettier-ignore
}

interface Tried {
  readonly kind: WayOut['kind'];
  readonly trial: CalendarTrial;
  readonly tell: (effect: Message) => Message;
}

/** A weekday by its name; Monday is 0. The fifth day of 1970 was one. */
const weekdayName = (weekday: number): Moment => ({ at: (4 + weekday) * DAY + DAY / 2, as: 'longWeekday' });

const WEEK = 7;

/** The weekday without a session that lies furthest from those with one, Monday 0; undefined where there is none on which somebody is at hand. */
function freeWeekday({ sessions, attended }: CasterWeek): number | undefined {
  const apart = (a: number, b: number) => Math.min(Math.abs(a - b), WEEK - Math.abs(a - b));
  const distance = (day: number) =>
    Math.min(WEEK, ...sessions.flatMap((one, other) => (one === null ? [] : [apart(day, other)])));
  const free = sessions.flatMap((one, day) => (one === null && attended[day] ? [day] : []));
  return free.length === 0 ? undefined : free.reduce((best, day) => (distance(day) > distance(best) ? day : best));
}

/** What is tried: one more copy of a mould, an hour, an evening, a warmer place, a faster cement. */
function trialsFor(sources: CalendarSources, plan: CalendarPlan): Tried[] {
  const { moulds, mixes } = sources.pour;
  const [week] = sources.weeks;
  const nameOf = (id: string) => moulds.find((one) => one.id === id)?.name ?? '';
  const copies = busiestMoulds(sources, plan)
    .filter((id) => !moulds.find((one) => one.id === id)?.once)
    .map((copyOf): Tried => ({ kind: 'copy', trial: { copyOf }, tell: (effect) => msg('calendar.wayCopy', { name: nameOf(copyOf), effect }) })); // prettier-ignore
  const free = week && freeWeekday(week);
  const evening = (weekday: number): Tried => ({ kind: 'evening', trial: { weekday }, tell: (effect) => msg('calendar.wayEvening', { weekday: weekdayName(weekday), effect }) }); // prettier-ignore
  const slow = sources.lines.some(({ mixId }) => mixes.find(({ id }) => id === mixId)?.binderClass === 'portland');
  return [
    ...copies,
    { kind: 'longer', trial: { longer: LONGER }, tell: (effect) => msg('calendar.wayLonger', { effect }) },
    ...(free === undefined ? [] : [evening(free)]),
    { kind: 'warmer', trial: { warmer: WARMER }, tell: (effect) => msg('calendar.wayWarmer', { warmer: quantity(WARMER, 'K', 0), effect }) }, // prettier-ignore
    ...(slow ? [{ kind: 'faster' as const, trial: { faster: true }, tell: (effect: Message) => msg('calendar.wayFaster', { effect }) }] : []), // prettier-ignore
  ];
}

/** How many of a line come out good in time with what is poured in time, surely enough. */
function readyInTime(inTime: number, risk: number): number {
  let count = inTime;
  while (count > 0 && chanceOfEnough(inTime, count, 1 - risk) < SURE_ENOUGH) count -= 1;
  return count;
}

/** What a line that is late comes to as it is: fewer pieces by its date, or all at a later one. */
function asItIs({ lines, pour }: CalendarSources, { outcomes }: CalendarPlan): WayOut[] {
  return outcomes.flatMap(({ line: id, late, chance, poured, likely, risk }): WayOut[] => {
    const line = lines.find((one) => one.id === id);
    if (!line || line.by === undefined || chance >= SURE_ENOUGH) return [];
    const { name = '' } = pour.moulds.find((one) => one.id === line.mouldId) ?? {};
    const done = line.poured.reduce((sum, { count }) => sum + count, 0);
    const ready = Math.min(line.count - 1, done + readyInTime(poured - late, risk));
    const by = { at: line.by, as: 'date' as const };
    return [
      ...(late > 0 ? [{ kind: 'fewer' as const, told: msg('calendar.wayFewer', { ready, count: line.count, name, by }) }] : []), // prettier-ignore
      ...(likely === undefined ? [] : [{ kind: 'later' as const, told: msg('calendar.wayLater', { name, count: line.count, by: { at: likely, as: 'date' as const } }) }]), // prettier-ignore
    ];
  });
}

/**
 * What would help a plan, each solved for: one more copy of a mould, longer or more evenings, a warmer place, a faster cement; and what comes of it
 * as it is. Those that gain nothing are left out. `onFound` hears of each as it is found. Handbook 18.
 */
export function waysOut(
  sources: CalendarSources,
  plan: CalendarPlan,
  ways: PlanWays,
  onFound?: (way: WayOut) => void,
): WayOut[] {
  const before = standingOf(plan);
  const found = asItIs(sources, plan);
  found.forEach((way) => onFound?.(way));
  for (const { kind, trial, tell } of trialsFor(sources, plan)) {
    const effect = gainOf(before, standingOf(planCalendar({ ...sources, trial }, ways)));
    if (!effect) continue;
    const way = { kind, told: tell(effect) };
    found.push(way);
    onFound?.(way);
  }
  return found;
}

/** What can hold a plan up, with the plan without it. */
const holders = ['copies', 'hours', 'bucket', 'spots', 'shelf', 'curing', 'drying'] as const;
export type HeldUpBy = (typeof holders)[number];

/** Whether one plan stands better than another: half a day sooner where nothing else tells. */
function isBetter(a: Standing, b: Standing): boolean {
  const apart = (['unsure', 'late', 'sessions'] as const).find((what) => a[what] !== b[what]);
  return apart ? a[apart] < b[apart] : a.ready < b.ready - DAY / 2;
}

/** What holds a plan up most: that without which it would be best; undefined where nothing alone does. Each is solved for. */
export function heldUpBy(sources: CalendarSources, plan: CalendarPlan, ways: PlanWays): HeldUpBy | undefined {
  const roomy = sources.places.every(({ room }) => room === undefined);
  const before = standingOf(plan);
  let best: { readonly by?: HeldUpBy; readonly standing: Standing } = { standing: before };
  for (const by of holders) {
    if (roomy && (by === 'spots' || by === 'shelf')) continue;
    const standing = standingOf(planCalendar({ ...sources, trial: { without: by } }, ways));
    if (isBetter(standing, best.standing)) best = { by, standing };
  }
  return best.by;
}

/** What holds a plan up, in a sentence. */
export const heldUpTold = (by: HeldUpBy): Message => msg('calendar.heldUp', { by });
