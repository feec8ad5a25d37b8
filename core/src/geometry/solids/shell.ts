import { Checker, msg, exactly } from '../../foundation/units/index.js';
import { bodyOf } from './body-of.js';
import { slopeFactor } from './body.js';
import { moveOutline } from './outline.js';
import type { PlanPoint, ProfileRadius, Revolution, Solid } from './solid.js';
import { sphereRadius } from './turned-bodies.js';
import { turnedProfile } from './turned-profile.js';

/** How a shell is pressed: over a form, inside it, or against its sides only with its end left bare. */
export const shellSides = ['over', 'inside', 'against'] as const;
export type ShellSide = (typeof shellSides)[number];

/** An even layer pressed by hand; thickness in mm. */
export interface Shell {
  readonly side: ShellSide;
  readonly thickness: number;
}

/** Straight pieces in which a bent profile is moved. */
const PIECES = 400;

type Meridian = readonly (readonly [r: number, z: number])[];

/** Points of a profile from bottom to rim, bends in short straight pieces. */
function meridianOf(solid: Revolution | Extract<Solid, { kind: 'half-ellipsoid' }>): Meridian {
  const even = Array.from({ length: PIECES + 1 }, (_, i) => i / PIECES);
  if (solid.kind === 'half-ellipsoid') {
    return even.map((share) => {
      const angle = (share * Math.PI) / 2;
      return [(solid.rimDiameter / 2) * Math.sin(angle), solid.depth * (1 - Math.cos(angle))];
    });
  }
  if (!solid.smooth) return solid.points.map(({ radius, height }) => [radius, height]);
  const height = bodyOf(solid).height;
  const radius = turnedProfile(solid);
  return even.map((share) => [radius(share * height), share * height]);
}

/** A meridian moved square to itself by `by` mm outwards, its corners mitred, its rim kept level. */
function moveMeridian(points: Meridian, by: number): ProfileRadius[] {
  const rim = points[points.length - 1]![1];
  // A flat bottom is a face too: it runs from the axis to the first point.
  const line = points[0]![0] > 0 ? [[0, points[0]![1]] as const, ...points] : points;
  const sides = line.slice(1).map(([r1, z1], i) => {
    const [r0, z0] = line[i]!;
    const size = Math.hypot(r1 - r0, z1 - z0) || 1;
    return { r: r0, z: z0, dr: (r1 - r0) / size, dz: (z1 - z0) / size };
  });
  const moved = sides.map(({ r, z, dr, dz }) => ({ r: r + by * dz, z: z - by * dr, dr, dz }));
  const joints = moved.slice(1).map((next, i) => {
    const last = moved[i]!;
    const turn = last.dr * next.dz - last.dz * next.dr;
    if (Math.abs(turn) < 1e-9) return { radius: next.r, height: next.z };
    const t = ((next.r - last.r) * next.dz - (next.z - last.z) * next.dr) / turn;
    return { radius: last.r + last.dr * t, height: last.z + last.dz * t };
  });
  const first = moved[0]!;
  const top = moved[moved.length - 1]!;
  const rest = top.dz === 0 ? 0 : (rim - top.z) / top.dz;
  // A bottom that comes to a point is moved along the axis, not off it.
  const pointed = points[0]![0] === 0 && first.dr > 0;
  const start = pointed ? [{ radius: 0, height: first.z - (first.r * first.dz) / first.dr }] : [];
  return [...start, ...joints, { radius: top.r + top.dr * rest, height: rim }];
}

/** The profile from its own bottom, without what a move has folded over. */
function profileOf(points: readonly ProfileRadius[]): Revolution {
  const rising = points.reduce<ProfileRadius[]>((kept, point) => {
    const last = kept[kept.length - 1];
    if (point.radius < 0 || (last && point.height < last.height)) return kept;
    return [...kept, point];
  }, []);
  const bottom = rising[0]?.height ?? 0;
  return {
    kind: 'revolution',
    smooth: false,
    points: rising.map(({ radius, height }) => ({ radius, height: height - bottom })),
  };
}

/** A size at the bottom and one at the top, both faces and the bottom moved: the run goes on in its slope. */
function moveTaper(bottom: number, top: number, height: number, by: number): [bottom: number, top: number] {
  const run = (top - bottom) / 2 / height;
  const out = 2 * by * slopeFactor(run);
  return [bottom + out - 2 * by * run, top + out];
}

/**
 * The solid whose faces are moved square to themselves by `by` mm, all but the open one: outwards above 0, inwards below.
 * It stands on the same rim; its bottom lies `by` lower. Undefined where nothing is left, or where it cannot be told.
 */
