import { computed, exactly, figure, line, msg, quantity, type Message } from '../../foundation/units/index.js';
import { cutPart, rectangle, toRadians, type CutPart, type PatternAnswer, type PlacedPart, type WorkedPattern } from './cut-part.js'; // prettier-ignore
import type { BedPattern, PatternWays } from './pattern.js';
import { wallRing } from './wall-ring.js';

/** Rods reach so far into the ground, or a third of the height where that is more, mm. Handbook 19. */
const IN_GROUND = 300;
/** Opposite sides are tied from this height on; above the other local codes and an engineer are asked. mm */
const TIED_FROM = 400;
const ENGINEER_FROM = 600;
/** Weight of drained soil and of soaked soil less the water it displaces, and of water, kN/m³; share that pushes sideways. Handbook 19. */
const SOIL = 16;
const BUOYED = 8;
const WATER = 9.81;
const AT_REST = 0.5;
/** Soaked soil, kg/L: 16 kN/m³. */
export const SOIL_DENSITY = 1.63;

/** Push of soil against a side of a height (mm), kN a metre: drained, and with water standing in it. */
export function soilPush(height: number): { readonly drained: number; readonly soaked: number } {
  const h = height / 1000;
  return { drained: 0.5 * AT_REST * SOIL * h * h, soaked: 0.5 * AT_REST * BUOYED * h * h + 0.5 * WATER * h * h };
}

/** Height of the wedge that sets a panel upright: by the draft of one edge on level ground, of two on another panel. mm */
export const wedgeHeight = ({ panel, draft }: BedPattern, level: number): number =>
  (level === 0 ? 1 : 2) * panel * Math.tan(toRadians(draft));

/** A side of the bed in panels of one length, at most the longest one: how many, and how long. mm */
export function sidePanels(length: number, most: number): { readonly count: number; readonly length: number } {
  const count = Math.ceil(length / most - 1e-9);
  return { count, length: length / count };
}

/** Long sides lie between the short ones, which cover their edges. */
const bedSides = ({ length, width, panel, panelLength }: BedPattern) => ({
  long: sidePanels(length - 2 * panel, panelLength),
  short: sidePanels(width, panelLength),
});

/** Height of the finished bed: its panels and the wedges between them, taken in their middle. mm */
export const bedHeight = (bed: BedPattern): number =>
  bed.levels * bed.panelHeight +
  Array.from({ length: bed.levels }, (_, level) => wedgeHeight(bed, level) / 2).reduce((sum, one) => sum + one, 0);

/** Length of a rod through all levels into the ground, mm. */
export const rodLength = (bed: BedPattern): number => bedHeight(bed) + Math.max(IN_GROUND, bedHeight(bed) / 3);

function partsOf(bed: BedPattern): CutPart[] {
  const { long, short } = bedSides(bed);
  const { panelHeight, panel, levels, draft, rod } = bed;
  const rods = 2 * (long.count + short.count);
  const wedge = (key: string, level: number, count: number) => {
    const high = wedgeHeight(bed, level);
    return cutPart({ key, name: msg(level === 0 ? 'patterns.groundWedge' : 'patterns.levelWedge'), stuff: 'wedge', count, thickness: 40, outline: [[0, 0], [panel, 0], [panel, high]] }); // prettier-ignore
  };
  const cast = { stuff: 'panel' as const, thickness: panel };
  return [
    cutPart({ ...cast, key: 'A', name: msg('patterns.longSide'), count: 2 * long.count * levels, outline: rectangle(long.length, panelHeight) }),
    cutPart({ ...cast, key: 'B', name: msg('patterns.shortSide'), count: 2 * short.count * levels, outline: rectangle(short.length, panelHeight) }),
    ...(draft > 0 ? [wedge('C', 0, 2 * rods), ...(levels > 1 ? [wedge('D', 1, 2 * rods * (levels - 1))] : [])] : []),
    cutPart({ key: 'E', name: msg('patterns.rod'), stuff: 'rod', count: rods, thickness: rod, outline: rectangle(rodLength(bed), rod) }),
  ];
} // prettier-ignore

/** Each level as a ring of panels that folds up; the levels stand on each other. */
const piecesOf = ({ length, width, panel, panelHeight, levels }: BedPattern): PlacedPart[] =>
  Array.from({ length: levels }, (_, level) =>
    wallRing([length - 2 * panel, width - 2 * panel], 4 * level).map(({ x, clear, hinge }, k): PlacedPart => {
      const reach = k % 2 === 1 ? panel : 0;
      const face = rectangle(clear + 2 * reach, panelHeight, x - reach, level * panelHeight);
      return { number: 4 * level + k + 1, part: k % 2 === 0 ? 'A' : 'B', inner: face, outer: face, thickness: panel, ...hinge }; // prettier-ignore
    }),
  ).flat();

