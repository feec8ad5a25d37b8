import { consistency } from './consistency.js';
import { sayDose } from './dose.js';
import type { Mix } from './mix.js';

/** One thing in which two versions of a recipe differ. */
export interface Difference {
  readonly what: string;
  readonly before: string;
  readonly after: string;
}

const parts = (mix: Mix, id: string) => {
  const line = mix.lines.find(({ material }) => material.id === id);
  if (!line) return undefined;
  const by = line.by ?? mix.by;
  return `${Number(line.parts.toPrecision(4))} ${by === 'volume' ? 'by volume' : 'by mass'}`;
};

const dosed = (mix: Mix, id: string) => {
  const dose = mix.doses?.find(({ material }) => material.id === id);
  return dose && sayDose(dose);
};

const toldTime = (time: number | undefined, unit: string) => (time === undefined ? 'by its binder' : `${time} ${unit}`);

/** What differs between two versions of a recipe: amounts, order, doses, wetness, times and where the piece lives. */
export function differencesOf(before: Mix, after: Mix): Difference[] {
  const named = [before, after].flatMap(({ lines, doses = [] }) =>
    [...lines, ...doses].map(({ material }) => material),
  );
  const names = new Map(named.map(({ id, name }) => [id, name]));
  const order = (mix: Mix) => mix.lines.map(({ material }) => material.name.toLowerCase()).join(', ');
  const kept = (mix: Mix, other: Mix) => ({
    ...mix,
    lines: mix.lines.filter(({ material }) => other.lines.some((line) => line.material.id === material.id)),
  });
  const rows: [what: string, before: string | undefined, after: string | undefined][] = [
    ...[...names].map(([id, name]): [string, string | undefined, string | undefined] => [
      name,
      parts(before, id) ?? dosed(before, id),
      parts(after, id) ?? dosed(after, id),
    ]),
    ['Order', order(kept(before, after)), order(kept(after, before))],
    ['Consistency', consistency(before.grade).name, consistency(after.grade).name],
    ['Where it lives', before.exposure, after.exposure],
    ['Packed by hand', before.packed ? 'yes' : 'no', after.packed ? 'yes' : 'no'],
    ['Pot life', toldTime(before.times?.potLife, 'min'), toldTime(after.times?.potLife, 'min')],
    ['Initial set', toldTime(before.times?.initialSet, 'h'), toldTime(after.times?.initialSet, 'h')],
    ['Lime counts as cement', before.limeCounts ? 'yes' : 'no', after.limeCounts ? 'yes' : 'no'],
  ];
  return rows
    .filter(([, a, b]) => a !== b)
    .map(([what, a = 'not in it', b = 'not in it']) => ({ what, before: a, after: b }));
}
