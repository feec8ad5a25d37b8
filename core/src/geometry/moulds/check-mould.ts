import { Checker, InputError, type FieldIssue, msg, quantity, exactly } from '../../foundation/units/index.js';
import {
  checkSolidIn,
  contains,
  leftOver,
  nearestOnRegion,
  pointOn,
  pressedShell,
  sizeNamed,
  type Edge,
  type Region,
} from '../solids/index.js';
import { cavityOf, regionAt, type Standing } from './cavity.js';
import { copiesOf, type MouldShape, type PlacedSolid } from './mould.js';

const SIZE = { min: -3000, max: 3000, unit: 'mm' } as const;
const MOST_COPIES = 60;
/** Share of a height that lies just below its end. */
const END_HAIR = 1e-3;
/** How far a blank may reach past the wall before it is called too wide, mm. */
const HAIR = 1e-6;

/** Fields whose size makes a blank wide at its bottom and at its top. */
function wideField({ solid }: PlacedSolid, atBottom: boolean): string {
  const end = atBottom ? 'bottom' : 'top';
  if ('bottomDiameter' in solid) return `${end}Diameter`;
  if ('bottomLength' in solid) return `${end}Length`;
  if ('bottomAcross' in solid) return `${end}Across`;
  if ('rimDiameter' in solid) return 'rimDiameter';
  return 'kind';
}

function checkPlace(check: Checker, path: string, placed: PlacedSolid): void {
  const name = placed.name;
  check.number(`${path}.bottom`, placed.bottom, msg('moulds.startHeight', { name }), { min: 0, unit: 'mm' });
  check.number(`${path}.x`, placed.x ?? 0, msg('moulds.offsetSide', { name }), SIZE);
  check.number(`${path}.y`, placed.y ?? 0, msg('moulds.offsetForward', { name }), SIZE);
  check.number(`${path}.turn`, placed.turn ?? 0, msg('moulds.turnOf', { name }), { min: -360, max: 360, unit: '°' });
  const { pattern } = placed;
  if (!pattern) return;
  const whole = check.number(`${path}.pattern.count`, pattern.count, msg('moulds.countOf', { name }), {
    min: 1,
    max: MOST_COPIES,
  });
  if (whole)
    check.expect(
      Number.isInteger(pattern.count),
      `${path}.pattern.count`,
      pattern.count,
      msg('moulds.notWhole', { count: pattern.count }),
      msg('moulds.countThem'),
    );
  if (pattern.kind === 'circle')
    check.number(`${path}.pattern.radius`, pattern.radius, msg('moulds.circleRadius', { name }), { ...SIZE, min: 0 });
  else check.number(`${path}.pattern.step`, pattern.step, msg('moulds.stepBetween', { name }), { ...SIZE, above: 0 });
}

/** Points along an edge that stand for it. */
const alongEdge = (edge: Edge) => [0, 0.25, 0.5, 0.75].map((t) => pointOn(edge, t));

/** Farthest that the boundary of one region lies outside another, mm. */
function reachBeyond(inner: Region, outer: Region): number {
  let most = 0;
  for (const edge of inner.edges) {
    for (const p of alongEdge(edge)) {
      if (!contains(outer, p)) most = Math.max(most, nearestOnRegion(outer, p).distance);
    }
  }
  return most;
}

/** A core that takes the whole section, or a blank that stands in no part of it, cannot be meant. */
function checkCore(check: Checker, path: string, outer: Standing, core: Standing): void {
  const { placed } = core;
  const [low, high] = [Math.max(core.bottom, 0), Math.min(core.top, outer.top)];
  // A hair below the end as well: a mould that comes to a point has no section there.
  const ends = [low, high, high - (high - low) * END_HAIR];
  const wide = ends.find((z) => {
    const [around, region] = [regionAt(outer, z), regionAt(core, z)];
    if (region.edges.length === 0 || around.edges.length === 0) return false;
    return reachBeyond(region, around) > HAIR || touches(around, region);
  });
  if (wide === undefined) return;
  const field = wideField(placed, wide === low && low !== high);
  const across = (region: Region) => quantity(region.box.x1 - region.box.x0, 'mm', 1);
  check.add(
    `${path}.solid.${field}`,
    sizeNamed(placed.solid, field),
    msg('moulds.coreTooWide', {
      placed: placed.name,
      across: across(regionAt(core, wide)),
      wide: quantity(wide, 'mm', 0),
      across2: across(regionAt(outer, wide)),
    }),
    msg('moulds.measureBoth', { placed: placed.name }),
  );
}

/** Whether two circles are one: a core as wide as its mould. */
const touches = (outer: Region, inner: Region) =>
  outer.circle !== undefined && inner.circle !== undefined && Math.abs(outer.circle.r - inner.circle.r) < HAIR;

