import { defined } from '../../foundation/math/index.js';
import { InputError, requireNumber, msg, type Message, listed } from '../../foundation/units/index.js';
import { isBinder } from '../materials/index.js';
import { batchMass, massesPerPart, type MixConditions } from './batch.js';
import { calculateMix } from './calculate-mix.js';
import { checkMix, type Mix } from './mix.js';
import { cementMass } from './water.js';

/** What stays as it is while one line changes. */
export const heldValues = ['ratio', 'water-cement', 'strength', 'density'] as const;
export type Held = (typeof heldValues)[number];

export const heldInWords: Record<Held, Message> = {
  ratio: msg('mixes.heldRatio'),
  'water-cement': msg('mixes.heldWaterCement'),
  strength: msg('mixes.heldStrength'),
  density: msg('mixes.heldDensity'),
};

export interface HeldChange {
  /** Index of the line that changes. */
  readonly line: number;
  readonly parts: number;
  readonly hold: Held;
  /** Index of the line that gives way; left out, those that fit what is held. */
  readonly adjust?: number;
}

const refuse = (field: string, value: unknown, message: Message, remedy: Message) =>
  new InputError([{ field, value, message, remedy }]);

function propertyOf(mix: Mix, hold: Held, conditions: MixConditions): number {
  if (hold === 'strength') return calculateMix(mix, conditions).strength.value;
  const batch = massesPerPart(mix, conditions);
  if (hold === 'density') return batchMass(batch).dry / batch.volume;
  return batch.freeWater / cementMass(batch.portions, { withLime: mix.limeCounts });
}

/** Lines that give way: binders for water and strength, the light grains for density; what is left where those change. */
function giveWay(mix: Mix, { line, hold, adjust }: HeldChange): number[] {
  if (adjust !== undefined) return [adjust];
  const others = mix.lines.map((_, i) => i).filter((i) => i !== line);
  const are = (fits: (i: number) => boolean) => others.filter(fits);
  const kind = (i: number) => defined(mix.lines[i]).material.kind;
  const light = are((i) => kind(i) === 'lightweight' || kind(i) === 'organic');
  const sands = are((i) => kind(i) === 'aggregate');
  const binders = are((i) => isBinder(defined(mix.lines[i]).material));
  const [first = []] = (hold === 'density' ? [light, sands, binders] : [binders, sands, light]).filter(
    (found) => found.length > 0,
  );
  return first;
}

const scaled = (mix: Mix, which: readonly number[], factor: number): Mix => ({
  ...mix,
  lines: mix.lines.map((one, i) => (which.includes(i) ? { ...one, parts: one.parts * factor } : one)),
});

/** Farthest that a line gives way, either way, and the steps in which a crossing is looked for. */
const FARTHEST = Math.log(20);
const STEPS = 48;
const HALVINGS = 48;

/** Factor nearest to 1 at which `away` is 0; undefined where it is nowhere. */
function crossing(away: (factor: number) => number): number | undefined {
  const at = (i: number) => Math.exp((FARTHEST * i) / STEPS);
  const value = new Map<number, number>();
  const off = (i: number) => {
    const known = value.get(i) ?? away(at(i));
    value.set(i, known);
    return known;
  };
  for (let i = 0; i < STEPS; i++) {
    for (const [a, b] of [
      [i, i + 1],
      [-i, -i - 1],
    ] as const) {
      if (off(a) === 0) return at(a);
      if (off(a) * off(b) > 0) continue;
      let [from, to] = [at(a), at(b)];
      for (let k = 0; k < HALVINGS; k++) {
        const middle = Math.sqrt(from * to);
        if (away(middle) * off(a) > 0) from = middle;
        else to = middle;
      }
      return Math.sqrt(from * to);
    }
  }
  return undefined;
}

/**
 * A recipe in which one line is changed and something else stays as it was: the whole ratio is scaled along, or those
 * lines give way that bring w/c, strength (MPa) or dry density (kg/L) back.
 * @throws InputError where the line would have to give way to itself, or nothing brings it back.
 */
export function changeHolding(mix: Mix, change: HeldChange, conditions: MixConditions): Mix {
  checkMix(mix);
  const { line, parts, hold } = change;
  const at = mix.lines[line];
  if (!at)
    throw refuse(
      'line',
      line,
      msg('mixes.noLine', { line: line + 1 }),
      msg('mixes.chooseLine', { lines: mix.lines.length }),
    );
  requireNumber(`lines.${line}.parts`, parts, msg('mixes.partsOfMaterial', { material: at.material.name }), {
    above: 0,
    max: 1000,
  });
  if (hold === 'ratio')
    return scaled(
      mix,
      mix.lines.map((_, i) => i),
      parts / at.parts,
    );
  if (change.adjust === line)
    throw refuse(
      'adjust',
      line,
      msg('mixes.givesWayToItself', { material: at.material.name }),
      msg('mixes.anotherGivesWay'),
    );
  const target = propertyOf(mix, hold, conditions);
  const changed: Mix = { ...mix, lines: mix.lines.map((one, i) => (i === line ? { ...one, parts } : one)) };
  const which = giveWay(mix, change);
  const names = which.flatMap((i) => mix.lines[i]?.material.name ?? []);
  const factor =
    which.length === 0
      ? undefined
      : crossing((by) => propertyOf(scaled(changed, which, by), hold, conditions) - target);
  if (factor === undefined)
    throw refuse(
      `lines.${line}.parts`,
      parts,
      msg('mixes.cannotHold', {
        parts,
        material: at.material.name,
        held: heldInWords[hold],
        others: names.length > 0 ? 'some' : 'none',
        names: listed(names),
      }),
      msg('mixes.changeLess'),
    );
  return scaled(changed, which, factor);
}
