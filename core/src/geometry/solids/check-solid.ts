import { Checker } from '../../foundation/units/index.js';
import { moveOutline, onceRound, outlineArea, selfCrossing } from './outline.js';
import { openingsOf, polyhedronNames } from './polyhedron.js';
import {
  LARGEST_SIZE,
  type MeshSolid,
  type PlanPoint,
  type Prism,
  type RectFrustum,
  type Revolution,
  type Solid,
} from './solid.js';

const size = { above: 0, max: LARGEST_SIZE, unit: 'mm' };
const LARGEST_AREA = LARGEST_SIZE ** 2;
/** Most points of an outline: more than any hand can trace. */
const MOST_POINTS = 4000;

/** Names of the sizes in words, each after its owner: “The core’s …”. */
const words: Readonly<Record<string, string>> = {
  bottomDiameter: 'bottom diameter',
  topDiameter: 'top diameter',
  bottomLength: 'length at the bottom',
  bottomWidth: 'width at the bottom',
  topLength: 'length at the top',
  topWidth: 'width at the top',
  bottomAcross: 'width across flats at the bottom',
  topAcross: 'width across flats at the top',
  height: 'height',
  rimDiameter: 'rim diameter',
  depth: 'depth',
  innerDiameter: 'inner diameter',
  radius: 'radius of the centreline',
  startRadius: 'radius at the start',
  pitch: 'pitch',
  width: 'width',
  length: 'length',
  edge: 'edge',
  middle: 'thickness in the middle',
  diameter: 'diameter',
  run: 'run',
};

/** Sizes that each kind must have. */
const sizesOf: Record<Solid['kind'], readonly string[]> = {
  'round-frustum': ['bottomDiameter', 'topDiameter', 'height'],
  'rect-frustum': ['bottomLength', 'bottomWidth', 'topLength', 'topWidth', 'height'],
  'polygon-frustum': ['bottomAcross', 'topAcross', 'height'],
  cap: ['rimDiameter', 'depth'],
  'half-ellipsoid': ['rimDiameter', 'depth'],
  revolution: [],
  prism: ['depth'],
  ring: ['innerDiameter', 'width', 'depth'],
  arc: ['radius', 'width', 'depth'],
  spiral: ['startRadius', 'pitch', 'width', 'depth'],
  polyhedron: ['edge'],
  'lying-pipe': ['diameter', 'run'],
  leaf: ['middle', 'edge'],
  mesh: ['height'],
  'known-volume': ['length', 'width', 'height'],
};

/** Ends of a frustum: one of them may be a point or an edge. */
const ends: Partial<Record<Solid['kind'], readonly (readonly [bottom: string, top: string])[]>> = {
  'round-frustum': [['bottomDiameter', 'topDiameter']],
  'rect-frustum': [
    ['bottomLength', 'topLength'],
    ['bottomWidth', 'topWidth'],
  ],
  'polygon-frustum': [['bottomAcross', 'topAcross']],
};

/** Every kind of solid. */
export const solidKinds = Object.keys(sizesOf) as Solid['kind'][];

/** Where the sizes of a solid are entered, and whose they are in words. */
interface Door {
  readonly check: Checker;
  /** Path of a field of the solid. */
  readonly at: (field: string) => string;
  readonly whose: string;
}

function checkCorner({ check, at, whose }: Door, solid: RectFrustum): void {
  const narrowest = Math.min(solid.bottomLength, solid.bottomWidth, solid.topLength, solid.topWidth);
  check.number(at('cornerRadius'), solid.cornerRadius, `${whose}’s corner radius`, {
    min: 0,
    max: narrowest / 2,
    unit: 'mm',
  });
}