/** An insert may reach through the wall, as a cable channel does, but must stand in the mix somewhere and leave some. */
function checkInsert(check: Checker, path: string, outer: Standing, insert: Standing): void {
  const { placed } = insert;
  const [low, high] = [Math.max(0, insert.bottom), Math.min(insert.top, outer.top)];
  const all = [low, (low + high) / 2, high].map((z) => [regionAt(outer, z), regionAt(insert, z)] as const);
  const inside = all[1]![1].edges.some((edge) => contains(all[1]![0], pointOn(edge, 0.5)));
  const full = all.findIndex(([around, region]) => around.edges.length > 0 && leftOver(around, [region]).area <= 0);
  if (inside && full === -1) return;
  const field = wideField(placed, full < 2);
  check.add(
    `${path}.solid.${field}`,
    sizeNamed(placed.solid, field),
    msg(full === -1 ? 'moulds.insertOutside' : 'moulds.insertFillsAll', { name: placed.name }),
    msg('moulds.measureInsert'),
  );
}

/** Whether two level regions overlap, by points along their boundaries. */
function overlap(a: Region, b: Region): boolean {
  const enters = (one: Region, other: Region) =>
    one.edges.some((edge) => alongEdge(edge).some((p) => contains(other, p)));
  return enters(a, b) || enters(b, a);
}

function checkPipes(check: Checker, inserts: readonly { path: string; standing: Standing }[]): void {
  inserts.forEach(({ path, standing: one }, i) => {
    for (const { standing: other } of inserts.slice(i + 1)) {
      if (one.solid.kind !== 'lying-pipe' || other.solid.kind !== 'lying-pipe') continue;
      const low = Math.max(one.bottom, other.bottom);
      const high = Math.min(one.top, other.top);
      if (low >= high) continue;
      const z = (low + high) / 2;
      check.expect(
        !overlap(regionAt(one, z), regionAt(other, z)),
        `${path}.bottom`,
        one.bottom,
        msg('moulds.pipesMeet', { one: one.name, other: other.name }),
        msg('moulds.moveOnePipe'),
      );
    }
  });
}

function checkHeight(check: Checker, path: string, rim: number, { name, bottom, placed, top }: Standing): void {
  check.expect(
    bottom < rim,
    `${path}.bottom`,
    bottom,
    msg('moulds.startsAboveRim', { name, bottom: exactly(bottom, 'mm'), rim: quantity(rim, 'mm', 0) }),
    msg('moulds.measureItsBottom'),
  );
  if (placed.solid.kind !== 'lying-pipe') return;
  check.expect(
    top <= rim,
    `${path}.bottom`,
    bottom,
    msg('moulds.pipeAboveFace', { name, top: quantity(top, 'mm', 0), rim: quantity(rim, 'mm', 0) }),
    msg('moulds.layLower'),
  );
}

/**
 * Refuses a shape that cannot be cast. Collects every issue.
 * @throws InputError with field paths such as `cores.0.solid.topDiameter`.
 */
export function checkMould(shape: MouldShape): void {
  const check = new Checker();
  checkSolidIn(check, 'outer', shape.pressed ? msg('moulds.form') : msg('moulds.outerMould'), shape.outer);
  const sets = [
    ['cores', shape.cores],
    ['inserts', shape.inserts],
  ] as const;
  for (const [set, placed] of sets) {
    placed.forEach((blank, i) => {
      checkSolidIn(check, `${set}.${i}.solid`, blank.name, blank.solid);
      checkPlace(check, `${set}.${i}`, blank);
    });
  }
  if (shape.measured)
    check.number('measured.volume', shape.measured.volume, msg('moulds.measuredVolume'), { above: 0, unit: 'mL' });
  check.done();
  if (shape.pressed) pressedShell(shape.outer, shape.pressed);
  checkFit(check, shape);
  check.done();
}

/** Notes what does not fit: solids that are each possible by themselves, but not together. */
function checkFit(check: Checker, shape: MouldShape): void {
  const { outer, rim, cores, inserts } = cavityOf(shape);
  const pathsOf = (set: 'cores' | 'inserts') =>
    shape[set].flatMap((placed, i) => copiesOf(placed).map(() => `${set}.${i}`));
  const formed = shape.pressed ? 1 : 0;
  const paths = { cores: pathsOf('cores'), inserts: pathsOf('inserts') };
  const all = [
    ...cores.slice(formed).map((standing, i) => ({ path: paths.cores[i]!, standing, core: true })),
    ...inserts.map((standing, i) => ({ path: paths.inserts[i]!, standing, core: false })),
  ];
  for (const { path, standing, core } of all) {
    checkHeight(check, path, rim, standing);
    if (standing.bottom >= rim) continue;
    if (core) checkCore(check, path, outer, standing);
    else checkInsert(check, path, outer, standing);
  }
  checkPipes(
    check,
    all.filter(({ core }) => !core),
  );
}

/** What is wrong with a shape, by field; nothing where it can be cast. */
export function mouldIssues(shape: MouldShape): readonly FieldIssue[] {
  try {
    checkMould(shape);
    return [];
  } catch (error) {
    if (error instanceof InputError) return error.issues;
    throw error;
  }
}
