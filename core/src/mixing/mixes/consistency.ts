import { defined } from '../../foundation/math/index.js';
import { requireNumber, msg, type Message } from '../../foundation/units/index.js';

/** The seven grades of wetness, stiffest first. */
export type Grade = 1 | 2 | 3 | 4 | 5 | 6 | 7;

export interface Consistency {
  readonly grade: Grade;
  readonly name: Message;
  /** Puddle ÷ cup diameter of the spread test. */
  readonly spread: number;
  readonly looks: Message;
  readonly usedFor: Message;
  /** Factor on the water demand; 1 at "icing". */
  readonly factor: number;
  /** Air left in the mix after working it, share of volume. */
  readonly air: number;
}

type Row = [Grade, Message, number, Message, Message, number, number];
const rows: readonly Row[] = [
  [1, msg('mixes.crumb'), 1, msg('mixes.crumbLooks'), msg('mixes.crumbUses'), 0.75, 0.09],
  [2, msg('mixes.putty'), 1.05, msg('mixes.puttyLooks'), msg('mixes.puttyUses'), 0.85, 0.09],
  [3, msg('mixes.porridge'), 1.2, msg('mixes.porridgeLooks'), msg('mixes.porridgeUses'), 0.93, 0.06],
  [4, msg('mixes.icing'), 1.5, msg('mixes.icingLooks'), msg('mixes.icingUses'), 1, 0.04],
  [5, msg('mixes.custard'), 2, msg('mixes.custardLooks'), msg('mixes.custardUses'), 1.1, 0.04],
  [6, msg('mixes.cream'), 2.8, msg('mixes.creamLooks'), msg('mixes.creamUses'), 1.22, 0.02],
  [7, msg('mixes.soup'), 3.5, msg('mixes.soupLooks'), msg('mixes.soupUses'), 1.4, 0.02],
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
  requireNumber('cup', cup, msg('mixes.cupDiameter'), { above: 0, max: 500, unit: 'mm' });
  requireNumber('puddle', puddle, msg('mixes.puddleDiameter'), { min: cup, max: cup * 6, unit: 'mm' });
  const spread = puddle / cup;
  const away = (one: Consistency) => Math.abs(one.spread - spread);
  const nearest = consistencies.reduce((best, one) => (away(one) < away(best) ? one : best));
  return { grade: nearest.grade, spread };
}
