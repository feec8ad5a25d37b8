import { Checker, exactly, fixed, msg, quantity } from '../../foundation/units/index.js';
import { LARGEST_SIZE, openingsOf, polyhedronNames } from '../solids/index.js';
import { centrelineOf, tooSharp } from './centreline.js';
import { checkGap } from './check-gap.js';
import { checkInside } from './check-inside.js';
import { checkHouse } from './check-house.js';
import { BOARD, checkOutline, checkSizes, SIZE } from './check-sizes.js';
import { solidInside } from './solid-pattern.js';
import { fittingSide } from './panel-box-pattern.js';
import { sidePanels } from './bed-pattern.js';
import { woodSize } from './wood-pattern.js';
import type { BedPattern, BoxPattern, CutPattern, PanelBoxPattern, SolidPattern, StripPattern, WoodPattern } from './pattern.js'; // prettier-ignore

/** A board that is thicker than this share of its edge leaves faces that cannot be handled. */
const THICKEST_SHARE = 1 / 3;
function checkSolid(check: Checker, pattern: SolidPattern): void {
  const { which, open, edge, board, holder } = pattern;
  check.expect(polyhedronNames.includes(which), 'which', which, msg('patterns.unknownSolid'), msg('patterns.chooseSolid')); // prettier-ignore
  checkSizes(check, pattern, [
    ['edge', msg('patterns.edgeInside'), { min: 5, max: LARGEST_SIZE, unit: 'mm' }],
    ['board', msg('patterns.boardThickness'), BOARD],
  ]);
  if (!check.clean) return;
  check.expect(openingsOf(which).includes(open), 'open', open, msg('patterns.noSuchFace'), msg('patterns.chooseFace'));
  const most = edge * THICKEST_SHARE;
  check.expect(board <= most, 'board', board, msg('patterns.boardTooThick', { board: exactly(board, 'mm'), edge: exactly(edge, 'mm') }), msg('patterns.thinnerBoard', { most: quantity(most, 'mm', 1) })); // prettier-ignore
  if (!holder || !check.clean) return;
  check.number('holder.diameter', holder.diameter, msg('patterns.holderDiameter'), { min: 1, max: edge, unit: 'mm' });
  check.number('holder.depth', holder.depth, msg('patterns.holderDepth'), { min: 1, max: solidInside(pattern) * 0.9, unit: 'mm' }); // prettier-ignore
  check.expect(which !== 'tetrahedron', 'holder', holder.diameter, msg('patterns.noLevelFace'), msg('patterns.leaveHolder')); // prettier-ignore
}

function checkBox(check: Checker, pattern: BoxPattern): void {
  const { length, width, height, hollow } = pattern;
  checkSizes(check, pattern, [
    ['length', msg('patterns.insideLength'), SIZE],
    ['width', msg('patterns.insideWidth'), SIZE],
    ['height', msg('patterns.insideHeight'), SIZE],
    ['board', msg('patterns.boardThickness'), BOARD],
    ['screw', msg('patterns.screwDiameter'), { min: 1, max: 12, unit: 'mm' }],
  ]);
  if (!hollow) return;
  checkSizes(check, hollow, [
    ['length', msg('patterns.productLength'), SIZE],
    ['width', msg('patterns.productWidth'), SIZE],
    ['gap', msg('patterns.productGap'), { min: 0, max: 100, unit: 'mm' }],
    ['depth', msg('patterns.hollowDepth'), { min: 1, max: LARGEST_SIZE, unit: 'mm' }],
    ['fall', msg('patterns.fall'), { min: 0, max: 20, unit: '%' }],
  ]);
  const wall = (outer: number, inner: number) => (outer - inner) / 2 - hollow.gap;
  const walls = Math.min(wall(length, hollow.length), wall(width, hollow.width));
  const floor = height - hollow.depth - ((hollow.length + 2 * hollow.gap) * hollow.fall) / 100;
  check.expect(walls >= LEAST_WALL, 'hollow.length', hollow.length, msg('patterns.hollowWide', { wall: quantity(walls, 'mm', 1) }), msg('patterns.largerBox', { least: exactly(LEAST_WALL, 'mm') })); // prettier-ignore
  check.expect(floor >= LEAST_WALL, 'hollow.depth', hollow.depth, msg('patterns.hollowDeep', { floor: quantity(floor, 'mm', 1) }), msg('patterns.higherBox', { least: exactly(LEAST_WALL, 'mm') })); // prettier-ignore
}
/** The least that may stay of a dish round its hollow and below it, mm. */
const LEAST_WALL = 6;

