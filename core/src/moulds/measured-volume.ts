import { computed, figure, line, type Figure, type WorkingLine } from '../units/index.js';
import { integrate } from './quadrature.js';
import { solidVolume } from './solid.js';
import { checkMeasured } from './check-measured.js';
import { runsOf, turnedProfile } from './turned-profile.js';
import { sectionAt, sphereRadius } from './section.js';
import type { MeasuredSolid, PolyhedronName, Revolution, Spiral } from './measured-solid.js';

const ML = 1e-3;

/** Volume of a solid of edge 1. */
const ofEdgeOne: Record<PolyhedronName, number> = {
  tetrahedron: Math.SQRT2 / 12,
  cube: 1,
  octahedron: Math.SQRT2 / 3,
  cuboctahedron: (5 * Math.SQRT2) / 3,
  rhombicuboctahedron: (12 + 10 * Math.SQRT2) / 3,
  icosahedron: (5 * (3 + Math.sqrt(5))) / 12,
  dodecahedron: (15 + 7 * Math.sqrt(5)) / 4,
};

/** Length of a spiral's centreline, mm: r = r₀ + bθ with b = pitch/2π, L = ∫√(r² + b²)dθ. */
export function spiralLength({ startRadius, pitch, turns }: Spiral): number {
  const b = pitch / (2 * Math.PI);
  const part = (u: number) => u * Math.hypot(1, u) + Math.asinh(u);
  const end = startRadius + pitch * turns;
  return (b / 2) * (part(end / b) - part(startRadius / b));
}

function revolutionVolume(solid: Revolution): number {
  const radius = turnedProfile(solid);
  const area = (z: number) => Math.PI * radius(z) ** 2;
  return runsOf(solid).reduce((sum, run) => {
    const ends = run.map(({ height }) => height);
    // A hair inside each end, so that a step is seen from its own side.
    const inset = (ends[ends.length - 1]! - ends[0]!) * 1e-12;
    return ends.slice(1).reduce((total, high, i) => total + integrate(area, ends[i]! + inset, high - inset), sum);
  }, 0);
}

interface Reckoned {
  readonly volume: number;
  readonly how: string;
  readonly steps?: readonly WorkingLine[];
}

function stripOf(length: number, width: number, depth: number): Reckoned {
  return {
    volume: length * width * depth,
    how: 'centreline × width × depth',
    steps: [line('Centreline', length, 'mm')],
  };
}

function reckon(solid: MeasuredSolid): Reckoned {
  switch (solid.kind) {
    case 'round-frustum':
      return { volume: solidVolume(solid) / ML, how: 'π·h/3·(R² + R·r + r²)' };
    case 'rect-frustum': {
      const at = (share: number) => sectionAt(solid, solid.height * share).area;
      return { volume: (solid.height / 6) * (at(0) + 4 * at(0.5) + at(1)), how: 'h/6·(A₀ + 4·Aₘ + A₁)' };
    }
    case 'polygon-frustum': {
      const [low, high] = [sectionAt(solid, 0).area, sectionAt(solid, solid.height).area];
      return { volume: (solid.height / 3) * (low + high + Math.sqrt(low * high)), how: 'h/3·(A₀ + A₁ + √(A₀·A₁))' };
    }
    case 'cap': {
      const radius = sphereRadius(solid);
      const volume = ((Math.PI * solid.depth ** 2) / 3) * (3 * radius - solid.depth);
      return { volume, how: 'π·h²/3·(3R − h)', steps: [line('Radius of its sphere', radius, 'mm')] };
    }
    case 'half-ellipsoid':
      return { volume: (2 / 3) * Math.PI * (solid.rimDiameter / 2) ** 2 * solid.depth, how: '⅔·π·a²·h' };
    case 'revolution':
      return { volume: revolutionVolume(solid), how: '∫π·r² dz over its profile' };
    case 'ring':
      return stripOf(Math.PI * (solid.innerDiameter + solid.width), solid.width, solid.depth);
    case 'arc':
      return stripOf(solid.radius * (solid.angle / 180) * Math.PI, solid.width, solid.depth);
    case 'spiral':
      return stripOf(spiralLength(solid), solid.width, solid.depth);
    case 'polyhedron':
      return { volume: ofEdgeOne[solid.which] * solid.edge ** 3, how: `${ofEdgeOne[solid.which].toFixed(4)} · edge³` };
    case 'leaf':
      return { volume: (solid.area * (solid.middle + solid.edge)) / 2, how: 'area × (middle + edge)/2' };
  }
}

/** Volume of a measured solid, mL, by its closed form where it has one. @throws InputError */
export function measuredVolume(solid: MeasuredSolid): Figure {
  checkMeasured(solid);
  const { volume, how, steps = [] } = reckon(solid);
  const held = volume * ML;
  return figure(held, 'mL', computed, [...steps, line('It holds', held, 'mL', how)]);
}
