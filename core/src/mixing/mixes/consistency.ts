import { defined } from '../../foundation/math/index.js';
import { requireNumber } from '../../foundation/units/index.js';

/** The seven grades of wetness, stiffest first. */
export type Grade = 1 | 2 | 3 | 4 | 5 | 6 | 7;

export interface Consistency {
  readonly grade: Grade;
  readonly name: string;
  /** Puddle ÷ cup diameter of the spread test. */
  readonly spread: number;
  readonly looks: string;
  readonly usedFor: string;
  /** Factor on the water demand; 1 at "icing". */
  readonly factor: number;
  /** Air left in the mix after working it, share of volume. */
  readonly air: number;
}

type Row = [Grade, string, number, string, string, number, number];
const rows: readonly Row[] = [
  [1, 'damp crumb', 1, 'holds a squeezed ball, no shine', 'pressed faces, sand moulds', 0.75, 0.09],
  [2, 'putty', 1.05, 'models, keeps a thumb mark', 'leaf casts, hand-built walls', 0.85, 0.09],
  [3, 'stiff porridge', 1.2, 'lumpy, slumps when shaken', 'hypertufa, lightweight panels', 0.93, 0.06],
  [4, 'icing', 1.5, 'mounds, flows when tapped', 'pavers, slabs', 1, 0.04],
  [5, 'custard', 2, 'slowly levels, tapped', 'pots, nested moulds', 1.1, 0.04],
  [6, 'single cream', 2.8, 'levels by itself', 'fine detail, thin walls, layers', 1.22, 0.02],
  [7, 'soup', 3.5, 'water on top', 'too wet: parts, weak, crazes', 1.4, 0.02],
];

export const consistencies: readonly Consistency[] = rows.map(([grade, name, spread, looks, usedFor, factor, air]) => ({
  grade,
  name,
  spread,
  looks,
  usedFor,
  factor,
  air,
}));

/** The consistency of a grade. */
export function consistency(grade: Grade): Consistency {
  return defined(consistencies[grade - 1]);
}

/** Air of a packed hypertufa, whatever its grade. */
const PACKED_AIR = 0.09;

/** Air left in the mix, share of volume. */
export function airOf({ grade, packed = false }: { readonly grade: Grade; readonly packed?: boolean }): number {
  return packed ? PACKED_AIR : consistency(grade).air;
}

/**
 * The grade that a spread test tells: the one whose spread lies nearest. A cup as wide as high is turned over on a
 * wet tile and lifted. `puddle` and `cup` are diameters, mm. @throws InputError
 */
export function gradeOfSpread(puddle: number, cup: number): { grade: Grade; spread: number } {
  requireNumber('cup', cup, 'The diameter of the cup', { above: 0, max: 500, unit: 'mm' });
  requireNumber('puddle', puddle, 'The diameter of the puddle', { min: cup, max: cup * 6, unit: 'mm' });
  const spread = puddle / cup;
  const away = (one: Consistency) => Math.abs(one.spread - spread);
  const nearest = consistencies.reduce((best, one) => (away(one) < away(best) ? one : best));
  return { grade: nearest.grade, spread };
}
