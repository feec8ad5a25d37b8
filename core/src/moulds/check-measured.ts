import { Checker } from '../units/index.js';
import { LARGEST_SIZE } from './solid.js';
import type { MeasuredSolid, RectFrustum, Revolution } from './measured-solid.js';

const size = { above: 0, max: LARGEST_SIZE, unit: 'mm' };

/** Names of the sizes in words; all of them are lengths inside the mould. */
const words: Readonly<Record<string, string>> = {
  bottomDiameter: 'The bottom diameter',
  topDiameter: 'The top diameter',
  bottomLength: 'The length at the bottom',
  bottomWidth: 'The width at the bottom',
  topLength: 'The length at the top',
  topWidth: 'The width at the top',
  bottomAcross: 'The width across flats at the bottom',
  topAcross: 'The width across flats at the top',
  height: 'The height',
  rimDiameter: 'The rim diameter',
  depth: 'The depth',
  innerDiameter: 'The inner diameter',
  radius: 'The radius of the centreline',
  startRadius: 'The radius at the start',
  pitch: 'The pitch',
  width: 'The width',
  edge: 'The edge',
  middle: 'The thickness in the middle',
};

function checkCorner(check: Checker, solid: RectFrustum): void {
  const narrowest = Math.min(solid.bottomLength, solid.bottomWidth, solid.topLength, solid.topWidth);
  check.number('cornerRadius', solid.cornerRadius, 'The corner radius', { min: 0, max: narrowest / 2, unit: 'mm' });
}

function checkProfile(check: Checker, { points }: Revolution): void {
  check.expect(
    points.length >= 2,
    'points',
    points.length,
    'A profile wants two points or more.',
    'Measure its radius at the bottom and at the top.',
  );
  points.forEach(({ height, radius }, i) => {
    check.number(`points.${i}.radius`, radius, `The radius of point ${i + 1}`, {
      min: 0,
      max: LARGEST_SIZE,
      unit: 'mm',
    });
    const before = points[i - 1]?.height ?? 0;
    check.number(`points.${i}.height`, height, `The height of point ${i + 1}`, {
      min: before,
      max: LARGEST_SIZE,
      unit: 'mm',
    });
    const steps = points.filter((point) => point.height === height).length;
    check.expect(
      steps <= 2,
      `points.${i}.height`,
      height,
      `${steps} points stand at height ${height} mm.`,
      'Two make a step; leave the others out.',
    );
  });
  const last = points[points.length - 1];
  check.expect(
    last === undefined || points.length < 2 || last.height > points[0]!.height,
    'points',
    last?.height,
    'The profile has no height.',
    'Give its points rising heights.',
  );
}

/** Sizes that each kind must have. */
const sizesOf: Record<MeasuredSolid['kind'], readonly string[]> = {
  'round-frustum': ['bottomDiameter', 'topDiameter', 'height'],
  'rect-frustum': ['bottomLength', 'bottomWidth', 'topLength', 'topWidth', 'height'],
  'polygon-frustum': ['bottomAcross', 'topAcross', 'height'],
  cap: ['rimDiameter', 'depth'],
  'half-ellipsoid': ['rimDiameter', 'depth'],
  revolution: [],
  ring: ['innerDiameter', 'width', 'depth'],
  arc: ['radius', 'width', 'depth'],
  spiral: ['startRadius', 'pitch', 'width', 'depth'],
  polyhedron: ['edge'],
  leaf: ['middle', 'edge'],
};

/** Every kind of measured solid. */
export const measuredKinds = Object.keys(sizesOf) as MeasuredSolid['kind'][];

/** Refuses a solid that cannot be, by field. @throws InputError */
export function checkMeasured(solid: MeasuredSolid): void {
  const check = new Checker();
  const given = solid as unknown as Readonly<Record<string, unknown>>;
  for (const field of sizesOf[solid.kind]) check.number(field, given[field], words[field]!, size);
  if (solid.kind === 'rect-frustum') checkCorner(check, solid);
  if (solid.kind === 'revolution') checkProfile(check, solid);
  if (solid.kind === 'polygon-frustum') {
    const whole = check.number('sides', solid.sides, 'The number of sides', { min: 3, max: 60 });
    if (whole)
      check.expect(
        Number.isInteger(solid.sides),
        'sides',
        solid.sides,
        `${solid.sides} is not a whole number of sides.`,
        'Count them: 3, 4, 5…',
      );
  }
  if (solid.kind === 'arc') {
    check.number('angle', solid.angle, 'The angle', { above: 0, max: 360, unit: '°' });
    check.expect(
      solid.width <= 2 * solid.radius,
      'width',
      solid.width,
      'The strip is wider than its bend allows.',
      'Measure to the middle of the strip.',
    );
  }
  if (solid.kind === 'spiral') {
    check.number('turns', solid.turns, 'The turns', { above: 0, max: 50 });
    check.expect(
      solid.width < solid.pitch,
      'width',
      solid.width,
      'The strip is as wide as its pitch: neighbouring turns would touch.',
      'Measure the pitch from middle to middle.',
    );
  }
  if (solid.kind === 'leaf')
    check.number('area', solid.area, 'The area of the leaf', { above: 0, max: LARGEST_SIZE ** 2, unit: 'mm²' });
  check.done();
}