function answersOf(bed: BedPattern, { density }: PatternWays): PatternAnswer[] {
  const { long, short } = bedSides(bed);
  const { length, width, panel, panelHeight, levels, draft } = bed;
  const count = 2 * (long.count + short.count) * levels;
  const each = (Math.max(long.length, short.length) * panelHeight * panel * density) / 1e6;
  const panels = ((2 * (length - 2 * panel) + 2 * width) * panelHeight * panel * levels * density) / 1e6;
  const soil = ((length - 2 * panel) * (width - 2 * panel) * bedHeight(bed) * SOIL_DENSITY) / 1e6;
  const push = soilPush(bedHeight(bed));
  return [
    { name: msg('patterns.panels'), figure: figure(count, 'count', computed, [line(msg('patterns.longSide'), 2 * long.count, 'count'), line(msg('patterns.shortSide'), 2 * short.count, 'count'), line(msg('patterns.levels'), levels, 'count'), line(msg('patterns.panels'), count, 'count')]) },
    { name: msg('patterns.heaviestPiece'), figure: figure(each * 1000, 'g', computed, [line(msg('patterns.freshDensity'), density, 'kg/L'), line(msg('patterns.heaviestPiece'), each * 1000, 'g')]) },
    { name: msg('patterns.bedHeight'), figure: figure(bedHeight(bed), 'mm', computed, [line(msg('patterns.panelHeight'), panelHeight, 'mm'), line(msg('patterns.levels'), levels, 'count'), line(msg('patterns.bedHeight'), bedHeight(bed), 'mm', msg('patterns.withWedges'))]) },
    ...(draft > 0 ? [{ name: msg('patterns.wedgeHeight'), figure: figure(wedgeHeight(bed, 1), 'mm', computed, [line(msg('patterns.draft'), draft, '°'), line(msg('patterns.panelThickness'), panel, 'mm'), line(msg('patterns.onGround'), wedgeHeight(bed, 0), 'mm', 't · tan α'), line(msg('patterns.wedgeHeight'), wedgeHeight(bed, 1), 'mm', '2 · t · tan α')]) }] : []),
    { name: msg('patterns.rodLength'), figure: figure(rodLength(bed), 'mm', computed, [line(msg('patterns.bedHeight'), bedHeight(bed), 'mm'), line(msg('patterns.inGround'), rodLength(bed) - bedHeight(bed), 'mm'), line(msg('patterns.rodLength'), rodLength(bed), 'mm')]) },
    { name: msg('patterns.soilMass'), figure: figure(soil * 1000, 'g', computed, [line(msg('patterns.soakedSoil'), SOIL_DENSITY, 'kg/L'), line(msg('patterns.soilMass'), soil * 1000, 'g')]) },
    { name: msg('patterns.totalMass'), figure: figure((soil + panels) * 1000, 'g', computed, [line(msg('patterns.panelMass'), panels * 1000, 'g'), line(msg('patterns.soilMass'), soil * 1000, 'g'), line(msg('patterns.totalMass'), (soil + panels) * 1000, 'g')]) },
    { name: msg('patterns.soilPush'), figure: figure(push.drained, 'ratio', computed, [line(msg('patterns.soilPush'), push.drained, undefined, '½ · 0.5 · 16 · h²'), line(msg('patterns.soakedPush'), push.soaked)]) },
  ];
} // prettier-ignore

/** In what order it is built, and what holds it. */
function notesOf(bed: BedPattern): Message[] {
  const height = bedHeight(bed);
  return [
    ...(bed.draft > 0 ? [msg('patterns.leans', { lean: exactly(bed.draft, '°'), more: exactly(2 * bed.draft, '°') })] : []), // prettier-ignore
    msg('patterns.buildGround'),
    msg('patterns.buildRods', { length: quantity(rodLength(bed), 'mm') }),
    msg('patterns.buildLevels', { levels: bed.levels }),
    msg('patterns.buildWeep'),
    ...(height >= TIED_FROM ? [msg('patterns.buildTies')] : []),
    msg('patterns.buildSoil'),
  ];
}

/** Works out a bed of panels that stand on each other. Handbook 19, "Stacked beds of panels". */
export function workBed(bed: BedPattern, ways: PatternWays): WorkedPattern {
  const { long, short } = bedSides(bed);
  const { panelHeight, panel, draft } = bed;
  const mould = (length: number) => ({ outer: { kind: 'prism' as const, outline: rectangle(length, panelHeight), depth: panel, draft }, cores: [], inserts: [] }); // prettier-ignore
  return {
    parts: partsOf(bed),
    pieces: piecesOf(bed),
    joints: [],
    answers: answersOf(bed, ways),
    warnings: [],
    notes: notesOf(bed),
    cautions: [
      msg('patterns.bedCaution'),
      ...(bedHeight(bed) > ENGINEER_FROM ? [msg('patterns.engineerCaution')] : []),
    ],
    moulds: [
      { name: msg('patterns.longSide'), shape: mould(long.length), piece: 'panel', count: 2 * long.count * bed.levels },
      {
        name: msg('patterns.shortSide'),
        shape: mould(short.length),
        piece: 'panel',
        count: 2 * short.count * bed.levels,
      },
    ],
    plan: [],
  };
}
