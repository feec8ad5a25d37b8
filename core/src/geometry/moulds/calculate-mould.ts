import {
  computed,
  figure,
  line,
  measured,
  type Figure,
  type Finding,
  msg,
  type Message,
} from '../../foundation/units/index.js';
import { regionPerimeter, solidVolume } from '../solids/index.js';
import { ballast, liftsThatFit, wallPressure, type Ballast, type BallastSand } from './ballast.js';
import { cavityOf, regionAt } from './cavity.js';
import { checkMould } from './check-mould.js';
import { faces, type Faces } from './faces.js';
import { computedVolume, displacedVolume, fullVolume } from './fill.js';
import {
  bedSand,
  boxFootprint,
  THICKEST_PANEL,
  checkGrain,
  levelError,
  MESH_COVER,
  meshForSlab,
  meshForWall,
  waxFor,
  type BoxFootprint,
  type GrainCheck,
  type MeshCut,
} from './mesh-and-grain.js';
import { mouldFindings, type MouldUse } from './mould-findings.js';
import type { MouldShape } from './mould.js';
import { usualDensity } from './piece-kinds.js';
import { undercut, type Undercut } from './undercut.js';
import { baseThickness, hasBase, narrowestGap, thinnestWall, type ThinPlace } from './walls.js';

/** Gap left for watering below the rim of a planted pot, mm. */
export const WATERING_GAP = 20;

/** What a mould is calculated with: how it is used, and the mix that goes into it. */
export interface MouldOptions extends MouldUse {
  /** Of the fresh mix, kg/L. */
  readonly density?: number;
  /** Of the dry piece, kg/L. */
  readonly dryDensity?: number;
  /** Of the empty cores, g. */
  readonly coreMass?: number;
  /** What weighs the cores down. */
  readonly ballastSand?: BallastSand;
  /** How far below its rim a jar is filled, mm. */
  readonly fillGap?: number;
}

/** Outer size of the cast, mm: along x, along y, upright. */
export interface OuterSize {
  readonly length: number;
  readonly width: number;
  readonly height: number;
}

/** Everything that a mould's measurements imply. */
export interface MouldFigures {
  readonly volume: Figure;
  /** By its geometry alone, where it was also measured. */
  readonly computed?: Figure;
  readonly wall?: Figure;
  readonly thinnest?: ThinPlace;
  /** Under the lowest core; none where every core stands on the board. */
  readonly base?: Figure;
  /** Narrowest gap that a grain must pass. */
  readonly gap: Figure;
  readonly grain?: GrainCheck;
  readonly planting?: Figure;
  /** What the inside holds to its fill line, and the wax for it. */
  readonly jar?: { readonly held: Figure; readonly wax: Figure };
  readonly ballast?: Ballast;
  /** Lifts at which sand alone holds the cores, where one pour would float them. */
  readonly lifts?: number;
  readonly pressure: Figure;
  readonly mass: Figure;
  readonly dryMass?: Figure;
  readonly size: OuterSize;
  readonly faces: Faces;
  readonly undercut?: Undercut;
  /** By how much it comes out thicker at one end for each degree out of level. */
  readonly outOfLevel: Figure;
  /** Mesh or wire to lay in, where the piece is large enough for its cover. */
  readonly mesh?: MeshCut;
  /** Damp sand under a leaf. */
  readonly bedSand?: Figure;
  /** Four of these panels joined at their edges: the box they make. */
  readonly box?: BoxFootprint;
  /** What speaks against it, the worst first. */
  readonly findings: readonly Finding[];
}

function computedFigure(shape: MouldShape): Figure {
  const { outer, cores, inserts } = cavityOf(shape);
  const full = computedVolume(shape);
  const byCores = cores.length > 0 ? displacedVolume(shape, 'cores') : 0;
  const byAll = inserts.length > 0 ? displacedVolume(shape, 'all') : byCores;
  const { how, steps = [] } = outer.body.whole;
  return figure(full, 'mL', computed, [
    ...steps,
    line(shape.pressed ? msg('moulds.outsideOfShell') : msg('moulds.outerToRim'), solidVolume(outer.solid), 'mL', how),
    ...(byCores > 0 ? [line(shape.pressed ? msg('moulds.lessForm') : msg('moulds.lessCores'), byCores, 'mL')] : []),
    ...(byAll - byCores > 1e-6
      ? [line(msg('moulds.lessInserts'), byAll - byCores, 'mL', msg('moulds.notInsideCore'))]
      : []),
    line(msg('solids.volume'), full, 'mL'),
  ]);
}

