import { msg, quantity, exactly, type Checker } from '../../foundation/units/index.js';
import { LARGEST_SIZE, type PlanPoint } from '../solids/index.js';
import { BOARD, checkSizes, SIZE } from './check-sizes.js';
import { roofHangs, wallLength, wallOutline } from './house-pattern.js';
import type { HousePattern, Opening } from './pattern.js';

/** What must stay of a panel beside an opening, mm. */
const LEAST_BESIDE = 10;
const MOST_OPENINGS = 24;

/** Whether a point lies within a convex outline that runs counter-clockwise, so many mm from its sides. */
const within = ([x, y]: PlanPoint, outline: readonly PlanPoint[], inset: number): boolean =>
  outline.every(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length] ?? [ax, ay];
    return ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay) >= inset - 1e-6;
  });

const cornersOf = ({ x, y, width, height }: Opening): PlanPoint[] => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
];

/** A door stands on its panel's lower edge: there nothing has to stay. */
const fits = (house: HousePattern, one: Opening): boolean => {
  const outline = wallOutline(house, one.wall);
  const [a, b, ...upper] = cornersOf(one);
  if (one.y > 0) return cornersOf(one).every((corner) => within(corner, outline, LEAST_BESIDE));
  return upper.every((corner) => within(corner, outline, LEAST_BESIDE)) && [a, b].every((corner) => corner !== undefined && corner[0] >= LEAST_BESIDE && corner[0] <= wallLength(house, one.wall) - LEAST_BESIDE); // prettier-ignore
};

const overlap = (a: Opening, b: Opening): boolean =>
  a.wall === b.wall &&
  a.x < b.x + b.width + LEAST_BESIDE &&
  b.x < a.x + a.width + LEAST_BESIDE &&
  a.y < b.y + b.height + LEAST_BESIDE &&
  b.y < a.y + a.height + LEAST_BESIDE;

function checkOpenings(check: Checker, house: HousePattern): void {
  const { openings, eaves } = house;
  const hangs = eaves - roofHangs(house);
  openings.forEach((one, i) => {
    const field = `openings.${i}`;
    check.number(`${field}.width`, one.width, msg('patterns.openingWidth'), SIZE);
    check.number(`${field}.height`, one.height, msg('patterns.openingHeight'), SIZE);
    check.expect(fits(house, one), `${field}.x`, one.x, msg('patterns.openingLeaves'), msg('patterns.openingWithin', { least: exactly(LEAST_BESIDE, 'mm') })); // prettier-ignore
    const other = openings.findIndex((each, k) => k < i && overlap(each, one));
    check.expect(other < 0, `${field}.x`, one.x, msg('patterns.openingsMeet', { other: other + 1 }), msg('patterns.openingsApart', { least: exactly(LEAST_BESIDE, 'mm') })); // prettier-ignore
    const side = one.wall === 'left' || one.wall === 'right';
    const top = one.y + one.height;
    check.expect(!side || top <= hangs, 'overhang', house.overhang, msg('patterns.overhangCovers', { opening: i + 1, hangs: quantity(Math.max(0, hangs), 'mm') }), msg('patterns.shorterOverhang', { top: quantity(top, 'mm') })); // prettier-ignore
  });
}

/** Checks a house of panels: its sizes, that its walls leave a room, and that openings lie within their walls, apart, and clear of the roof. */
export function checkHouse(check: Checker, house: HousePattern): void {
  checkSizes(check, house, [
    ['width', msg('patterns.houseWidth'), SIZE],
    ['depth', msg('patterns.houseDepth'), SIZE],
    ['eaves', msg('patterns.eaves'), SIZE],
    ['pitch', msg('patterns.pitch'), { min: 0, max: 75, unit: '°' }],
    ['panel', msg('patterns.panelThickness'), { min: 3, max: 200, unit: 'mm' }],
    ['overhang', msg('patterns.overhang'), { min: 0, max: LARGEST_SIZE, unit: 'mm' }],
    ['roofThickness', msg('patterns.roofThickness'), BOARD],
    ['soil', msg('patterns.soilDepth'), { min: 0, max: 300, unit: 'mm' }],
    ['base', msg('patterns.baseThickness'), BOARD],
    ['sheet', msg('patterns.sheetThickness'), { min: 0.5, max: 100, unit: 'mm' }],
    ['cover', msg('patterns.cover'), { min: 3, max: 60, unit: 'mm' }],
  ]);
  const { openings, panel, width, depth } = house;
  check.expect(openings.length <= MOST_OPENINGS, 'openings', openings.length, msg('patterns.manyOpenings', { count: openings.length }), msg('patterns.fewerOpenings', { most: MOST_OPENINGS })); // prettier-ignore
  const room = Math.min(width, depth) - 2 * panel;
  check.expect(room > 0, 'panel', panel, msg('patterns.panelsFillBox', { panel: exactly(panel, 'mm') }), msg('patterns.thinnerPanels', { most: exactly(Math.max(0, Math.floor(Math.min(width, depth) / 2) - 1), 'mm') })); // prettier-ignore
  if (check.clean) checkOpenings(check, house);
}
