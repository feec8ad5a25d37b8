import { defined } from '../../foundation/math/index.js';
import { computed, exactly, figure, line, msg, type Message } from '../../foundation/units/index.js';
import type { MouldShape, PlacedSolid } from '../moulds/index.js';
import { moveOutline, outlineArea, type PlanPoint } from '../solids/index.js';
import { cutPart, partKey, rectangle, toRadians, type CutPart, type PatternAnswer, type PatternMould, type PlacedPart, type WorkedPattern } from './cut-part.js'; // prettier-ignore
import { SOIL_DENSITY } from './bed-pattern.js';
import { houseWalls, type HousePattern, type HouseWall, type Opening, type PatternWays } from './pattern.js';
import { wallRing } from './wall-ring.js';

/** A base board stands so far beyond the walls on each side, mm. Handbook 19. */
const BASE_MARGIN = 12;

const wallNames: Readonly<Record<HouseWall, Message>> = {
  front: msg('patterns.frontGable'),
  back: msg('patterns.backGable'),
  left: msg('patterns.leftWall'),
  right: msg('patterns.rightWall'),
};

/** Height of the ridge over the foot of the walls, outside: h + (B/2)·tan p. mm */
const ridgeHeight = ({ width, eaves, pitch }: HousePattern): number => eaves + (width / 2) * Math.tan(toRadians(pitch)); // prettier-ignore

/** How far a wall of a house reaches along its foot, mm: the gables cover the edges of the side walls. */
export const wallLength = ({ width, depth, panel }: HousePattern, wall: HouseWall): number =>
  wall === 'front' || wall === 'back' ? width : depth - 2 * panel;

/** The outline of a wall, its lower left corner at the origin, seen from outside. Side walls reach as high as the roof lies on them inside. */
export function wallOutline(house: HousePattern, wall: HouseWall): PlanPoint[] {
  const { width, eaves, panel, pitch } = house;
  if (wall === 'front' || wall === 'back')
    return [[0, 0], [width, 0], [width, eaves], [width / 2, ridgeHeight(house)], [0, eaves]]; // prettier-ignore
  return rectangle(wallLength(house, wall), eaves + panel * Math.tan(toRadians(pitch)));
}

const openingsOf = ({ openings }: HousePattern, wall: HouseWall): Opening[] => openings.filter((one) => one.wall === wall); // prettier-ignore
const openingOutline = ({ x, y, width, height }: Opening): PlanPoint[] => rectangle(width, height, x, y);

/** Length of a roof slope from the ridge to its edge, and how much longer its upper face is, mm. */
function roofSlope({ width, pitch, overhang, roofThickness }: HousePattern): {
  readonly under: number;
  readonly more: number;
} {
  const angle = toRadians(pitch);
  return { under: width / (2 * Math.cos(angle)) + overhang, more: roofThickness * Math.tan(angle) };
}

/** How far the roof hangs down below the eaves outside, mm. */
export const roofHangs = ({ overhang, pitch }: HousePattern): number => overhang * Math.sin(toRadians(pitch));

/** Area of a wall less its openings, mm². */
const wallArea = (house: HousePattern, wall: HouseWall): number =>
  outlineArea(wallOutline(house, wall)) - openingsOf(house, wall).reduce((sum, one) => sum + one.width * one.height, 0);

function wallParts(house: HousePattern): CutPart[] {
  return houseWalls.map((wall, i) =>
    cutPart({
      key: partKey(i),
      name: wallNames[wall],
      stuff: 'panel',
      count: 1,
      thickness: house.panel,
      outline: wallOutline(house, wall),
      holes: openingsOf(house, wall).map(openingOutline),
      mitres: wallOutline(house, wall).map((_, side) =>
        (wall === 'left' || wall === 'right') && side === 2 ? house.pitch : 0,
      ),
    }),
  );
}

