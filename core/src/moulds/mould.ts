import { Checker } from '../units/index.js';
import { checkSolid, radiusAt, type Solid } from './solid.js';

/** A solid that stands in the cavity, its bottom at height `bottom` above the cavity's bottom, mm. */
export interface PlacedSolid {
  readonly name: string;
  readonly solid: Solid;
  readonly bottom: number;
}

/** A cavity as a signed set of solids on one vertical axis: the outer, less the union of cores and inserts. */
export interface MouldShape {
  readonly outer: Solid;
  readonly cores: readonly PlacedSolid[];
  readonly inserts: readonly PlacedSolid[];
}

/** What the mould's wall is like: how it lets go, bulges and jams. */
export type MouldStuff = 'rigid' | 'flexible';

/** Everything that keeps mix out: cores first, then inserts. */
export function blanks(shape: MouldShape): readonly PlacedSolid[] {
  return [...shape.cores, ...shape.inserts];
}

/** Radius that a placed solid has at height `z` above the cavity's bottom, mm. */
export function placedRadiusAt(placed: PlacedSolid, z: number): number {
  return radiusAt(placed.solid, z - placed.bottom);
}

function checkBlank(check: Checker, shape: MouldShape, path: string, blank: PlacedSolid): void {
  const height = shape.outer.height;
  const bottom = blank.bottom;
  const top = bottom + blank.solid.height;
  check.expect(
    bottom < height,
    `${path}.bottom`,
    bottom,
    `${blank.name} starts ${bottom} mm up, above the rim at ${height} mm.`,
    'Measure how far its bottom stands above the bottom of the outer mould.',
  );
  const reached = Math.min(top, height);
  const tooWide = [bottom, reached].filter((z) => z <= height && placedRadiusAt(blank, z) >= radiusAt(shape.outer, z));
  const where = tooWide[0];
  if (where === undefined) return;
  const field = where === bottom ? 'bottomDiameter' : 'topDiameter';
  const outerThere = (2 * radiusAt(shape.outer, where)).toFixed(1);
  check.add(
    `${path}.solid.${field}`,
    blank.solid[field],
    `${blank.name} is ${(2 * placedRadiusAt(blank, where)).toFixed(1)} mm wide at height ${where.toFixed(0)} mm, where the outer mould is only ${outerThere} mm.`,
    `Measure both again: ${blank.name.toLowerCase()} must be narrower than the mould around it.`,
  );
}

/**
 * Refuses a shape that cannot be cast. Collects every issue.
 * @throws InputError with field paths such as `cores.0.solid.topDiameter`.
 */
export function checkMould(shape: MouldShape): void {
  const check = new Checker();
  checkSolid(check, 'outer', 'The outer mould', shape.outer);
  const sets = [
    ['cores', shape.cores],
    ['inserts', shape.inserts],
  ] as const;
  for (const [set, placed] of sets) {
    placed.forEach((blank, i) => {
      checkSolid(check, `${set}.${i}.solid`, blank.name, blank.solid);
      check.number(`${set}.${i}.bottom`, blank.bottom, `The height at which ${blank.name.toLowerCase()} starts`, {
        min: 0,
        unit: 'mm',
      });
    });
  }
  check.done();
  for (const [set, placed] of sets) placed.forEach((blank, i) => checkBlank(check, shape, `${set}.${i}`, blank));
  check.done();
}