function checkProfile({ check, at }: Door, { points }: Revolution): void {
  check.expect(
    points.length >= 2,
    at('points'),
    points.length,
    'A profile wants two points or more.',
    'Measure its radius at the bottom and at the top.',
  );
  points.forEach(({ height, radius }, i) => {
    const range = { min: 0, max: LARGEST_SIZE, unit: 'mm' };
    check.number(at(`points.${i}.radius`), radius, `The radius of point ${i + 1}`, range);
    check.number(at(`points.${i}.height`), height, `The height of point ${i + 1}`, {
      ...range,
      min: points[i - 1]?.height ?? 0,
    });
    const steps = points.filter((point) => point.height === height).length;
    check.expect(
      steps <= 2,
      at(`points.${i}.height`),
      height,
      `${steps} points stand at height ${height} mm.`,
      'Two make a step; leave the others out.',
    );
  });
  const last = points[points.length - 1];
  check.expect(
    last === undefined || points.length < 2 || last.height > points[0]!.height,
    at('points'),
    last?.height,
    'The profile has no height.',
    'Give its points rising heights.',
  );
  check.expect(
    points.length === 0 || points[0]!.height === 0,
    at('points.0.height'),
    points[0]?.height,
    'The first point of a profile stands at its bottom.',
    'Enter 0 for its height.',
  );
}

/** Whether something, wherever it came from, is a point of a plan within the largest size. */
const isPlace = (point: unknown) =>
  Array.isArray(point) &&
  point.length === 2 &&
  point.every((n) => typeof n === 'number' && Math.abs(n) <= LARGEST_SIZE);

/** Notes what is wrong with a closed outline; answers whether it can be used. */
function checkOutline({ check, at, whose }: Door, given: readonly PlanPoint[]): boolean {
  const field = at('outline');
  const outline = onceRound(given);
  if (outline.length < 3 || outline.length > MOST_POINTS) {
    check.add(
      field,
      outline.length,
      `${whose}’s outline has ${outline.length} points.`,
      `Give 3 to ${MOST_POINTS}, once round and not back to the first.`,
    );
    return false;
  }
  if (!outline.every(isPlace)) {
    check.add(
      field,
      undefined,
      `${whose}’s outline has a point that is no place.`,
      `Keep all within ${LARGEST_SIZE} mm.`,
    );
    return false;
  }
  const crossing = selfCrossing(outline);
  if (crossing) {
    const [x, y] = crossing.map((n) => n.toFixed(0));
    check.add(
      field,
      crossing,
      `${whose}’s outline crosses itself at ${x}, ${y} mm.`,
      'Draw it round once, without a loop.',
    );
    return false;
  }
  check.expect(Math.abs(outlineArea(outline)) > 1, field, 0, `${whose}’s outline encloses nothing.`, 'Draw it wider.');
  return check.clean;
}

function checkPrism(door: Door, { outline, depth, draft }: Prism): void {
  const { check, at, whose } = door;
  const sloped = check.number(at('draft'), draft, `${whose}’s draft`, { min: -60, max: 60, unit: '°' });
  if (!checkOutline(door, outline) || !sloped || !(depth > 0)) return;
  const bottom = moveOutline(outline, -depth * Math.tan((draft / 180) * Math.PI));
  check.expect(
    bottom !== undefined,
    at('draft'),
    draft,
    `A draft of ${draft}° closes the outline, or parts it in two, before it is ${depth} mm deep.`,
    'Enter a smaller draft or depth.',
  );
}

function checkMesh({ check, at }: Door, { curve, slices }: MeshSolid): void {
  const rising = curve.every((v, i) => Number.isFinite(v) && v >= (curve[i - 1] ?? 0) - 1e-9);
  const drawn = slices.every(({ loops }) => loops.every((loop) => Array.isArray(loop) && loop.every(isPlace)));
  check.expect(
    curve.length >= 2 && rising && curve[curve.length - 1]! > 0 && slices.length > 0 && drawn,
    at('curve'),
    curve.length,
    'The mesh came without its fill curve.',
    'Read its file again.',
  );
}

type Checks = { readonly [K in Solid['kind']]?: (door: Door, solid: Extract<Solid, { kind: K }>) => void };

