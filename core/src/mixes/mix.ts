import { Checker } from '../units/index.js';
import type { Grade } from './consistency.js';
import type { Material } from './material.js';

/** Where the piece will live: sets the ceiling on water. */
export type Exposure = 'indoors' | 'outdoors' | 'frost';

/** One line of a recipe, in the order it goes into the bucket. `parts` are of volume or of mass, as the mix says. */
export interface MixLine {
  readonly material: Material;
  readonly parts: number;
}

/** A recipe. */
export interface Mix {
  readonly lines: readonly MixLine[];
  /** Whether parts are scoops or grams. */
  readonly by: 'volume' | 'mass';
  readonly grade: Grade;
  readonly exposure: Exposure;
  /** Pressed into the mould by hand, which leaves more air. */
  readonly packed?: boolean;
}

/** Most parts that are taken in one line. */
const MOST_PARTS = 1000;

/** Refuses a recipe that cannot be mixed. @throws InputError */
export function checkMix(mix: Mix): void {
  const check = new Checker();
  check.expect(
    mix.lines.length > 0,
    'lines',
    mix.lines.length,
    'The mix has no materials.',
    'Add a binder and what it binds.',
  );
  mix.lines.forEach(({ material, parts }, i) => {
    check.number(`lines.${i}.parts`, parts, `The parts of ${material.name.toLowerCase()}`, {
      above: 0,
      max: MOST_PARTS,
    });
  });
  const binds = mix.lines.some(
    ({ material, parts }) => parts > 0 && (material.kind === 'binder' || material.kind === 'pre-blend'),
  );
  check.expect(
    binds || mix.lines.length === 0,
    'lines',
    0,
    'The mix has no part of a binder: it would never set.',
    'Add cement, lime or a ready-made powder.',
  );
  check.done();
}

/** Dry mass of each line for one part, g: parts of volume are litres of dry material, parts of mass are kilograms. */
export function dryMassesPerPart(mix: Mix): number[] {
  return mix.lines.map(({ material, parts }) => parts * (mix.by === 'volume' ? material.bulk * 1000 : 1000));
}

/** Largest grain of a mix, mm. */
export const largestGrain = ({ lines }: Mix): number =>
  Math.max(0, ...lines.map(({ material }) => material.largestGrain));
