import {
  Checker,
  msg,
  quantity,
  exactly,
  listed,
  anyOf,
  type Message,
  fixed,
  type Phrase,
} from '../../foundation/units/index.js';
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

const size = { above: 0, max: LARGEST_SIZE, unit: 'mm' } as const;
const LARGEST_AREA = LARGEST_SIZE ** 2;
/** Most points of an outline: more than any hand can trace. */
const MOST_POINTS = 4000;

/** Names of the sizes in words, each after its owner: “The core’s …”. */
const words: Readonly<Record<string, Message>> = {
  bottomDiameter: msg('solids.bottomDiameter'),
  topDiameter: msg('solids.topDiameter'),
  bottomLength: msg('solids.bottomLength'),
  bottomWidth: msg('solids.bottomWidth'),
  topLength: msg('solids.topLength'),
  topWidth: msg('solids.topWidth'),
  bottomAcross: msg('solids.bottomAcross'),
  topAcross: msg('solids.topAcross'),
  height: msg('solids.height'),
  rimDiameter: msg('solids.rimDiameter'),
  depth: msg('solids.depth'),
  innerDiameter: msg('solids.innerDiameter'),
  radius: msg('solids.centrelineRadius'),
  startRadius: msg('solids.startRadius'),
  pitch: msg('solids.pitch'),
  width: msg('solids.width'),
  length: msg('solids.length'),
  edge: msg('solids.edge'),
  middle: msg('solids.middleThickness'),
  diameter: msg('solids.diameter'),
  run: msg('solids.run'),
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
  readonly whose: Phrase;
}

function checkCorner({ check, at, whose }: Door, solid: RectFrustum): void {
  const narrowest = Math.min(solid.bottomLength, solid.bottomWidth, solid.topLength, solid.topWidth);
  check.number(at('cornerRadius'), solid.cornerRadius, msg('solids.cornerRadius', { whose }), {
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
    msg('solids.profileTooShort'),
    msg('solids.measureProfileRadii'),
  );
  points.forEach(({ height, radius }, i) => {
    const range = { min: 0, max: LARGEST_SIZE, unit: 'mm' } as const;
    check.number(at(`points.${i}.radius`), radius, msg('solids.pointRadius', { i: i + 1 }), range);
    check.number(at(`points.${i}.height`), height, msg('solids.pointHeight', { i: i + 1 }), {
      ...range,
      min: points[i - 1]?.height ?? 0,
    });
    const steps = points.filter((point) => point.height === height).length;
    check.expect(
      steps <= 2,
      at(`points.${i}.height`),
      height,
      msg('solids.pointsAtOneHeight', { steps, height: exactly(height, 'mm') }),
      msg('solids.leaveTwoPoints'),
    );
  });
  const last = points[points.length - 1];
  check.expect(
    last === undefined || points.length < 2 || last.height > points[0]!.height,
    at('points'),
    last?.height,
    msg('solids.profileWithoutHeight'),
    msg('solids.giveRisingHeights'),
  );
  check.expect(
    points.length === 0 || points[0]!.height === 0,
    at('points.0.height'),
    points[0]?.height,
    msg('solids.profileStartsAtBottom'),
    msg('solids.enterZeroHeight'),
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
      msg('solids.outlinePoints', { whose, outline: outline.length }),
      msg('solids.giveOutlinePoints', { mostPoints: MOST_POINTS }),
    );
    return false;
  }
  if (!outline.every(isPlace)) {
    check.add(
      field,
      undefined,
      msg('solids.outlinePointNowhere', { whose }),
      msg('solids.keepWithin', { largestSize: exactly(LARGEST_SIZE, 'mm') }),
    );
    return false;
  }
  const crossing = selfCrossing(outline);
  if (crossing) {
    const [x, y] = [fixed(crossing[0], 0), fixed(crossing[1], 0)];
    check.add(field, crossing, msg('solids.outlineCrosses', { whose, x, y }), msg('solids.drawOnceRound'));
    return false;
  }
  check.expect(
    Math.abs(outlineArea(outline)) > 1,
    field,
    0,
    msg('solids.outlineEmpty', { whose }),
    msg('solids.drawWider'),
  );
  return check.clean;
}

function checkPrism(door: Door, { outline, depth, draft }: Prism): void {
  const { check, at, whose } = door;
  const sloped = check.number(at('draft'), draft, msg('solids.draftOf', { whose }), { min: -60, max: 60, unit: '°' });
  if (!checkOutline(door, outline) || !sloped || !(depth > 0)) return;
  const bottom = moveOutline(outline, -depth * Math.tan((draft / 180) * Math.PI));
  check.expect(
    bottom !== undefined,
    at('draft'),
    draft,
    msg('solids.draftCloses', { draft, depth: exactly(depth, 'mm') }),
    msg('solids.smallerDraft'),
  );
}

