import { computed, exactly, figure, line, msg } from '../../foundation/units/index.js';
import type { PlanPoint } from '../solids/index.js';
import { circleOutline, cutPart, rectangle, type PartMark, type WorkedPattern } from './cut-part.js';
import type { WoodPattern } from './pattern.js';

/** How much larger wood is than the size it goes with, mm across. Handbook 19, "Wood that fits a cast". */
const MORE: Readonly<Record<WoodPattern['wood'], number>> = { disc: -2, base: 0, roof: 50, lid: -2, feet: 0 };
/** A groove is wider than its cord, mm. */
const GROOVE = 2;
/** Feet stand in from the edge by a tenth of the base. */
const FEET_IN = 0.1;

/** Size of the wood across, for a size of the cast, mm. */
export const woodSize = ({ wood }: WoodPattern, size: number): number => size + MORE[wood];

function outlineOf(pattern: WoodPattern): PlanPoint[] {
  const length = woodSize(pattern, pattern.length);
  return pattern.width === undefined
    ? circleOutline(length / 2)
    : rectangle(length, woodSize(pattern, pattern.width), -length / 2, -woodSize(pattern, pattern.width) / 2);
}

/** Where the cord lies, and where feet stand. */
function marksOf(pattern: WoodPattern): PartMark[] {
  const length = woodSize(pattern, pattern.length);
  const width = pattern.width === undefined ? length : woodSize(pattern, pattern.width);
  const groove = pattern.cord === undefined ? [] : [{ points: rectangle(length / 2, pattern.cord + GROOVE, 0, -(pattern.cord + GROOVE) / 2), closed: true }]; // prettier-ignore
  if (pattern.wood !== 'feet') return groove;
  const [a, b] = [length * (0.5 - FEET_IN), width * (0.5 - FEET_IN)];
  const round = pattern.width === undefined ? Math.SQRT1_2 : 1;
  const feet = [[a, b], [-a, b], [-a, -b], [a, -b]].map(([x = 0, y = 0]) => ({ points: circleOutline(8, x * round, y * round, 24), closed: true })); // prettier-ignore
  return [...groove, ...feet];
}

/** Works out wood that goes with a cast: with the clearance it wants, the groove of a cord, and where feet stand. */
export function workWood(pattern: WoodPattern): WorkedPattern {
  const { wood, thickness, cord } = pattern;
  const size = (name: 'patterns.woodLength' | 'patterns.woodWidth' | 'patterns.woodDiameter', of: number) => ({
    name: msg(name),
    figure: figure(woodSize(pattern, of), 'mm', computed, [
      line(msg('patterns.castSize'), of, 'mm'),
      line(msg('patterns.clearance'), MORE[wood], 'mm'),
      line(msg(name), woodSize(pattern, of), 'mm'),
    ]),
  });
  return {
    parts: [cutPart({ key: 'A', name: msg(`patterns.${wood}Wood`), stuff: 'wood', count: 1, thickness, outline: outlineOf(pattern), marks: marksOf(pattern), grain: true })], // prettier-ignore
    pieces: [{ number: 1, part: 'A', inner: outlineOf(pattern), outer: outlineOf(pattern), thickness }],
    joints: [],
    answers:
      pattern.width === undefined
        ? [size('patterns.woodDiameter', pattern.length)]
        : [size('patterns.woodLength', pattern.length), size('patterns.woodWidth', pattern.width)],
    warnings: [],
    notes: [
      msg(`patterns.${wood}Fits`),
      ...(cord === undefined ? [] : [msg('patterns.grooveFor', { groove: exactly(cord + GROOVE, 'mm'), cord: exactly(cord, 'mm') })]), // prettier-ignore
    ],
    cautions: [msg('patterns.sealWood')],
    moulds: [],
    plan: [],
  };
}
