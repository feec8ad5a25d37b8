import { computed, figure, formatQuantity, line, type Figure } from '../units/index.js';
import { ballast, wallPressure, type Ballast } from './ballast.js';
import { displacedVolume, fullVolume } from './cavity.js';
import { faces, type Faces } from './faces.js';
import { checkMould, type MouldShape, type MouldStuff } from './mould.js';
import { solidVolume } from './solid.js';
import { pieceGuides, type PieceKind } from './uses.js';
import { baseThickness, lockedBlanks, outerUndercut, thinnestWall, type ThinPlace } from './walls.js';

/** Gap left for watering below the rim of a planted pot, mm. */
export const WATERING_GAP = 20;
/** Pressure from which a soft wall bulges, kPa. */
const BULGE_PRESSURE = 2;

/** Everything that a mould's measurements imply. */
export interface MouldFigures {
  readonly volume: Figure;
  readonly wall?: Figure;
  readonly thinnest?: ThinPlace;
  readonly base: Figure;
  readonly planting?: Figure;
  readonly ballast?: Ballast;
  readonly pressure: Figure;
  readonly faces: Faces;
  readonly warnings: readonly string[];
}

function volumeFigure(shape: MouldShape): Figure {
  const full = fullVolume(shape);
  const cores = displacedVolume(shape, 'cores');
  const all = displacedVolume(shape, 'all');
  return figure(full, 'mL', computed, [
    line('Outer mould to the rim', solidVolume(shape.outer), 'mL', 'π·h/3·(R² + R·r + r²)'),
    ...(cores > 0 ? [line('less the cores', cores, 'mL')] : []),
    ...(all - cores > 1e-6
      ? [line('less plugs and inserts', all - cores, 'mL', 'what is not inside a core already')]
      : []),
    line('It holds', full, 'mL'),
  ]);
}

function wallFigure(thinnest: ThinPlace): Figure {
  return figure(thinnest.thickness, 'mm', computed, [
    line(
      'Shortest line between core and outer mould',
      thinnest.thickness,
      'mm',
      'square to the sloping faces, not level',
    ),
    line('Height of its middle', thinnest.height, 'mm'),
  ]);
}

function plantingFigure(shape: MouldShape): Figure | undefined {
  const core = shape.cores[0];
  if (!core) return undefined;
  const room: MouldShape = { outer: core.solid, cores: [], inserts: [] };
  const height = Math.max(0, core.solid.height - WATERING_GAP);
  const top =
    core.solid.bottomDiameter + ((core.solid.topDiameter - core.solid.bottomDiameter) * height) / core.solid.height;
  const volume = height > 0 ? solidVolume({ ...core.solid, topDiameter: top, height }) : 0;
  return figure(volume, 'mL', computed, [
    line('Inside of the pot', fullVolume(room), 'mL'),
    line('Watering gap below the rim', WATERING_GAP, 'mm'),
    line('Room for soil', volume, 'mL'),
  ]);
}

function warn(
  shape: MouldShape,
  stuff: MouldStuff,
  piece: PieceKind,
  pressure: number,
  thinnest?: ThinPlace,
): string[] {
  const guide = pieceGuides[piece];
  const found: string[] = [];
  const thin = Math.min(thinnest?.thickness ?? Infinity, baseThickness(shape));
  if (thin < guide.leastWall) {
    found.push(
      `Its thinnest place is ${formatQuantity(thin, 'mm', 'metric')}; for a ${guide.name} the guide is at least ${guide.leastWall} mm.`,
    );
  }
  if (stuff === 'rigid' && outerUndercut(shape)) {
    found.push(
      'The mould narrows towards its opening: a rigid one-piece mould cannot let the cast go. Split it, or use a flexible one.',
    );
  }
  for (const name of lockedBlanks(shape))
    found.push(`${name} widens downwards: it would be locked into the cast. Turn it over, or slit it.`);
  const straight = shape.cores.filter(({ solid }) => solid.topDiameter === solid.bottomDiameter);
  if (stuff === 'rigid' && straight.length > 0) {
    found.push(`${straight[0]!.name} has no draft and will jam: split and tape it beforehand, or slit it.`);
  }
  if (stuff === 'flexible' && pressure > BULGE_PRESSURE) {
    found.push(
      `Fluid mix presses ${pressure.toFixed(1)} kPa on the wall: a soft mould this tall wants a sleeve, or it bulges.`,
    );
  }
  return found;
}

/**
 * Reckons a mould: volume, walls, ballast, faces and what to beware of.
 * `density` of the fresh mix in kg/L; a fluid sand-cement mix is about 2.15.
 * @throws InputError when the mould cannot be cast.
 */
export function reckonMould(
  shape: MouldShape,
  options: { stuff: MouldStuff; piece: PieceKind; density?: number },
): MouldFigures {
  checkMould(shape);
  const density = options.density ?? 2.15;
  const thinnest = thinnestWall(shape);
  const base = baseThickness(shape);
  const pressure = wallPressure(shape, density);
  return {
    volume: volumeFigure(shape),
    ...(thinnest && { wall: wallFigure(thinnest), thinnest }),
    base: figure(base, 'mm', computed, [line('Under the lowest core', base, 'mm')]),
    planting: plantingFigure(shape),
    ballast: ballast(shape, density),
    pressure: figure(pressure, 'kPa', computed, [
      line('Density of the fresh mix', density, 'kg/L'),
      line('Depth of mix', shape.outer.height, 'mm'),
      line('Pressure at the bottom', pressure, 'kPa', 'density × 9.81 × depth'),
    ]),
    faces: faces(shape),
    warnings: warn(shape, options.stuff, options.piece, pressure, thinnest),
  };
}
