import { defined, normalPoint } from '../../foundation/math/index.js';
import { DAY, HOUR, InputError, msg, quantity, type FieldIssue, type Message } from '../../foundation/units/index.js';
import type { CalendarPlace, CalendarSources } from './calendar-sources.js';
import { chainPieceOf, shiftFor } from './chain-of-line.js';
import type { Arrivals } from './chance.js';
import { chainOf, type AtHand, type ChainPiece, type ChainTimes } from './chain.js';
import type { Fits } from './first-schedule.js';
import { leastPoured } from './least-poured.js';
import { DEMOULD_MINUTES, workOf, type LineWork } from './line-work.js';
import { wantedStill, type OpenLine } from './order-lines.js';
import { airOf, readingAt, seasonShare, type AirOf } from './place-air.js';
import type { ScheduledLine, SchedulingProblem } from './problem.js';
import { slotsBarred } from './pull-times.js';
import { fitsSlot, sessionBench, sessionChoices } from './session-pour.js';
import { sharedOf } from './shared-room.js';
import { atHandBetween, slotsOf, type CasterWeek, type SessionSlot } from './week.js';

/** Sessions that are looked at at most, and the time in which they lie, ms. */
const MOST_SLOTS = 60;
const AHEAD = 182 * DAY;
/** A chain that begins in the last of them is followed on, ms. */
const BEYOND = 125 * DAY;
/** Low and high durations lie where four in five are within. */
const FOUR_IN_FIVE = normalPoint(0.8);
/** At the bench where the air of a place is not known, °C. */
const USUAL_TEMPERATURE = 18;

/** A line as it is scheduled, with what that rests on. */
export interface CalendarLine {
  readonly line: OpenLine;
  readonly work: LineWork;
  readonly piece: ChainPiece;
  readonly risk: number;
  /** Pieces to pour, those that are lost on the way among them. */
  readonly pour: number;
  readonly air: AirOf;
  /** Slots in which it cannot be poured. */
  readonly notIn: readonly number[];
  /** When a piece comes to each state, by the slot it is poured in: usually, and at the longest that is counted on. */
  readonly middle: readonly (ChainTimes | undefined)[];
  readonly long: readonly (ChainTimes | undefined)[];
  readonly place: CalendarPlace;
}

/** Everything that a plan of a workshop's orders is looked for with. */
export interface CalendarProblem {
  readonly schedule: SchedulingProblem;
  readonly lines: readonly CalendarLine[];
  readonly fits: Fits;
  readonly atHand: AtHand;
  /** How far a whole season lies off what is usual, in standard deviations of a month's daily means. */
  readonly season: number;
  /** Everything is tried out so much warmer, °C. */
  readonly warmer: number;
  /** What is drawn again and again is worked out once. */
  readonly known: Arrivals;
  /** Lines that cannot be planned, and why. */
  readonly issues: readonly FieldIssue[];
  /** What is to be known of the plan beside it. */
  readonly notes: readonly Message[];
}

const issue = (field: string, value: unknown, message: Message, remedy: Message): FieldIssue => ({ field, value, message, remedy }); // prettier-ignore

/** The week as it is tried out: longer sessions, or one more. */
function weeksTried({ weeks, trial }: CalendarSources): readonly CasterWeek[] {
  const [first, ...others] = weeks;
  if (!first || (trial?.weekday === undefined && trial?.longer === undefined)) return weeks;
  const longer = (trial.longer ?? 0) / 60;
  const usual = first.sessions.find((one) => one !== null) ?? { from: 19, to: 21 };
  const sessions = first.sessions.map((one, day) => {
    const own = one ?? (day === trial.weekday ? usual : null);
    return own && { from: own.from, to: Math.min(24, own.to + longer) };
  });
  return [{ ...first, sessions }, ...others];
}

/** The slots that can be planned with. */
function slotsAhead(sources: CalendarSources): SessionSlot[] {
  const { now } = sources.pour;
  const slots = slotsOf(weeksTried(sources), now, now + AHEAD, sources.zone).slice(0, MOST_SLOTS);
  return sources.trial?.without === 'hours' ? slots.map((slot) => ({ ...slot, minutes: slot.minutes * 10 })) : slots;
}

/** What is wrong with a line before anything is calculated. */
function lineIssues(line: OpenLine, i: number, { pour }: CalendarSources): FieldIssue[] {
  const at = `lines.${i}`;
  const mould = pour.moulds.find(({ id }) => id === line.mouldId);
  if (!mould) return [issue(`${at}.mouldId`, line.mouldId, msg('calendar.mouldGone', { order: line.order }), msg('pours.chooseAnother'))]; // prettier-ignore
  const { name, copies, once } = mould;
  const sound = copies.filter(({ retired, leaks }) => !retired && !leaks);
  if (!once && copies.length > 0 && sound.length === 0)
    return [issue(`${at}.mouldId`, name, msg('calendar.noSoundCopy', { name, count: copies.length }), msg('calendar.mendOrAdd'))]; // prettier-ignore
  if (line.by !== undefined && line.by < pour.now && wantedStill(line) > 0)
    return [issue(`${at}.by`, line.by, msg('calendar.dateOver', { order: line.order, by: { at: line.by, as: 'date' } }), msg('calendar.laterDate'))]; // prettier-ignore
  return [];
}