/** Roof, base board, blanks and mesh. */
function otherParts(house: HousePattern): CutPart[] {
  const { width, depth, overhang, roof, roofThickness, base, sheet, panel, openings } = house;
  const { under, more } = roofSlope(house);
  const layers = Math.ceil(panel / sheet - 1e-9);
  const wooden = roof === 'cast' ? 'panel' : 'wood';
  return [
    cutPart({ key: 'E', name: msg('patterns.roofHalf'), stuff: wooden, count: 2, thickness: roofThickness, outline: rectangle(depth + 2 * overhang, under + more), mitres: [0, 0, house.pitch, 0], grain: wooden === 'wood' }),
    cutPart({ key: 'F', name: msg('patterns.baseBoard'), stuff: 'wood', count: 1, thickness: base, outline: rectangle(width + 2 * BASE_MARGIN, depth + 2 * BASE_MARGIN) }),
    ...openings.map((one, i) => cutPart({ key: `G${i + 1}`, name: msg('patterns.openingBlank', { wall: wallNames[one.wall] }), stuff: 'sheet', count: layers, thickness: sheet, outline: rectangle(one.width, one.height) })),
    ...meshParts(house),
  ];
} // prettier-ignore

/** Mesh for each wall: smaller than it by the cover all round, and round each opening; none for a wall that is all cover. */
function meshParts(house: HousePattern): CutPart[] {
  const { cover } = house;
  if (cover === undefined) return [];
  return houseWalls.flatMap((wall, i) => {
    const outline = moveOutline(wallOutline(house, wall), -cover);
    if (!outline) return [];
    return cutPart({
      key: `M${i + 1}`,
      name: msg('patterns.meshOf', { wall: wallNames[wall] }),
      stuff: 'mesh',
      count: 1,
      thickness: 1,
      outline,
      holes: openingsOf(house, wall).map((one) => rectangle(one.width + 2 * cover, one.height + 2 * cover, one.x - cover, one.y - cover)), // prettier-ignore
    });
  });
}

/** The walls in a row from the front round, seen from inside, and the roof on the side walls' tops. */
function piecesOf(house: HousePattern): PlacedPart[] {
  const { panel, pitch, width, depth, roofThickness, overhang } = house;
  const order: readonly HouseWall[] = ['front', 'left', 'back', 'right'];
  const ring = wallRing([width - 2 * panel, depth - 2 * panel]);
  const walls = order.map((wall, k): PlacedPart => {
    const { x, clear, hinge } = defined(ring[k]);
    const reach = k % 2 === 0 ? panel : 0;
    // From inside, left and right change places.
    const flip = ([px, py]: PlanPoint): PlanPoint => [x + clear + reach - px, py];
    const outline = [...wallOutline(house, wall)].map(flip).reverse();
    // Outside a side wall ends at the eaves; its top is bevelled to where the roof lies inside.
    const outer = k % 2 === 0 ? outline : outline.map(([px, py]): PlanPoint => [px, Math.min(py, house.eaves)]);
    return {
      number: k + 1,
      part: partKey(houseWalls.indexOf(wall)),
      inner: outline,
      outer,
      thickness: panel,
      holes: openingsOf(house, wall).map((one) => openingOutline(one).map(flip).reverse()),
      ...hinge,
    };
  });
  const { under, more } = roofSlope(house);
  const top = house.eaves + panel * Math.tan(toRadians(pitch));
  const roofs = [1, 3].map((on, i): PlacedPart => {
    const { x: start, clear } = defined(ring[on]);
    const [x0, x1] = [start - panel - overhang, start + clear + panel + overhang];
    const up = width / (2 * Math.cos(toRadians(pitch))) - panel / Math.cos(toRadians(pitch));
    const low = top + up - under;
    const face = (extra: number): PlanPoint[] => [[x0, low], [x1, low], [x1, top + up + extra], [x0, top + up + extra]]; // prettier-ignore
    return {
      number: 5 + i,
      part: 'E',
      inner: face(0),
      outer: face(more),
      thickness: roofThickness,
      hinge: { on, from: [start + clear, top], to: [start, top], angle: Math.PI / 2 - toRadians(pitch) },
    };
  });
  return [...walls, ...roofs];
}

