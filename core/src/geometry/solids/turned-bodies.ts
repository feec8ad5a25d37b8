import { line, msg } from '../../foundation/units/index.js';
import { slopeFactor, type Body } from './body.js';
import { integrate } from './quadrature.js';
import { circleRegion } from './region.js';
import type { Cap, HalfEllipsoid, Revolution } from './solid.js';
import { runsOf, turnedProfile } from './turned-profile.js';

/** Radius of the sphere that a cap is cut from, mm: (a² + h²)/(2h). */
export function sphereRadius({ rimDiameter, depth }: Cap): number {
  const a = rimDiameter / 2;
  return (a * a + depth * depth) / (2 * depth);
}

export function capBody(solid: Cap): Body {
  const { depth } = solid;
  const radius = sphereRadius(solid);
  return {
    height: depth,
    breaks: radius < depth ? [radius] : [],
    regionAt: (z) => circleRegion(Math.sqrt(Math.max(0, z * (2 * radius - z)))),
    surfaceAt: () => 2 * Math.PI * radius,
    whole: {
      volume: ((Math.PI * depth ** 2) / 3) * (3 * radius - depth),
      how: 'π·h²/3·(3R − h)',
      steps: [line(msg('solids.sphereRadius'), radius, 'mm')],
    },
  };
}

export function ellipsoidBody({ rimDiameter, depth }: HalfEllipsoid): Body {
  const a = rimDiameter / 2;
  return {
    height: depth,
    breaks: [],
    regionAt: (z) => circleRegion(a * Math.sqrt(Math.max(0, 1 - (1 - z / depth) ** 2))),
    surfaceAt: (z) => {
      const u = 1 - z / depth;
      return 2 * Math.PI * a * Math.sqrt(1 - u * u + ((a * u) / depth) ** 2);
    },
    whole: { volume: (2 / 3) * Math.PI * a * a * depth, how: '⅔·π·a²·h' },
  };
}

export function revolutionBody(solid: Revolution): Body {
  const radius = turnedProfile(solid);
  const runs = runsOf(solid);
  const height = solid.points[solid.points.length - 1]!.height;
  const step = height * 1e-6;
  const area = (z: number) => Math.PI * radius(z) ** 2;
  const volume = runs.reduce((sum, run) => {
    const ends = run.map((point) => point.height);
    // A hair inside each end, so that a step is seen from its own side.
    const inset = (ends[ends.length - 1]! - ends[0]!) * 1e-12;
    return ends.slice(1).reduce((total, high, i) => total + integrate(area, ends[i]! + inset, high - inset), sum);
  }, 0);
  const slopeAt = (z: number) => {
    const run = runs.find((one) => z >= one[0]!.height && z <= one[one.length - 1]!.height);
    if (!run) return 0;
    const low = Math.max(run[0]!.height, z - step);
    // Short of the next step, where the radius of the run above would be seen.
    const high = Math.min(run[run.length - 1]!.height - step * 1e-3, z + step);
    return (radius(high) - radius(low)) / (high - low);
  };
  return {
    height,
    breaks: [...new Set(solid.points.map((point) => point.height))].filter((z) => z > 0 && z < height),
    regionAt: (z) => circleRegion(radius(z)),
    surfaceAt: (z) => 2 * Math.PI * radius(z) * slopeFactor(slopeAt(z)),
    whole: { volume, how: msg('solids.profileIntegral') },
  };
}