/** In which the bench of a line stands at a time, as the timelines of pours are told for it, °C. */
const benchTemperature = (air: AirOf | undefined, at: number): number =>
  Math.min(40, Math.max(0, (air && readingAt(air(), at)?.temperature) ?? USUAL_TEMPERATURE));

/** The chains of a line's piece from each slot. */
const chainsFrom = (piece: ChainPiece, slots: readonly SessionSlot[], air: AirOf, atHand: AtHand, warmer = 0) => {
  const { middle, long } = shiftFor(warmer);
  // What dries longer than four in five of its kind is not counted on.
  const slow = { ...piece, tau: piece.tau * Math.exp(FOUR_IN_FIVE * (piece.spread ?? 1)) };
  return {
    middle: slots.map(({ at }) => chainOf(piece, at, air(middle), atHand)),
    long: slots.map(({ at }) => chainOf(slow, at, air(long), atHand)),
  };
};

/** The last slot from which a line is ready by its date; undefined where it has none, -1 where it is none. */
function lastInTime({ by, state, joining = 0 }: OpenLine, long: readonly (ChainTimes | undefined)[]) {
  if (by === undefined) return undefined;
  return long.findLastIndex((times) => times !== undefined && times[state] + joining * HOUR <= by);
}

/** Pieces of a line that are still to be poured, so that with those that still may break enough come out good. */
function stillToPour({ count, poured }: OpenLine, risk: number): number {
  const sum = (safe: boolean) => poured.reduce((all, one) => all + (one.safe === safe ? one.count : 0), 0);
  return Math.max(0, leastPoured(Math.max(0, count - sum(true)), risk) - sum(false));
}

/** Everything that is scheduled of one line. @throws InputError where something of it is gone, or it cannot be poured */
function calendarLine(line: OpenLine, known: Known, sources: CalendarSources): CalendarLine {
  const { slots, atHand, airs } = known;
  const place = sources.places.find(({ id }) => id === line.placeId) ?? sources.places[0];
  if (!place) throw new InputError([issue('placeId', line.placeId, msg('calendar.noPlace'), msg('calendar.addPlace'))]);
  const air = defined(airs.get(place.id));
  const first = slots[0]?.at ?? sources.pour.now;
  const work = workOf(line, sources, benchTemperature(air, first));
  const learned = sources.learned.find((one) => one.mouldId === line.mouldId && one.mixId === line.mixId);
  const { piece, risk } = chainPieceOf(line, work.plan, learned, sources);
  const pour = stillToPour(line, risk);
  const mould = sources.pour.moulds.find(({ id }) => id === line.mouldId);
  const notIn = slotsBarred({ work, piece, air }, slots, atHand, mould?.release);
  if (slots.length > 0 && notIn.length === slots.length)
    throw new InputError([issue('mouldId', mould?.name, msg('calendar.coresAtNight', { name: mould?.name ?? '' }), msg('calendar.greaseCores'))]); // prettier-ignore
  return {
    line,
    work,
    piece,
    risk,
    pour,
    air,
    place,
    notIn,
    ...chainsFrom(piece, slots, air, atHand, sources.trial?.warmer),
  };
}

/** What all lines are calculated with. */
interface Known {
  readonly slots: readonly SessionSlot[];
  readonly atHand: AtHand;
  readonly airs: ReadonlyMap<string, AirOf>;
}

function linesOf(known: Known, sources: CalendarSources): { lines: CalendarLine[]; issues: FieldIssue[] } {
  const issues: FieldIssue[] = [];
  const lines = sources.lines.flatMap((line, i): CalendarLine[] => {
    const wrong = lineIssues(line, i, sources);
    issues.push(...wrong);
    if (wrong.length > 0) return [];
    try {
      return [calendarLine(line, known, sources)];
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      issues.push(...error.issues.map((one) => ({ ...one, field: `lines.${i}.${one.field}` })));
      return [];
    }
  });
  return { lines, issues };
}

