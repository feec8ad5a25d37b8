/** A round frustum: cylinder or cone. Sizes in mm, taken inside the mould or outside the core. */
export interface RoundFrustum {
  readonly kind: 'round-frustum';
  readonly bottomDiameter: number;
  readonly topDiameter: number;
  readonly height: number;
}

/** A box that may widen: length (along x) and width at bottom and top, height, radius of its upright corners, mm. */
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

/** A point of a plan, mm, seen from above. */
export type PlanPoint = readonly [x: number, y: number];

/** A closed outline of the open face, drawn in downwards by the draft (degrees), its corners mitred; depth in mm. */
export interface Prism {
  readonly kind: 'prism';
  readonly outline: readonly PlanPoint[];
  readonly depth: number;
  readonly draft: number;
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

export const faceNames = ['triangle', 'square', 'pentagon'] as const;
export type FaceName = (typeof faceNames)[number];

/**
 * A solid made of equal edges, one face left open and level at the top: its edge inside, mm.
 * `grown` moves every face but the open one outwards (inwards below 0), mm: what a pressed shell does.
 */
export interface Polyhedron {
  readonly kind: 'polyhedron';
  readonly which: PolyhedronName;
  readonly edge: number;
  readonly open: FaceName;
  readonly grown?: number;
}

/** A pipe that lies level, its run along x, mm. */
export interface LyingPipe {
  readonly kind: 'lying-pipe';
  readonly diameter: number;
  readonly run: number;
}

/** A leaf over a mound of sand: its outline's area traced flat (mm²), thickness in the middle and at the edge, rise of the mound, mm. */
export interface Leaf {
  readonly kind: 'leaf';
  readonly area: number;
  readonly middle: number;
  readonly edge: number;
  readonly rise?: number;
  /** Outline traced flat; a round of the same area stands in for it where there is none. */
  readonly outline?: readonly PlanPoint[];
}

/** What was read from a mesh file: its volume to even heights from 0 to the whole (mL), its outlines at heights (mm). */
export interface MeshSolid {
  readonly kind: 'mesh';
  readonly height: number;
  /** Side faces, mm². */
  readonly side: number;
  readonly curve: readonly number[];
  readonly slices: readonly { readonly z: number; readonly loops: readonly (readonly PlanPoint[])[] }[];
}

/** A mould that is known only by what it took and by its size from outside: volume in mL, sizes of what it casts in mm. */
export interface KnownVolume {
  readonly kind: 'known-volume';
  readonly volume: number;
  readonly length: number;
  readonly width: number;
  readonly height: number;
}

/** Solids that are turned about their axis. */
type TurnedSolid = RoundFrustum | Cap | HalfEllipsoid | Revolution;

/** Every solid that a mould is made of, as outer, core or insert. */
export type Solid =
  | TurnedSolid
  | RectFrustum
  | PolygonFrustum
  | Prism
  | Ring
  | Arc
  | Spiral
  | Polyhedron
  | LyingPipe
  | Leaf
  | MeshSolid
  | KnownVolume;

/** Largest size that is taken for a home mould, mm. */
export const LARGEST_SIZE = 3000;
