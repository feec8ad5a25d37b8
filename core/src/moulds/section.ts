import { radiusAt } from './solid.js';
import { profileRadius } from './turned-profile.js';
import type { Cap, PolygonFrustum, RectFrustum, UprightSolid } from './measured-solid.js';

/** A level cross-section: area in mm², perimeter in mm. */
export interface Section {
  readonly area: number;
  readonly perimeter: number;
}

const NOTHING: Section = { area: 0, perimeter: 0 };

/** Height of an upright solid, mm. */
export function heightOf(solid: UprightSolid): number {
  if (solid.kind === 'cap' || solid.kind === 'half-ellipsoid') return solid.depth;
  if (solid.kind === 'revolution') return solid.points[solid.points.length - 1]?.height ?? 0;
  return solid.height;
}

const circle = (r: number): Section => ({ area: Math.PI * r * r, perimeter: 2 * Math.PI * r });

function rectangle(solid: RectFrustum, share: number): Section {
  const length = solid.bottomLength + (solid.topLength - solid.bottomLength) * share;
  const width = solid.bottomWidth + (solid.topWidth - solid.bottomWidth) * share;
  const r = solid.cornerRadius;
  return { area: length * width - (4 - Math.PI) * r * r, perimeter: 2 * (length + width) - (8 - 2 * Math.PI) * r };
}

function polygon({ sides, bottomAcross, topAcross }: PolygonFrustum, share: number): Section {
  const inner = (bottomAcross + (topAcross - bottomAcross) * share) / 2;
  const side = 2 * inner * Math.tan(Math.PI / sides);
  return { area: (sides * side * inner) / 2, perimeter: sides * side };
}

/** Radius of the sphere that a cap is cut from, mm: (a² + h²)/(2h). */
export function sphereRadius({ rimDiameter, depth }: Cap): number {
  const a = rimDiameter / 2;
  return (a * a + depth * depth) / (2 * depth);
}

/** Cross-section at height `z` above the solid's own bottom, mm; nothing outside of it. */
export function sectionAt(solid: UprightSolid, z: number): Section {
  const height = heightOf(solid);
  if (z < 0 || z > height) return NOTHING;
  switch (solid.kind) {
    case 'round-frustum':
      return circle(radiusAt(solid, z));
    case 'rect-frustum':
      return rectangle(solid, z / height);
    case 'polygon-frustum':
      return polygon(solid, z / height);
    case 'cap':
      return circle(Math.sqrt(Math.max(0, z * (2 * sphereRadius(solid) - z))));
    case 'half-ellipsoid':
      return circle((solid.rimDiameter / 2) * Math.sqrt(Math.max(0, 1 - (1 - z / height) ** 2)));
    case 'revolution':
      return circle(profileRadius(solid, z));
  }
}