function checkMesh({ check, at }: Door, { curve, slices }: MeshSolid): void {
  const rising = curve.every((v, i) => Number.isFinite(v) && v >= (curve[i - 1] ?? 0) - 1e-9);
  const drawn = slices.every(({ loops }) => loops.every((loop) => Array.isArray(loop) && loop.every(isPlace)));
  check.expect(
    curve.length >= 2 && rising && curve[curve.length - 1]! > 0 && slices.length > 0 && drawn,
    at('curve'),
    curve.length,
    msg('solids.meshWithoutCurve'),
    msg('solids.readFileAgain'),
  );
}

type Checks = { readonly [K in Solid['kind']]?: (door: Door, solid: Extract<Solid, { kind: K }>) => void };

const more: Checks = {
  'rect-frustum': checkCorner,
  revolution: checkProfile,
  prism: checkPrism,
  mesh: checkMesh,
  'polygon-frustum': ({ check, at }, { sides }) => {
    if (check.number(at('sides'), sides, msg('solids.sides'), { min: 3, max: 60 }))
      check.expect(
        Number.isInteger(sides),
        at('sides'),
        sides,
        msg('solids.sidesNotWhole', { sides }),
        msg('solids.countSides'),
      );
  },
  arc: ({ check, at }, { angle, width, radius }) => {
    check.number(at('angle'), angle, msg('solids.angle'), { above: 0, max: 360, unit: '°' });
    const fits = width <= 2 * radius;
    check.expect(fits, at('width'), width, msg('solids.stripTooWideForBend'), msg('solids.measureStripMiddle'));
  },
  spiral: ({ check, at }, { turns, width, pitch, startRadius }) => {
    check.number(at('turns'), turns, msg('solids.turns'), { above: 0, max: 50 });
    check.expect(width < pitch, at('width'), width, msg('solids.stripAsWideAsPitch'), msg('solids.measurePitch'));
    check.expect(
      width < 2 * startRadius,
      at('startRadius'),
      startRadius,
      msg('solids.stripTooWideAtStart'),
      msg('solids.startFartherOut'),
    );
  },
  polyhedron: ({ check, at }, { which, open }) => {
    const known = polyhedronNames.includes(which);
    check.expect(
      known,
      at('which'),
      which,
      msg('solids.unknownPolyhedron'),
      msg('solids.choosePolyhedron', { polyhedronNames: listed(polyhedronNames) }),
    );
    if (!known) return;
    const openings = openingsOf(which);
    check.expect(
      openings.includes(open),
      at('open'),
      open,
      open ? msg('solids.noSuchFace', { open }) : msg('solids.openFaceMissing'),
      msg('solids.chooseOpenFace', { openings: anyOf(openings) }),
    );
  },
  leaf: (door, { area, rise = 0, outline }) => {
    door.check.number(door.at('area'), area, msg('solids.leafArea'), { above: 0, max: LARGEST_AREA, unit: 'mm²' });
    door.check.number(door.at('rise'), rise, msg('solids.moundRise'), { min: 0, max: LARGEST_SIZE, unit: 'mm' });
    if (outline) checkOutline(door, outline);
  },
  'known-volume': ({ check, at }, { volume, length, width, height }) => {
    const most = (length * width * height) / 1000;
    check.number(at('volume'), volume, msg('solids.takenVolume'), { above: 0, unit: 'mL' });
    check.expect(
      !(volume > most * (1 + 1e-9)),
      at('volume'),
      volume,
      msg('solids.moreThanBox', { volume: exactly(volume, 'mL'), most: quantity(most, 'mL', 0) }),
      msg('solids.measureInside'),
    );
  },
};

/** Notes in `check` what is wrong with the sizes of a solid, by field under `path`. `whose` names it: “The core”. */
export function checkSolidIn(check: Checker, path: string, whose: Phrase, solid: Solid): void {
  const door: Door = { check, whose, at: (field) => (path ? `${path}.${field}` : field) };
  const sizes = sizesOf[solid.kind] as readonly string[] | undefined;
  if (!sizes) {
    const remedy = msg('solids.chooseSolid', { solidKinds: listed(solidKinds) });
    check.add(door.at('kind'), solid.kind, msg('solids.unknownSolid'), remedy);
    return;
  }
  const given: Readonly<Record<string, unknown>> = { ...solid };
  const pairs = ends[solid.kind] ?? [];
  for (const field of sizes) {
    const range = pairs.flat().includes(field) ? ({ min: 0, max: LARGEST_SIZE, unit: 'mm' } as const) : size;
    check.number(door.at(field), given[field], msg('solids.sizeOf', { whose, size: words[field]! }), range);
  }
  for (const [bottom, top] of pairs)
    check.expect(
      given[bottom] !== 0 || given[top] !== 0,
      door.at(bottom),
      0,
      msg('solids.bothEndsZero', { whose, words: words[bottom]!, words2: words[top]! }),
      msg('solids.onePointOnly'),
    );
  (more[solid.kind] as ((door: Door, solid: Solid) => void) | undefined)?.(door, solid);
}

/** Refuses a solid that cannot be, by field. @throws InputError */
export function checkSolid(solid: Solid): void {
  const check = new Checker();
  checkSolidIn(check, '', msg('solids.theSolid'), solid);
  check.done();
}