const more: Checks = {
  'rect-frustum': checkCorner,
  revolution: checkProfile,
  prism: checkPrism,
  mesh: checkMesh,
  'polygon-frustum': ({ check, at }, { sides }) => {
    if (check.number(at('sides'), sides, 'The number of sides', { min: 3, max: 60 }))
      check.expect(
        Number.isInteger(sides),
        at('sides'),
        sides,
        `${sides} is not a whole number of sides.`,
        'Count them: 3, 4, 5…',
      );
  },
  arc: ({ check, at }, { angle, width, radius }) => {
    check.number(at('angle'), angle, 'The angle', { above: 0, max: 360, unit: '°' });
    const fits = width <= 2 * radius;
    check.expect(
      fits,
      at('width'),
      width,
      'The strip is wider than its bend allows.',
      'Measure to the middle of the strip.',
    );
  },
  spiral: ({ check, at }, { turns, width, pitch, startRadius }) => {
    check.number(at('turns'), turns, 'The turns', { above: 0, max: 50 });
    check.expect(
      width < pitch,
      at('width'),
      width,
      'The strip is as wide as its pitch: neighbouring turns would touch.',
      'Measure the pitch from middle to middle.',
    );
    check.expect(
      width < 2 * startRadius,
      at('startRadius'),
      startRadius,
      'The strip is wider than the bend at its start.',
      'Start it farther from the middle, or measure the strip again.',
    );
  },
  polyhedron: ({ check, at }, { which, open }) => {
    const known = polyhedronNames.includes(which);
    check.expect(known, at('which'), which, 'That solid is not known.', `Choose one of ${polyhedronNames.join(', ')}.`);
    if (!known) return;
    const openings = openingsOf(which);
    check.expect(
      openings.includes(open),
      at('open'),
      open,
      open ? `No face of it is a ${open}.` : 'Which face is open was not chosen.',
      `Choose the face that is left open: ${openings.join(' or ')}.`,
    );
  },
  leaf: (door, { area, rise = 0, outline }) => {
    door.check.number(door.at('area'), area, 'The area of the leaf', { above: 0, max: LARGEST_AREA, unit: 'mm²' });
    door.check.number(door.at('rise'), rise, 'The rise of the mound', { min: 0, max: LARGEST_SIZE, unit: 'mm' });
    if (outline) checkOutline(door, outline);
  },
  'known-volume': ({ check, at }, { volume, length, width, height }) => {
    const most = (length * width * height) / 1000;
    check.number(at('volume'), volume, 'The volume that it took', { above: 0, unit: 'mL' });
    check.expect(
      !(volume > most * (1 + 1e-9)),
      at('volume'),
      volume,
      `${volume} mL is more than a box of its sizes holds (${most.toFixed(0)} mL).`,
      'Measure its length, width and height again, inside.',
    );
  },
};

/** Notes in `check` what is wrong with the sizes of a solid, by field under `path`. `whose` names it: “The core”. */
export function checkSolidIn(check: Checker, path: string, whose: string, solid: Solid): void {
  const door: Door = { check, whose, at: (field) => (path ? `${path}.${field}` : field) };
  const sizes = sizesOf[solid.kind] as readonly string[] | undefined;
  if (!sizes) {
    check.add(
      door.at('kind'),
      solid.kind,
      'That kind of solid is not known.',
      `Choose one of ${solidKinds.join(', ')}.`,
    );
    return;
  }
  const given: Readonly<Record<string, unknown>> = { ...solid };
  const pairs = ends[solid.kind] ?? [];
  for (const field of sizes) {
    const range = pairs.flat().includes(field) ? { min: 0, max: LARGEST_SIZE, unit: 'mm' } : size;
    check.number(door.at(field), given[field], `${whose}’s ${words[field]!}`, range);
  }
  for (const [bottom, top] of pairs)
    check.expect(
      given[bottom] !== 0 || given[top] !== 0,
      door.at(bottom),
      0,
      `${whose}’s ${words[bottom]!} and ${words[top]!} are both 0.`,
      'One end may come to a point, not both.',
    );
  (more[solid.kind] as ((door: Door, solid: Solid) => void) | undefined)?.(door, solid);
}

/** Refuses a solid that cannot be, by field. @throws InputError */
export function checkSolid(solid: Solid): void {
  const check = new Checker();
  checkSolidIn(check, '', 'The solid', solid);
  check.done();
}