/** A wall's mould: lying down, its openings kept free by blanks. */
function wallMould(house: HousePattern, wall: HouseWall): MouldShape {
  const blank = (one: Opening, i: number): PlacedSolid => ({
    name: `opening ${i + 1}`,
    bottom: 0,
    solid: { kind: 'prism', outline: openingOutline(one), depth: house.panel, draft: 0 },
  });
  return {
    outer: { kind: 'prism', outline: wallOutline(house, wall), depth: house.panel, draft: 0 },
    cores: openingsOf(house, wall).map(blank),
    inserts: [],
  };
}

function answersOf(house: HousePattern, { density }: PatternWays): PatternAnswer[] {
  const { width, depth, eaves, pitch, panel, overhang, roof, roofThickness, soil = 0 } = house;
  const { under, more } = roofSlope(house);
  const walls = (houseWalls.reduce((sum, wall) => sum + wallArea(house, wall), 0) * panel) / 1000;
  const roofArea = 2 * (under + more / 2) * (depth + 2 * overhang);
  const roofMass = roof === 'cast' ? (roofArea * roofThickness * density) / 1000 : 0;
  const soilMass = roof === 'planted' ? (roofArea * soil * SOIL_DENSITY) / 1000 : 0;
  const all = walls * density + roofMass + soilMass;
  const ridge = ridgeHeight(house);
  return [
    { name: msg('patterns.ridgeHeight'), figure: figure(ridge, 'mm', computed, [line(msg('patterns.eaves'), eaves, 'mm'), line(msg('patterns.pitch'), pitch, '°'), line(msg('patterns.ridgeHeight'), ridge, 'mm', 'h + (B/2) · tan p')]) },
    { name: msg('patterns.sideWallLength'), figure: figure(wallLength(house, 'left'), 'mm', computed, [line(msg('patterns.houseDepth'), depth, 'mm'), line(msg('patterns.panelThickness'), panel, 'mm'), line(msg('patterns.sideWallLength'), wallLength(house, 'left'), 'mm', msg('patterns.lessTwoPanels'))]) },
    { name: msg('patterns.roofSlope'), figure: figure(under, 'mm', computed, [line(msg('patterns.houseWidth'), width, 'mm'), line(msg('patterns.overhang'), overhang, 'mm'), line(msg('patterns.roofSlope'), under, 'mm', 'B / (2 · cos p) + o'), line(msg('patterns.longerOnTop'), more, 'mm', 't · tan p')]) },
    { name: msg('patterns.sideTopInside'), figure: figure(eaves + panel * Math.tan(toRadians(pitch)), 'mm', computed, [line(msg('patterns.eaves'), eaves, 'mm'), line(msg('patterns.sideTopInside'), eaves + panel * Math.tan(toRadians(pitch)), 'mm', 'h + w · tan p')]) },
    { name: msg('patterns.assembledMass'), figure: figure(all, 'g', computed, [line(msg('patterns.wallMass'), walls * density, 'g'), ...(roofMass > 0 ? [line(msg('patterns.roofMass'), roofMass, 'g')] : []), ...(soilMass > 0 ? [line(msg('patterns.soakedSoil'), soilMass, 'g')] : []), line(msg('patterns.assembledMass'), all, 'g')]) },
  ];
} // prettier-ignore

/** Works out a house of cast panels with its roof and base board. Handbook 19, "Panel houses". */
export function workHouse(house: HousePattern, ways: PatternWays): WorkedPattern {
  const { panel, sheet, pitch, roof, openings } = house;
  const moulds = houseWalls.map((wall): PatternMould => ({ name: wallNames[wall], shape: wallMould(house, wall), piece: 'panel', count: 1 })); // prettier-ignore
  return {
    parts: [...wallParts(house), ...otherParts(house)],
    pieces: piecesOf(house),
    joints: [],
    answers: answersOf(house, ways),
    warnings: [],
    notes: [
      msg('patterns.gablesCover'),
      msg('patterns.ridgeBevel', { pitch: exactly(pitch, '°') }),
      ...(openings.length > 0 ? [msg('patterns.blankLayers', { layers: Math.ceil(panel / sheet - 1e-9), sheet: exactly(sheet, 'mm') })] : []), // prettier-ignore
      ...(roof === 'planted' ? [msg('patterns.plantedRoof')] : []),
    ],
    cautions: [msg('patterns.meshCaution')],
    moulds,
    plan: [],
  };
}