/** The real timeline of sessions: each set of pieces is laid on the clock once. */
function fitsBy(lines: readonly CalendarLine[], { slots, atHand }: Known, { pour, setup }: CalendarSources): Fits {
  const known = new Map<string, boolean>();
  return ({ slot: at, poured }) => {
    const slot = defined(slots[at]);
    const key = JSON.stringify([poured, slot.minutes, slot.people, new Date(slot.at).getUTCHours()]);
    const before = known.get(key);
    if (before !== undefined) return before;
    const one = lines.find(({ line }) => poured.some(({ line: id }) => id === line.id));
    const ways = { temperature: benchTemperature(one?.air, slot.at), people: slot.people ?? 1 };
    const choices = sessionChoices(poured, lines.map(({ line }) => line), ways, pour.mixes); // prettier-ignore
    const demoulding = poured.reduce((sum, { count }) => sum + count * DEMOULD_MINUTES, 0) / (slot.people ?? 1);
    const own = { ...slot, minutes: slot.minutes - demoulding };
    const fits = choices === undefined || fitsSlot(sessionBench(choices, pour).steps, own, setup, atHand);
    known.set(key, fits);
    return fits;
  };
}

const scheduled = ({ line, work, pour, long, notIn }: CalendarLine): ScheduledLine => {
  const lastSlot = lastInTime(line, long);
  return {
    key: line.id,
    mouldId: line.mouldId,
    mixKey: work.mix.key,
    count: pour,
    minutes: work.minutes,
    volume: work.volume,
    ...(lastSlot !== undefined && { lastSlot }),
    ...(notIn.length > 0 && { notIn }),
  };
};

/** The longest of the slots, by its place; 0 where there is none. */
const longestOf = (slots: readonly SessionSlot[]): number =>
  slots.reduce((best, slot, i) => (slot.minutes > (slots[best]?.minutes ?? 0) ? i : best), 0);

/** Whether a line can be poured in no slot, as one piece takes longer than any. */
function isTooLong({ line, pour }: CalendarLine, { slots }: Known, fits: Fits): boolean {
  const session = { slot: longestOf(slots), poured: [{ line: line.id, count: 1 }], batches: [], minutes: 0 };
  return pour > 0 && slots.length > 0 && !fits(session);
}

function tooLongIssue({ line }: CalendarLine, { slots }: Known, sources: CalendarSources): FieldIssue {
  const i = sources.lines.findIndex(({ id }) => id === line.id);
  const { name = '' } = sources.pour.moulds.find(({ id }) => id === line.mouldId) ?? {};
  const minutes = Math.round(defined(slots[longestOf(slots)]).minutes);
  return issue(`lines.${i}.mouldId`, name, msg('calendar.longerThanAny', { name, minutes: quantity(minutes, 'min', 0) }), msg('calendar.longerSession')); // prettier-ignore
}

/** What stands in the way of all planning. */
function weekIssues(slots: readonly SessionSlot[]): FieldIssue[] {
  return slots.length > 0 ? [] : [issue('week.sessions', 0, msg('calendar.noEvening'), msg('calendar.addEvening'))];
}

/**
 * The problem of a workshop's orders: what is to be poured, in which evenings it could be, and what it shares. What cannot be planned is left out
 * and told among the issues. Handbook 18.
 */
export function calendarProblem(sources: CalendarSources): CalendarProblem {
  const { now } = sources.pour;
  const slots = slotsAhead(sources);
  const end = (slots[slots.length - 1]?.at ?? now) + BEYOND;
  const earliest = Math.min(now, ...sources.lines.flatMap(({ poured }) => poured.map(({ at }) => at)));
  const atHand = atHandBetween(weeksTried(sources), earliest, end, sources.zone);
  const airs = new Map(sources.places.map(({ id, air }) => [id, airOf(air, now, end, sources.zone)]));
  const known: Known = { slots, atHand, airs };
  const { lines: all, issues } = linesOf(known, sources);
  const fits = fitsBy(all, known, sources);
  const long = all.filter((one) => isTooLong(one, known, fits));
  const lines = all.filter((one) => !long.includes(one));
  const bare = sources.trial?.without === 'bucket';
  const mixes = new Map(lines.map(({ work: { mix } }) => [mix.key, bare ? { ...mix, bucket: 0 } : mix]));
  return {
    schedule: {
      slots,
      lines: lines.filter(({ pour }) => pour > 0).map(scheduled),
      mixes: [...mixes.values()],
      shared: sharedOf(lines, slots, atHand, sources),
      fixed: sources.setup.setUp + sources.setup.cleanUp,
    },
    lines,
    fits: sources.trial?.without === 'hours' || bare ? () => true : fits,
    atHand,
    season: Math.max(...sources.places.map(({ air }) => seasonShare(air.months)), 0),
    warmer: sources.trial?.warmer ?? 0,
    known: new Map(),
    issues: [...weekIssues(slots), ...issues, ...long.map((one) => tooLongIssue(one, known, sources))],
    notes: notesOf(sources),
  };
}

/** Copies that nobody listed are taken for one. */
function notesOf({ pour, lines }: CalendarSources): Message[] {
  const used = pour.moulds.filter(({ id }) => lines.some(({ mouldId }) => mouldId === id));
  return used
    .filter(({ copies, once }) => !once && copies.length === 0)
    .map(({ name }) => msg('calendar.oneCopyTaken', { name }));
}
