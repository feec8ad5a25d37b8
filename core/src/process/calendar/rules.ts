import { defined } from '../../foundation/math/index.js';
import type { Pattern } from './patterns.js';
import { pieceMinutes, type Poured, type SchedulingProblem } from './problem.js';

/** Pieces of a line in a slot. */
export const x = (line: number, slot: number) => `x_${line}_${slot}`;
/** Whether a session is held in a slot. */
export const held = (slot: number) => `y_${slot}`;
/** How often a pattern is mixed in a slot. */
export const filled = (pattern: number, slot: number) => `b_${pattern}_${slot}`;
/** Whether a slot is otherwise than it was planned. */
export const changed = (slot: number) => `c_${slot}`;
/** The last slot in which a session is held. */
export const LAST = 'last';
/** The longest session, min. */
export const LONGEST = 'longest';

/** A sum as the LP format writes it: each factor with its sign. */
export const sum = (terms: readonly (readonly [factor: number, name: string])[]): string =>
  terms
    .filter(([factor]) => factor !== 0)
    .map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Number(Math.abs(factor).toFixed(6))} ${name}`)
    .join(' ');

/** All pieces of each line are poured. */
export const counts = ({ lines, slots }: SchedulingProblem): string[] =>
  lines.map(({ count }, line) => `${sum(slots.map((_, slot) => [1, x(line, slot)]))} = ${count}`);

/** A line is not poured where it cannot be. */
export const barred = ({ lines }: SchedulingProblem): string[] =>
  lines.flatMap(({ notIn = [] }, line) => notIn.map((slot) => `${x(line, slot)} = 0`));

/** In no slot more is taken of what is shared than there is. */
export const shares = ({ lines, slots, shared }: SchedulingProblem): string[] =>
  shared.flatMap(({ room, taken = [], uses }) =>
    slots.flatMap((_, slot) => {
      const busy = uses.flatMap(({ line, each, until }): [number, string][] => {
        const at = lines.findIndex(({ key }) => key === line);
        return slots.flatMap((__, earlier): [number, string][] =>
          earlier <= slot && defined(until[earlier]) > slot ? [[each, x(at, earlier)]] : [],
        );
      });
      return busy.length > 0 ? [`${sum(busy)} <= ${Math.max(0, room - (taken[slot] ?? 0))}`] : [];
    }),
  );

/** What is poured in a slot is mixed in it, in whole buckets. */
export const buckets = ({ lines, slots }: SchedulingProblem, patterns: readonly Pattern[]): string[] =>
  lines.flatMap((_, line) =>
    slots.map((__, slot) => {
      const mixed = patterns.flatMap(({ pieces }, at): [number, string][] => {
        const count = pieces.get(line);
        return count === undefined ? [] : [[count, filled(at, slot)]];
      });
      return `${sum([...mixed, [-1, x(line, slot)]])} >= 0`;
    }),
  );

/** What a session takes of its slot, min. */
export const worked = ({ lines, slots }: SchedulingProblem, patterns: readonly Pattern[], slot: number) => [
  ...lines.map((line, at): [number, string] => [pieceMinutes(line, defined(slots[slot])), x(at, slot)]),
  ...patterns.map((one, at): [number, string] => [one.mix.bucket * one.buckets, filled(at, slot)]),
];

/** A session is held where something is poured, and is over within its slot. */
export const hours = (problem: SchedulingProblem, patterns: readonly Pattern[]): string[] =>
  problem.slots.map(
    ({ minutes }, slot) => `${sum([...worked(problem, patterns, slot), [problem.fixed - minutes, held(slot)]])} <= 0`,
  );

/** How many pieces of each line, by its place, were poured in a session. */
export const byLine = ({ lines }: SchedulingProblem, poured: readonly Poured[]): number[] =>
  lines.map(({ key }) => poured.reduce((all, one) => all + (one.line === key ? one.count : 0), 0));

/** A session that differs from the one of before is counted as changed. */
export function changes(problem: SchedulingProblem): string[] {
  const { before, lines, slots } = problem;
  if (!before) return [];
  return slots.flatMap((_, slot) => {
    const earlier = byLine(problem, before.find((one) => one.slot === slot)?.poured ?? []);
    return lines.flatMap(({ count }, line) => {
      const [was, most] = [defined(earlier[line]), count + defined(earlier[line])];
      const up = `${x(line, slot)} - ${most} ${changed(slot)} <= ${was}`;
      return was > 0 ? [up, `${x(line, slot)} + ${most} ${changed(slot)} >= ${was}`] : [up];
    });
  });
}

/** Of a session that does not fit, at least one line is poured less in every slot that is no longer. */
export function cuts(problem: SchedulingProblem): { readonly rules: string[]; readonly choices: string[] } {
  const { forbidden = [], slots, lines } = problem;
  const choices: string[] = [];
  const rules = forbidden.flatMap(({ slot: of, poured }, i) => {
    const most = byLine(problem, poured);
    const { minutes, people = 1 } = defined(slots[of]);
    return slots.flatMap((slot, at) => {
      if (slot.minutes > minutes || (slot.people ?? 1) > people) return [];
      const less = most.flatMap((count, line) => (count > 0 ? [{ name: `z_${i}_${at}_${line}`, line, count }] : []));
      choices.push(...less.map(({ name }) => name));
      return [
        `${sum(less.map(({ name }) => [1, name]))} >= 1`,
        ...less.map(({ name, line, count }) => {
          const all = Math.max(count, defined(lines[line]).count);
          return `${x(line, at)} + ${all - count + 1} ${name} <= ${all}`;
        }),
      ];
    });
  });
  return { rules, choices };
}

/** What a person put where it is stays there. */
export const keeps = (problem: SchedulingProblem): string[] =>
  (problem.kept ?? []).flatMap(({ slot, poured }) =>
    byLine(problem, poured).map((count, line) => `${x(line, slot)} = ${count}`),
  );

/** A programme of whole numbers in the LP format. */
export const programme = (
  cost: readonly (readonly [number, string])[],
  rules: readonly string[],
  bounds: readonly string[],
  whole: readonly string[],
  yesOrNo: readonly string[],
): string =>
  [
    'Minimize',
    ` cost: ${sum(cost)}`,
    'Subject To',
    ...rules.map((rule, i) => ` r${i}: ${rule}`),
    ...(bounds.length > 0 ? ['Bounds', ...bounds.map((bound) => ` ${bound}`)] : []),
    ...(whole.length > 0 ? ['General', ...whole.map((name) => ` ${name}`)] : []),
    ...(yesOrNo.length > 0 ? ['Binary', ...yesOrNo.map((name) => ` ${name}`)] : []),
    'End',
  ].join('\n');