function checkPanelBox(check: Checker, pattern: PanelBoxPattern): void {
  const { length, width, panel } = pattern;
  checkSizes(check, pattern, [
    ['length', msg('patterns.wantedLength'), SIZE],
    ['width', msg('patterns.outsideWidth'), SIZE],
    ['height', msg('patterns.panelHeight'), SIZE],
    ['panel', msg('patterns.panelThickness'), { min: 3, max: 200, unit: 'mm' }],
    ['drawnSide', msg('patterns.sidePanel'), SIZE],
  ]);
  const room = Math.min(fittingSide(pattern), width - 2 * panel);
  check.expect(room > 0, 'panel', panel, msg('patterns.panelsFillBox', { panel: exactly(panel, 'mm') }), msg('patterns.thinnerPanels', { most: exactly(Math.max(0, Math.floor(Math.min(length, width) / 2) - 1), 'mm') })); // prettier-ignore
}

function checkLine(check: Checker, { line, channel }: StripPattern): void {
  const angle = { above: 0, max: 350, unit: '°' } as const;
  if (line.shape === 'ring') check.number('line.diameter', line.diameter, msg('patterns.centreDiameter'), SIZE);
  if (line.shape === 'heart') check.number('line.width', line.width, msg('patterns.heartWidth'), { ...SIZE, min: 40 });
  if (line.shape === 'arc') {
    check.number('line.radius', line.radius, msg('patterns.centreRadius'), SIZE);
    check.number('line.angle', line.angle, msg('patterns.arcAngle'), angle);
  }
  if (line.shape === 'spiral') {
    check.number('line.start', line.start, msg('patterns.startRadius'), { ...SIZE, min: 5 });
    check.number('line.pitch', line.pitch, msg('patterns.pitch'), { ...SIZE, min: 2 });
    check.number('line.turns', line.turns, msg('patterns.turns'), { min: 0.25, max: 20 });
    check.expect(channel !== undefined, 'channel', channel, msg('patterns.openNeedsChannel'), msg('patterns.enterChannel')); // prettier-ignore
    if (channel !== undefined) check.expect(channel < line.pitch, 'channel', channel, msg('patterns.spiralOverlaps', { channel: exactly(channel, 'mm'), pitch: exactly(line.pitch, 'mm') }), msg('patterns.narrowerChannel', { most: exactly(line.pitch, 'mm') })); // prettier-ignore
  }
  if (line.shape === 'free') {
    checkOutline(check, 'line.points', line.points, line.closed);
    check.expect(line.closed || channel !== undefined, 'channel', channel, msg('patterns.openNeedsChannel'), msg('patterns.enterChannel')); // prettier-ignore
  }
}

function checkStrip(check: Checker, pattern: StripPattern): void {
  checkSizes(check, pattern, [
    ['channel', msg('patterns.channel'), SIZE],
    ['height', msg('patterns.stripHeight'), SIZE],
    ['strip', msg('patterns.stripThickness'), { min: 0.1, max: 20, unit: 'mm' }],
    ['sheet', msg('patterns.sheetLength'), { min: 10, max: 100_000, unit: 'mm' }],
    ['overlap', msg('patterns.overlap'), { min: 0, max: 500, unit: 'mm' }],
  ]);
  const { sheet, overlap, channel = 0 } = pattern;
  check.expect(sheet > overlap, 'sheet', sheet, msg('patterns.stripInLap', { sheet: exactly(sheet, 'mm'), overlap: exactly(overlap, 'mm') }), msg('patterns.longerSheet', { overlap: exactly(overlap, 'mm') })); // prettier-ignore
  checkLine(check, pattern);
  if (!check.clean) return;
  const at = [-channel / 2, channel / 2]
    .map((offset) => tooSharp(centrelineOf(pattern.line), offset))
    .find((one) => one);
  if (at) check.add('channel', channel, msg('patterns.bendTooSharp', { x: quantity(at[0], 'mm'), y: quantity(at[1], 'mm') }), msg('patterns.narrowOrWiden')); // prettier-ignore
}

