import { defined } from '../../foundation/math/index.js';
import { patternsOf, type Pattern } from './patterns.js';
import { sessionMinutes, type Poured, type Schedule, type SchedulingProblem, type Session } from './problem.js';

const x = (line: number, slot: number) => `x_${line}_${slot}`;
const held = (slot: number) => `y_${slot}`;
const filled = (pattern: number, slot: number) => `b_${pattern}_${slot}`;
/** The last slot in which a session is held. */
const LAST = 'last';

/** A sum as the LP format writes it: each factor with its sign. */
const sum = (terms: readonly (readonly [factor: number, name: string])[]): string =>
  terms
    .filter(([factor]) => factor !== 0)
    .map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`)
    .join(' ');

/** Slots in which a line may be poured. */
const slotsFor = ({ slots, lines }: SchedulingProblem, line: number): number[] => {
  const last = Math.min(slots.length - 1, defined(lines[line]).lastSlot ?? Infinity);
  return Array.from({ length: Math.max(0, last + 1) }, (_, slot) => slot);
};

/** All pieces of each line are poured, in slots from which they are ready in time. */
const counts = (problem: SchedulingProblem): string[] =>
  problem.lines.map(({ count }, line) => {
    const places = slotsFor(problem, line);
    // Where no slot is early enough, the programme has no solution, and says so.
    return places.length > 0 ? `${sum(places.map((slot) => [1, x(line, slot)]))} = ${count}` : `0 ${LAST} = ${count}`;
  });

/** In no slot more copies of a mould are full than there are. */
const copies = (problem: SchedulingProblem): string[] =>
  problem.moulds.flatMap(({ mouldId, copies: own, freeAgain, full = [] }) => {
    const lines = problem.lines.flatMap((line, at) => (line.mouldId === mouldId ? [at] : []));
    return problem.slots.flatMap((_, slot) => {
      const busy = lines.flatMap((line) =>
        slotsFor(problem, line)
          .filter((earlier) => earlier <= slot && defined(freeAgain[earlier]) > slot)
          .map((earlier): [number, string] => [1, x(line, earlier)]),
      );
      return busy.length > 0 ? [`${sum(busy)} <= ${Math.max(0, own - (full[slot] ?? 0))}`] : [];
    });
  });

/** What is poured in a slot is mixed in it, in whole buckets. */
const buckets = (problem: SchedulingProblem, patterns: readonly Pattern[]): string[] =>
  problem.lines.flatMap((_, line) =>
    slotsFor(problem, line).map((slot) => {
      const mixed = patterns.flatMap(({ pieces }, at): [number, string][] => {
        const count = pieces.get(line);
        return count === undefined ? [] : [[count, filled(at, slot)]];
      });
      return `${sum([...mixed, [-1, x(line, slot)]])} >= 0`;
    }),
  );

/** A session is held where something is poured, and is over within its slot. */
const hours = (problem: SchedulingProblem, patterns: readonly Pattern[]): string[] =>
  problem.slots.map(({ minutes }, slot) => {
    const pieces = problem.lines.flatMap((line, at): [number, string][] =>
      slotsFor(problem, at).includes(slot) ? [[line.minutes, x(at, slot)]] : [],
    );
    const mixed = patterns.map((one, at): [number, string] => [problem.work.bucket * one.buckets, filled(at, slot)]);
    return `${sum([...pieces, ...mixed, [problem.work.fixed - minutes, held(slot)]])} <= 0`;
  });

/**
 * The programme of a schedule, in the LP format: the fewest sessions, then the earliest last one. A session more costs more than any
 * delay of the last. Handbook 18, "What is best".
 */
export function programmeOf(problem: SchedulingProblem): string {
  const { slots, lines } = problem;
  const patterns = patternsOf(problem);
  const all = slots.map((_, slot) => slot);
  const whole = [
    ...lines.flatMap((_, line) => slotsFor(problem, line).map((slot) => x(line, slot))),
    ...patterns.flatMap((_, at) => all.map((slot) => filled(at, slot))),
  ];
  const lasts = all.map((slot) => `${LAST} ${slot > 0 ? `- ${slot} ${held(slot)}` : ''} >= 0`);
  const rules = [
    ...counts(problem),
    ...copies(problem),
    ...buckets(problem, patterns),
    ...hours(problem, patterns),
    ...lasts,
  ];
  return [
    'Minimize',
    ` cost: ${sum([...all.map((slot): [number, string] => [slots.length + 1, held(slot)]), [1, LAST]])}`,
    'Subject To',
    ...rules.map((rule, i) => ` r${i}: ${rule}`),
    'Bounds',
    ` 0 <= ${LAST} <= ${Math.max(0, slots.length - 1)}`,
    'General',
    ...whole.map((name) => ` ${name}`),
    'Binary',
    ...all.map((slot) => ` ${held(slot)}`),
    'End',
  ].join('\n');
}

/** The schedule that a solution of the programme stands for: `values` of its variables by name; what is missing is 0. */
export function scheduleOf(problem: SchedulingProblem, values: Readonly<Record<string, number>>): Schedule {
  const patterns = patternsOf(problem);
  const of = (name: string) => Math.round(values[name] ?? 0);
  const sessions = problem.slots.flatMap((_, slot): Session[] => {
    const poured = problem.lines.flatMap(({ key }, line): Poured[] => {
      const count = of(x(line, slot));
      return count > 0 ? [{ line: key, count }] : [];
    });
    if (poured.length === 0) return [];
    const batches = dealt(problem, patterns, poured, (at) => of(filled(at, slot)));
    const mixed = batches.reduce((all, one) => all + one.buckets, 0);
    return [{ slot, poured, batches, minutes: sessionMinutes(problem, poured, mixed) }];
  });
  return { sessions };
}

/** The pieces of a session dealt to its buckets: none gets more than its pattern has, and none of them stays empty. */
function dealt(
  { lines }: SchedulingProblem,
  patterns: readonly Pattern[],
  poured: readonly Poured[],
  times: (pattern: number) => number,
): Session['batches'] {
  const left = new Map(poured.map(({ line, count }) => [line, count]));
  return patterns.flatMap(({ mixKey, pieces, buckets: each }, at) =>
    Array.from({ length: times(at) }, () => {
      const own = [...pieces].flatMap(([line, most]): Poured[] => {
        const { key } = defined(lines[line]);
        const count = Math.min(most, left.get(key) ?? 0);
        left.set(key, (left.get(key) ?? 0) - count);
        return count > 0 ? [{ line: key, count }] : [];
      });
      return { mixKey, buckets: each, pieces: own };
    }).filter(({ pieces: own }) => own.length > 0),
  );
}
