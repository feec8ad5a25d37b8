import { bisect } from '../../foundation/math/index.js';
import { InputError, requireNumber, msg, type Message } from '../../foundation/units/index.js';
import type { Material } from '../materials/index.js';
import { batchMass, massesPerPart, type MixConditions } from './batch.js';
import { calculateMix, type MixFigures } from './calculate-mix.js';
import { checkMix, toldBy, type Mix, type MixLine } from './mix.js';

/** A proposal to make a mix lighter, with what it costs. */
export interface Lightened {
  readonly mix: Mix;
  /** Share of the sand and gravel that gave way, by volume. */
  readonly swapped: number;
  /** By what share the dry density really falls. */
  readonly reached: number;
  readonly before: MixFigures;
  readonly after: MixFigures;
}

/** Swaps a share of all sand and gravel, volume for volume. */
function swap(mix: Mix, light: Material, share: number): Mix {
  const heavy = mix.lines.filter(({ material }) => material.kind === 'aggregate');
  const freed = heavy.reduce((sum, { parts }) => sum + parts * share, 0);
  const kept = mix.lines.map((line): MixLine =>
    line.material.kind === 'aggregate' ? { ...line, parts: line.parts * (1 - share) } : line,
  );
  const present = kept.some(({ material }) => material.id === light.id);
  const lines = present
    ? kept.map((line) => (line.material.id === light.id ? { ...line, parts: line.parts + freed } : line))
    : [...kept, { material: light, parts: freed }];
  return { ...mix, lines: lines.filter(({ parts }) => parts > 0) };
}

const HALVINGS = 40;

/**
 * Makes a recipe lighter by `share` (0–0.8) of its dry density: `light` takes the place of sand and gravel, volume for
 * volume. Where all of it is not enough, answers what that reaches.
 * @throws InputError where there is nothing to give way.
 */
export function lighten(mix: Mix, share: number, light: Material, conditions: MixConditions): Lightened {
  checkMix(mix);
  requireNumber('share', share, msg('mixes.lightenShare'), { above: 0, max: 0.8 });
  const byVolume = toldBy(mix, 'volume');
  const refuse = (field: string, value: unknown, message: Message, remedy: Message) =>
    new InputError([{ field, value, message, remedy }]);
  if (!byVolume.lines.some(({ material }) => material.kind === 'aggregate'))
    throw refuse('lines', 0, msg('mixes.nothingGivesWay'), msg('mixes.chooseWithAggregate'));
  if (light.kind !== 'lightweight' && light.kind !== 'organic')
    throw refuse('light', light.name, msg('mixes.notLight', { light: light.name }), msg('mixes.chooseLight'));
  const density = (by: number) => {
    const batch = massesPerPart(swap(byVolume, light, by), conditions);
    return batchMass(batch).dry / batch.volume;
  };
  const target = density(0) * (1 - share);
  const [, high] = density(1) < target ? bisect((by) => density(by) <= target, 0, 1, { halvings: HALVINGS }) : [0, 1];
  const lighter = toldBy(swap(byVolume, light, high), mix.by);
  return {
    mix: lighter,
    swapped: high,
    reached: 1 - density(high) / density(0),
    before: calculateMix(mix, conditions),
    after: calculateMix(lighter, conditions),
  };
}