export function moveFaces(solid: Solid, by: number): Solid | undefined {
  switch (solid.kind) {
    case 'round-frustum': {
      const [bottomDiameter, topDiameter] = moveTaper(solid.bottomDiameter, solid.topDiameter, solid.height, by);
      return { ...solid, bottomDiameter, topDiameter, height: solid.height + by };
    }
    case 'rect-frustum': {
      const [bottomLength, topLength] = moveTaper(solid.bottomLength, solid.topLength, solid.height, by);
      const [bottomWidth, topWidth] = moveTaper(solid.bottomWidth, solid.topWidth, solid.height, by);
      const cornerRadius = solid.cornerRadius > 0 ? Math.max(0, solid.cornerRadius + by) : 0;
      return { ...solid, bottomLength, topLength, bottomWidth, topWidth, cornerRadius, height: solid.height + by };
    }
    case 'polygon-frustum': {
      const [bottomAcross, topAcross] = moveTaper(solid.bottomAcross, solid.topAcross, solid.height, by);
      return { ...solid, bottomAcross, topAcross, height: solid.height + by };
    }
    case 'cap': {
      const radius = sphereRadius(solid);
      const rim = (radius + by) ** 2 - (radius - solid.depth) ** 2;
      return rim > 0 ? { ...solid, depth: solid.depth + by, rimDiameter: 2 * Math.sqrt(rim) } : undefined;
    }
    case 'half-ellipsoid':
    case 'revolution':
      return profileOf(moveMeridian(meridianOf(solid), by));
    case 'prism': {
      const run = Math.tan((solid.draft / 180) * Math.PI);
      const outline = moveOutline(solid.outline, by * slopeFactor(run));
      return outline && { ...solid, outline, depth: solid.depth + by };
    }
    case 'ring':
      return {
        ...solid,
        innerDiameter: solid.innerDiameter - 2 * by,
        width: solid.width + 2 * by,
        depth: solid.depth + by,
      };
    case 'arc': {
      const angle = solid.angle === 360 ? 360 : solid.angle + ((2 * by) / solid.radius / Math.PI) * 180;
      return { ...solid, angle, width: solid.width + 2 * by, depth: solid.depth + by };
    }
    case 'spiral': {
      // The centreline runs on by `by` at each end, the pitch kept.
      const turn = 2 * Math.PI * solid.startRadius;
      const ahead = by / turn;
      const behind = by / (turn + 2 * Math.PI * solid.pitch * solid.turns);
      return {
        ...solid,
        startRadius: solid.startRadius - solid.pitch * ahead,
        turns: solid.turns + ahead + behind,
        width: solid.width + 2 * by,
        depth: solid.depth + by,
      };
    }
    case 'polyhedron':
      return { ...solid, grown: (solid.grown ?? 0) + by };
    case 'lying-pipe':
    case 'leaf':
    case 'mesh':
    case 'known-volume':
      return undefined;
  }
}

/** Moves the sides of a form and leaves its end where it is. */
function moveSides(solid: Solid, by: number): Solid | undefined {
  const moved = moveFaces(solid, by);
  if (!moved || moved.kind === 'cap' || moved.kind === 'polyhedron') return undefined;
  if (moved.kind === 'round-frustum' && solid.kind === 'round-frustum')
    return {
      ...moved,
      height: solid.height,
      bottomDiameter: moved.bottomDiameter + taper(solid.bottomDiameter, solid.topDiameter, solid.height, by),
    };
  if (moved.kind === 'rect-frustum' && solid.kind === 'rect-frustum')
    return {
      ...moved,
      height: solid.height,
      bottomLength: moved.bottomLength + taper(solid.bottomLength, solid.topLength, solid.height, by),
      bottomWidth: moved.bottomWidth + taper(solid.bottomWidth, solid.topWidth, solid.height, by),
    };
  if (moved.kind === 'polygon-frustum' && solid.kind === 'polygon-frustum')
    return {
      ...moved,
      height: solid.height,
      bottomAcross: moved.bottomAcross + taper(solid.bottomAcross, solid.topAcross, solid.height, by),
    };
  if (moved.kind === 'revolution') {
    const above = moved.points
      .map(({ radius, height }) => ({ radius, height: height - by }))
      .filter(({ height }) => height > 0);
    const radius = turnedProfile(moved)(by);
    return { ...moved, points: [{ radius, height: 0 }, ...above] };
  }
  return 'depth' in moved && 'depth' in solid ? ({ ...moved, depth: solid.depth } as Solid) : undefined;
}

const taper = (bottom: number, top: number, height: number, by: number) => ((top - bottom) / height) * by;

/** A pressed shell as a cavity: the solid outside, the solid inside and how high its bottom stands above the outer's, mm. */
export interface PressedShell {
  readonly outer: Solid;
  readonly inner: Solid;
  readonly bottom: number;
}

/**
 * The cavity that a pressed shell fills: V(grown or shrunk) − V(form), edges sharp, nothing on the open face.
 * @throws InputError naming `pressed.thickness` where the form leaves no room or cannot be moved square to itself.
 */
export function pressedShell(form: Solid, { side, thickness }: Shell): PressedShell {
  const check = new Checker();
  check.number('pressed.thickness', thickness, msg('solids.shellThickness'), { above: 0, max: 300, unit: 'mm' });
  check.done();
  const moved =
    side === 'against' ? moveSides(form, thickness) : moveFaces(form, side === 'over' ? thickness : -thickness);
  if (!moved || !leavesRoom(moved)) {
    check.add(
      'pressed.thickness',
      thickness,
      moved ? msg('solids.noRoomForShell', { thickness: exactly(thickness, 'mm') }) : msg('solids.noPressedShell'),
      moved ? msg('solids.pressThinner') : msg('solids.describeForm'),
    );
    check.done();
  }
  const [outer, inner] = side === 'inside' ? [form, moved!] : [moved!, form];
  return { outer, inner, bottom: Math.max(0, bodyOf(outer).height - bodyOf(inner).height) };
}

/** Whether every size of a solid that was moved is still above nothing. */
function leavesRoom(solid: Solid): boolean {
  if (solid.kind === 'revolution') return solid.points.length >= 2;
  if (solid.kind === 'polyhedron') return Number.isFinite(bodyOf(solid).height) && bodyOf(solid).height > 0;
  const outline: readonly PlanPoint[] | undefined = solid.kind === 'prism' ? solid.outline : undefined;
  if (outline && outline.length < 3) return false;
  return Object.entries(solid).every(
    ([key, value]) => typeof value !== 'number' || value > 0 || key === 'draft' || key === 'cornerRadius',
  );
}
