import type { RoundFrustum } from './solid.js';

/** A box that may widen: length and width at bottom and top, height, radius of its upright corners, mm. */
export interface RectFrustum {
  readonly kind: 'rect-frustum';
  readonly bottomLength: number;
  readonly bottomWidth: number;
  readonly topLength: number;
  readonly topWidth: number;
  readonly height: number;
  readonly cornerRadius: number;
}

/** A regular polygon that may widen: across flats at bottom and top, mm; of an odd number of sides twice the inner radius. */
export interface PolygonFrustum {
  readonly kind: 'polygon-frustum';
  readonly sides: number;
  readonly bottomAcross: number;
  readonly topAcross: number;
  readonly height: number;
}

/** A bowl cut from a sphere, its lowest point at the bottom: rim diameter and depth, mm. */
export interface Cap {
  readonly kind: 'cap';
  readonly rimDiameter: number;
  readonly depth: number;
}

/** A bowl that is half an ellipsoid, its rim at the equator: rim diameter and depth, mm. */
export interface HalfEllipsoid {
  readonly kind: 'half-ellipsoid';
  readonly rimDiameter: number;
  readonly depth: number;
}

export interface ProfileRadius {
  readonly height: number;
  readonly radius: number;
}

/** What a turned profile makes: radii at rising heights, mm; straight or smooth between them. Equal heights make a step. */
export interface Revolution {
  readonly kind: 'revolution';
  readonly points: readonly ProfileRadius[];
  readonly smooth: boolean;
}

/** A strip on edge bent to a closed ring, filled between: inner diameter, width and depth of the concrete, mm. */
export interface Ring {
  readonly kind: 'ring';
  readonly innerDiameter: number;
  readonly width: number;
  readonly depth: number;
}

/** Part of a ring: radius of its centreline, angle in degrees, width and depth, mm. */
export interface Arc {
  readonly kind: 'arc';
  readonly radius: number;
  readonly angle: number;
  readonly width: number;
  readonly depth: number;
}

/** An even spiral: radius at its start, pitch and turns of its centreline, width and depth, mm. */
export interface Spiral {
  readonly kind: 'spiral';
  readonly startRadius: number;
  readonly pitch: number;
  readonly turns: number;
  readonly width: number;
  readonly depth: number;
}

export type PolyhedronName =
  'tetrahedron' | 'cube' | 'octahedron' | 'cuboctahedron' | 'rhombicuboctahedron' | 'icosahedron' | 'dodecahedron';

/** A solid made of equal edges, one face left open: its edge inside, mm. */
export interface Polyhedron {
  readonly kind: 'polyhedron';
  readonly which: PolyhedronName;
  readonly edge: number;
}

/** A leaf over a mound of sand: its outline's area traced flat (mm²), thickness in the middle and at the edge, mm. */
export interface Leaf {
  readonly kind: 'leaf';
  readonly area: number;
  readonly middle: number;
  readonly edge: number;
}

/** Solids with a level cross-section at each height above their bottom. */
export type UprightSolid = RoundFrustum | RectFrustum | PolygonFrustum | Cap | HalfEllipsoid | Revolution;

/** Every solid whose volume is reckoned from what a tape measures. */
export type MeasuredSolid = UprightSolid | Ring | Arc | Spiral | Polyhedron | Leaf;
