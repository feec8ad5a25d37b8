import { computed, exactly, figure, line, msg } from '../../foundation/units/index.js';
import type { PlanPoint } from '../solids/index.js';
import { circleOutline, cutPart, rectangle, type CutPart, type PartMark, type WorkedPattern } from './cut-part.js';
import type { WoodPattern } from './pattern.js';

/** How much larger wood is than the size it goes with, mm across. Handbook 19, "Wood that fits a cast". */
const MORE: Readonly<Record<WoodPattern['wood'], number>> = { disc: -2, base: 0, roof: 50, lid: -2, feet: 0 };
/** A groove is wider than its cord, mm. */
const GROOVE = 2;
/** Feet stand in from the edge by a tenth of the base. */
const FEET_IN = 0.1;

/** Size of the wood across, for a size of the cast, mm. */
export const woodSize = ({ wood }: WoodPattern, size: number): number => size + MORE[wood];

/** About its middle: round, or of two sides. */
const outlineOf = (length: number, width: number | undefined): PlanPoint[] =>
  width === undefined ? circleOutline(length / 2) : rectangle(length, width, -length / 2, -width / 2);

/** The top of a lid that rests on its wall, with its lip beneath; its lip alone where no wall is told. */
function topOf(pattern: WoodPattern): CutPart[] {
  const { wood, length, width, wall, thickness } = pattern;
  if (wood !== 'lid' || wall === undefined) return [];
  const top = outlineOf(length + 2 * wall, width === undefined ? undefined : width + 2 * wall);
  const lip = outlineOf(woodSize(pattern, length), width === undefined ? undefined : woodSize(pattern, width));
  return [cutPart({ key: 'B', name: msg('patterns.lidTop'), stuff: 'wood', count: 1, thickness, outline: top, marks: [{ points: lip, closed: true }], grain: true })]; // prettier-ignore
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
  const { wood, thickness, cord, length, width } = pattern;
  const outline = outlineOf(woodSize(pattern, length), width === undefined ? undefined : woodSize(pattern, width));
  const top = topOf(pattern);
  const [lid] = top;
  const size = (name: 'patterns.woodLength' | 'patterns.woodWidth' | 'patterns.woodDiameter', of: number) => ({
    name: msg(name),
    figure: figure(woodSize(pattern, of), 'mm', computed, [
      line(msg('patterns.castSize'), of, 'mm'),
      line(msg('patterns.clearance'), MORE[wood], 'mm'),
      line(msg(name), woodSize(pattern, of), 'mm'),
    ]),
  });
  return {
    parts: [cutPart({ key: 'A', name: msg(lid ? 'patterns.lidLip' : `patterns.${wood}Wood`), stuff: 'wood', count: 1, thickness, outline, marks: marksOf(pattern), grain: true }), ...top], // prettier-ignore
    pieces: [{ number: 1, part: 'A', inner: outline, outer: outline, thickness }],
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
