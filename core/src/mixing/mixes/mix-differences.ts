import { exactly, listed, msg, type Message, type MessageValue, type Phrase } from '../../foundation/units/index.js';
import { consistency } from './consistency.js';
import { doseInWords } from './dose.js';
import type { Exposure, Mix } from './mix.js';

/** One thing in which two versions of a recipe differ. */
export interface Difference {
  readonly what: Phrase;
  readonly before: Message;
  readonly after: Message;
}

const parts = (mix: Mix, id: string) => {
  const line = mix.lines.find(({ material }) => material.id === id);
  if (!line) return undefined;
  const by = line.by ?? mix.by;
  return msg(by === 'volume' ? 'mixes.partsByVolume' : 'mixes.partsByMass', {
    parts: Number(line.parts.toPrecision(4)),
  });
};

const dosed = (mix: Mix, id: string) => {
  const dose = mix.doses?.find(({ material }) => material.id === id);
  return dose && doseInWords(dose);
};

const timeOr = (time: number | undefined, unit: 'min' | 'h') =>
  time === undefined ? msg('mixes.byBinder') : plain(exactly(time, unit));
const yesNo = (holds: boolean | undefined) => msg(holds ? 'mixes.yes' : 'mixes.no');
const exposureWords: Record<Exposure, Message> = {
  indoors: msg('mixes.exposureIndoors'),
  outdoors: msg('mixes.exposureOutdoors'),
  frost: msg('mixes.exposureFrost'),
};

type Row = readonly [what: Phrase, before: Message | undefined, after: Message | undefined];

const plain = (value: MessageValue) => msg('units.plain', { value });

/** What differs between two versions of a recipe: amounts, order, doses, wetness, times and where the piece lives. */
export function differencesOf(before: Mix, after: Mix): Difference[] {
  const named = [before, after].flatMap(({ lines, doses = [] }) =>
    [...lines, ...doses].map(({ material }) => material),
  );
  const names = new Map(named.map(({ id, name }) => [id, name]));
  const order = (mix: Mix) => plain(listed(mix.lines.map(({ material }) => material.name)));
  const kept = (mix: Mix, other: Mix) => ({
    ...mix,
    lines: mix.lines.filter(({ material }) => other.lines.some((line) => line.material.id === material.id)),
  });
  const rows: Row[] = [
    ...[...names].map(([id, name]): Row => [
      name,
      parts(before, id) ?? dosed(before, id),
      parts(after, id) ?? dosed(after, id),
    ]),
    [msg('mixes.order'), order(kept(before, after)), order(kept(after, before))],
    [msg('mixes.consistency'), consistency(before.grade).name, consistency(after.grade).name],
    [msg('mixes.exposure'), exposureWords[before.exposure], exposureWords[after.exposure]],
    [msg('mixes.packedByHandLabel'), yesNo(before.packed), yesNo(after.packed)],
    [msg('mixes.potLife'), timeOr(before.times?.potLife, 'min'), timeOr(after.times?.potLife, 'min')],
    [msg('mixes.initialSet'), timeOr(before.times?.initialSet, 'h'), timeOr(after.times?.initialSet, 'h')],
    [msg('mixes.limeCounts'), yesNo(before.limeCounts), yesNo(after.limeCounts)],
  ];
  return rows
    .filter(([, a, b]) => JSON.stringify(a) !== JSON.stringify(b))
    .map(([what, a = msg('mixes.notThere'), b = msg('mixes.notThere')]) => ({ what, before: a, after: b }));
}