function checkBed(check: Checker, pattern: BedPattern): void {
  const { panel, length, width, panelLength } = pattern;
  checkSizes(check, pattern, [
    ['length', msg('patterns.outsideLength'), { min: 100, max: 10_000, unit: 'mm' }],
    ['width', msg('patterns.outsideWidth'), { min: 100, max: 10_000, unit: 'mm' }],
    ['panelHeight', msg('patterns.panelHeight'), { min: 30, max: 1000, unit: 'mm' }],
    ['panelLength', msg('patterns.longestPanel'), { min: 100, max: LARGEST_SIZE, unit: 'mm' }],
    ['panel', msg('patterns.panelThickness'), { min: 10, max: 200, unit: 'mm' }],
    ['draft', msg('patterns.draft'), { min: 0, max: 15, unit: '°' }],
    ['levels', msg('patterns.levels'), { min: 1, max: 8 }],
    ['rod', msg('patterns.rodDiameter'), { min: 4, max: 40, unit: 'mm' }],
  ]);
  if (!check.clean) return;
  check.expect(Number.isInteger(pattern.levels), 'levels', pattern.levels, msg('patterns.wholeLevels', { levels: fixed(pattern.levels, 1) }), msg('patterns.enterWhole')); // prettier-ignore
  const room = Math.min(length, width) - 2 * panel;
  check.expect(room > 0, 'panel', panel, msg('patterns.panelsFillBox', { panel: exactly(panel, 'mm') }), msg('patterns.thinnerPanels', { most: exactly(Math.floor(Math.min(length, width) / 2) - 1, 'mm') })); // prettier-ignore
  const most = Math.max(...[length, width].map((one) => sidePanels(one, panelLength).count));
  check.expect(most <= MOST_IN_SIDE, 'panelLength', panelLength, msg('patterns.manyPanels', { count: most }), msg('patterns.longerPanels', { most: MOST_IN_SIDE })); // prettier-ignore
}
const MOST_IN_SIDE = 20;

function checkWood(check: Checker, pattern: WoodPattern): void {
  checkSizes(check, pattern, [
    ['length', msg('patterns.castSize'), { min: 5, max: LARGEST_SIZE, unit: 'mm' }],
    ['width', msg('patterns.castSize'), { min: 5, max: LARGEST_SIZE, unit: 'mm' }],
    ['thickness', msg('patterns.boardThickness'), BOARD],
    ['cord', msg('patterns.cord'), { min: 1, max: 20, unit: 'mm' }],
    ['wall', msg('patterns.lidWall'), { min: 1, max: 300, unit: 'mm' }],
  ]);
  const { cord = 0, length, width = length } = pattern;
  const narrow = Math.min(woodSize(pattern, length), woodSize(pattern, width));
  check.expect(cord + 2 < narrow / 2, 'cord', cord, msg('patterns.cordTooThick', { cord: exactly(cord, 'mm') }), msg('patterns.thinnerCord')); // prettier-ignore
}

/**
 * Checks a pattern at the door: sizes in their ranges, and what goes together.
 * @throws InputError with every issue, each by its field
 */
export function checkPattern(pattern: CutPattern): void {
  const check = new Checker();
  switch (pattern.kind) {
    case 'solid':
      checkSolid(check, pattern);
      break;
    case 'box':
      checkBox(check, pattern);
      break;
    case 'panel-box':
      checkPanelBox(check, pattern);
      break;
    case 'house':
      checkHouse(check, pattern);
      break;
    case 'strip':
      checkStrip(check, pattern);
      break;
    case 'gap':
      checkGap(check, pattern);
      break;
    case 'bed':
      checkBed(check, pattern);
      break;
    case 'inside':
      checkInside(check, pattern.piece);
      break;
    case 'wood':
      checkWood(check, pattern);
      break;
  }
  check.done();
}