function volumeFigure(shape: MouldShape, byGeometry: Figure): Figure {
  const taken = shape.measured;
  if (!taken) return byGeometry;
  const off = (taken.volume / byGeometry.value - 1) * 100;
  const by = {
    water: msg('moulds.filledByWater'),
    sand: msg('moulds.filledBySand'),
    batch: msg('moulds.filledByBatch'),
  }[taken.by];
  return figure(taken.volume, 'mL', measured, [
    line(msg('moulds.byMeasurements'), byGeometry.value, 'mL'),
    line(msg('moulds.measured'), taken.volume, 'mL', by),
    line(msg('moulds.difference'), off, '%'),
    line(msg('solids.volume'), taken.volume, 'mL', msg('moulds.measuredVolumeCounts')),
  ]);
}

function wallFigure(thinnest: ThinPlace): Figure {
  return figure(thinnest.thickness, 'mm', computed, [
    line(msg('moulds.heightOfMiddle'), thinnest.height, 'mm'),
    line(msg('moulds.shortestLine'), thinnest.thickness, 'mm', msg('moulds.squareToFaces')),
  ]);
}

/** Volume inside the cores to `gap` mm below the rim; undefined where there is no room. */
function insideFigure(
  shape: MouldShape,
  gap: number,
  words: readonly [inside: Message, gap: Message, room: Message],
): Figure | undefined {
  const { cores, rim } = cavityOf(shape);
  // Only what opens at the rim is a room: a pipe through the wall is none.
  if (!cores.some(({ top, bottom }) => top >= rim - 0.5 && bottom > 0)) return undefined;
  const whole = displacedVolume(shape, 'cores');
  const room = displacedVolume(shape, 'cores', 0, Math.max(0, rim - gap));
  return figure(room, 'mL', computed, [
    line(words[0], whole, 'mL'),
    line(words[1], gap, 'mm'),
    line(words[2], room, 'mL'),
  ]);
}

function sizeOf(shape: MouldShape): OuterSize {
  const { outer, rim, edges } = cavityOf(shape);
  const boxes = [...edges, rim / 2].map((z) => regionAt(outer, z)).filter(({ edges: found }) => found.length > 0);
  const reach = (low: 'x0' | 'y0', high: 'x1' | 'y1') =>
    Math.max(...boxes.map(({ box }) => box[high])) - Math.min(...boxes.map(({ box }) => box[low]));
  return { length: reach('x0', 'x1'), width: reach('y0', 'y1'), height: rim };
}

function massFigure(volume: number, density: number, word: Message): Figure {
  const mass = volume * density;
  return figure(mass, 'g', computed, [
    line(msg('solids.volume'), volume, 'mL'),
    line(msg('moulds.density'), density, 'kg/L', word),
    line(msg('moulds.mass'), mass, 'g', msg('moulds.volumeDensity')),
  ]);
}

function gapFigure(shape: MouldShape, thinnest: ThinPlace | undefined): Figure {
  const gap = narrowestGap(shape, thinnest);
  return figure(gap, 'mm', computed, [line(msg('moulds.narrowestWay'), gap, 'mm', msg('moulds.wallsBaseCores'))]);
}

/** Mesh for the piece: flat in a solid one, bent round in the middle of a wall. */
function meshFor(
  shape: MouldShape,
  { length, width, height }: OuterSize,
  thinnest: ThinPlace | undefined,
): MeshCut | undefined {
  const { outer, rim } = cavityOf(shape);
  const room = 2 * MESH_COVER;
  if (thinnest) {
    if (thinnest.thickness < room || height <= room) return undefined;
    // Half a wall in from the outside all round, the way is shorter by π times the wall.
    const around = regionPerimeter(regionAt(outer, rim / 2)) - Math.PI * thinnest.thickness;
    return meshForWall(around, height);
  }
  return rim >= room && length > room && width > room ? meshForSlab(length, width) : undefined;
}

