import { exactly, listed, msg, type Checker } from '../../foundation/units/index.js';
import { LARGEST_SIZE, selfCrossing } from '../solids/index.js';
import { BOARD, checkOutline, checkSizes } from './check-sizes.js';
import { cornersByTriangles, dividing } from './gap-measures.js';
import { slabOutline } from './gap-pattern.js';
import type { GapPattern } from './pattern.js';

const MOST_SIDES = 12;
const LENGTH = { min: 10, max: 4 * LARGEST_SIZE, unit: 'mm' } as const;

function checkTape(check: Checker, pattern: GapPattern): void {
  const { sides, diagonals } = pattern;
  const n = sides.length;
  check.expect(n >= 3 && n <= MOST_SIDES, 'sides', n, msg('patterns.sideCount', { count: n }), msg('patterns.betweenSides', { least: 3, most: MOST_SIDES })); // prettier-ignore
  sides.forEach((side, i) => check.number(`sides.${i}`, side, msg('patterns.sideOf', { from: i + 1, to: ((i + 1) % n) + 1 }), LENGTH)); // prettier-ignore
  diagonals.forEach(({ from, to, length }, i) => {
    check.number(`diagonals.${i}.length`, length, msg('patterns.diagonalOf', { from: from + 1, to: to + 1 }), LENGTH);
    const apart = Math.abs(from - to);
    const across =
      [from, to].every((one) => Number.isInteger(one) && one >= 0 && one < n) && apart > 1 && apart < n - 1;
    check.expect(across, `diagonals.${i}.from`, from + 1, msg('patterns.noDiagonal', { from: from + 1, to: to + 1 }), msg('patterns.acrossCorners')); // prettier-ignore
  });
  if (!check.clean) return;
  const across = n === 3 ? [] : dividing(pattern);
  if (!across) {
    check.add('diagonals', diagonals.length, msg('patterns.fewDiagonals', { count: diagonals.length }), msg('patterns.moreDiagonals', { least: n - 3 })); // prettier-ignore
    return;
  }
  const corners = cornersByTriangles(sides, across);
  if (!('corners' in corners)) return;
  const [a, b, c] = corners.corners;
  const longest = Math.max(...corners.lengths);
  const others = corners.lengths.reduce((sum, one) => sum + one, 0) - longest;
  check.add('sides', longest, msg('patterns.noTriangle', { corners: listed([a + 1, b + 1, c + 1].sort((x, y) => x - y)), longest: exactly(longest, 'mm'), others: exactly(others, 'mm') }), msg('patterns.tapeThese')); // prettier-ignore
}

/** Checks a gap: lengths that make triangles, diagonals that run inside, and a slab that is left within the joint. */
export function checkGap(check: Checker, pattern: GapPattern): void {
  checkSizes(check, pattern, [
    ['joint', msg('patterns.joint'), { min: 0, max: 100, unit: 'mm' }],
    ['thickness', msg('patterns.thickness'), { min: 5, max: 500, unit: 'mm' }],
    ['board', msg('patterns.boardThickness'), BOARD],
  ]);
  if (pattern.outline) checkOutline(check, 'outline', pattern.outline, true);
  else checkTape(check, pattern);
  if (!check.clean) return;
  const gap = slabOutline({ ...pattern, joint: 0 });
  if (!gap || selfCrossing(gap)) {
    check.add('diagonals', pattern.diagonals.length, msg('patterns.diagonalOutside'), msg('patterns.diagonalInside'));
    return;
  }
  if (!slabOutline(pattern)) check.add('joint', pattern.joint, msg('patterns.nothingLeft', { joint: exactly(pattern.joint, 'mm') }), msg('patterns.narrowerJoint')); // prettier-ignore
}
