import { Checker, msg } from '../../foundation/units/index.js';
import { workBed } from './bed-pattern.js';
import { workBox } from './box-pattern.js';
import { checkPattern } from './check-pattern.js';
import type { WorkedPattern } from './cut-part.js';
import { workGap } from './gap-pattern.js';
import { workInside } from './inside-pattern.js';
import { workHouse } from './house-pattern.js';
import { workPanelBox } from './panel-box-pattern.js';
import type { CutPattern, PatternWays } from './pattern.js';
import { workSolid } from './solid-pattern.js';
import { workStrip } from './strip-pattern.js';
import { workWood } from './wood-pattern.js';

function worked(pattern: CutPattern, ways: PatternWays): WorkedPattern {
  switch (pattern.kind) {
    case 'solid':
      return workSolid(pattern, ways);
    case 'box':
      return workBox(pattern, ways);
    case 'panel-box':
      return workPanelBox(pattern, ways);
    case 'house':
      return workHouse(pattern, ways);
    case 'strip':
      return workStrip(pattern, ways);
    case 'gap':
      return workGap(pattern, ways);
    case 'bed':
      return workBed(pattern, ways);
    case 'wood':
      return workWood(pattern);
    case 'inside':
      return workInside(pattern);
  }
}

/**
 * Works out a pattern: parts with their sizes and mitres, how they go together, what they make and what it weighs. `ways`: fresh density
 * (kg/L, 0.3–4), and what one may lift (g). Handbook 19.
 * @throws InputError where a size is out of range, or sizes do not go together
 */
export function workPattern(pattern: CutPattern, ways: PatternWays): WorkedPattern {
  checkPattern(pattern);
  const check = new Checker();
  check.number('density', ways.density, msg('patterns.freshDensity'), { min: 0.3, max: 4, unit: 'kg/L' });
  check.number('liftLimit', ways.liftLimit, msg('patterns.liftLimit'), { min: 500, max: 200_000, unit: 'g' });
  check.done();
  return worked(pattern, ways);
}