/** One degree: what a spirit level shows at a glance. */
const ONE_DEGREE = 1;

function extrasOf(shape: MouldShape, size: OuterSize, piece: MouldOptions['piece'], thinnest: ThinPlace | undefined) {
  const { length, width, height } = size;
  const mesh = meshFor(shape, size, thinnest);
  const { solid } = cavityOf(shape).outer;
  return {
    outOfLevel: levelError(Math.max(length, width), ONE_DEGREE),
    ...(mesh && { mesh }),
    ...(solid.kind === 'leaf' && { bedSand: bedSand(solid) }),
    ...(piece === 'panel' &&
      height <= THICKEST_PANEL && { box: boxFootprint({ length, width: length, thickness: height }) }),
  };
}

/** What the inside of a piece holds: planted, and to its fill line so many mm below the rim. */
function insideOf(shape: MouldShape, fillGap: number | undefined) {
  const planting = insideFigure(shape, WATERING_GAP, [
    msg('moulds.insideOfPot'),
    msg('moulds.wateringGap'),
    msg('moulds.plantingVolume'),
  ]);
  const toFillLine = [msg('moulds.toTheBrim'), msg('moulds.fillLineBelowRim'), msg('moulds.toFillLine')] as const;
  const held = fillGap === undefined ? undefined : insideFigure(shape, fillGap, toFillLine);
  return { ...(planting && { planting }), ...(held && { jar: { held, wax: waxFor(held.value) } }) };
}

/** What keeps the cores down, and the lifts in which sand alone does. */
function holdingDown(shape: MouldShape, density: number, { coreMass = 0, ballastSand }: MouldOptions) {
  const holding = { coreMass, ...(ballastSand && { sand: ballastSand }) };
  const weight = ballast(shape, density, holding);
  const lifts = weight && !weight.fits ? liftsThatFit(shape, density, holding) : undefined;
  return { ...(weight && { ballast: weight }), ...(lifts !== undefined && { lifts }) };
}

/**
 * Calculates a mould: volume, walls, ballast, faces and what to beware of.
 * `density` of the fresh mix in kg/L; where none is named that of a usual mix of the piece's kind.
 * @throws InputError when the mould cannot be cast.
 */
export function calculateMould(shape: MouldShape, options: MouldOptions): MouldFigures {
  checkMould(shape);
  const { density = usualDensity(options.piece), dryDensity, largestGrain, meshOpening } = options;
  const byGeometry = computedFigure(shape);
  const volume = fullVolume(shape);
  const thinnest = thinnestWall(shape);
  const base = baseThickness(shape);
  const pressure = wallPressure(shape, density);
  const gap = gapFigure(shape, thinnest);
  const grain = largestGrain === undefined ? undefined : checkGrain(largestGrain, gap.value, meshOpening);
  const size = sizeOf(shape);
  const overhang = undercut(shape);
  return {
    volume: volumeFigure(shape, byGeometry),
    ...(shape.measured && { computed: byGeometry }),
    ...(thinnest && { wall: wallFigure(thinnest), thinnest }),
    ...(hasBase(shape) && { base: figure(base, 'mm', computed, [line(msg('moulds.underLowestCore'), base, 'mm')]) }),
    gap,
    ...(grain && { grain }),
    ...insideOf(shape, options.fillGap),
    ...holdingDown(shape, density, options),
    pressure: figure(pressure, 'kPa', computed, [
      line(msg('moulds.densityOfFreshMix'), density, 'kg/L'),
      line(msg('moulds.mixDepth'), cavityOf(shape).rim, 'mm'),
      line(msg('moulds.bottomPressure'), pressure, 'kPa', 'density × 9.81 × depth'),
    ]),
    mass: massFigure(volume, density, msg('moulds.ofFreshMix')),
    ...(dryDensity !== undefined && { dryMass: massFigure(volume, dryDensity, msg('moulds.ofDryPiece')) }),
    size,
    faces: faces(shape),
    ...(overhang && { undercut: overhang }),
    ...extrasOf(shape, size, options.piece, thinnest),
    findings: mouldFindings(shape, options, {
      pressure,
      computedVolume: byGeometry.value,
      thinnest,
      grain,
      undercut: overhang,
    }),
  };
}
