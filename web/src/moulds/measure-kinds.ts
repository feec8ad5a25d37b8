import type { MeasuredSolid, PolyhedronName } from '@dewpot/core';

/** A number that one measures or counts on a solid. Lengths take any unit; the others are plain numbers. */
export interface Asked {
  readonly field: string;
  readonly label: string;
  readonly as: 'length' | 'number';
}

/** A way to make something, as it looks in the caster's hands. */
export interface MeasureKind {
  readonly name: string;
  /** Where to hold the tape. */
  readonly hint: string;
  /** Sizes to begin with. */
  readonly first: MeasuredSolid;
  readonly asked: readonly Asked[];
}

const length = (field: string, label: string): Asked => ({ field, label, as: 'length' });
const number = (field: string, label: string): Asked => ({ field, label, as: 'number' });
const inside = 'Measure inside the mould.';

export const measureKinds: readonly MeasureKind[] = [
  {
    name: 'A pail, a tub or a pipe',
    hint: inside,
    first: { kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 },
    asked: [
      length('topDiameter', 'Across at the rim'),
      length('bottomDiameter', 'Across at the bottom'),
      length('height', 'Height'),
    ],
  },
  {
    name: 'A box or a tray',
    hint: inside,
    first: {
      kind: 'rect-frustum',
      bottomLength: 400,
      bottomWidth: 200,
      topLength: 420,
      topWidth: 220,
      height: 180,
      cornerRadius: 12,
    },
    asked: [
      length('topLength', 'Length at the top'),
      length('topWidth', 'Width at the top'),
      length('bottomLength', 'Length at the bottom'),
      length('bottomWidth', 'Width at the bottom'),
      length('height', 'Height'),
      length('cornerRadius', 'Radius of its corners'),
    ],
  },
  {
    name: 'A six- or eight-sided pot',
    hint: 'Across the flats; with an odd number of sides, twice from the middle to a side.',
    first: { kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 },
    asked: [
      number('sides', 'Sides'),
      length('topAcross', 'Across flats at the top'),
      length('bottomAcross', 'Across flats at the bottom'),
      length('height', 'Height'),
    ],
  },
  {
    name: 'A shallow round bowl',
    hint: 'As if cut from a ball.',
    first: { kind: 'cap', rimDiameter: 330, depth: 90 },
    asked: [length('rimDiameter', 'Across at the rim'), length('depth', 'Depth in the middle')],
  },
  {
    name: 'A deep bowl, upright at its rim',
    hint: 'As if half of an egg.',
    first: { kind: 'half-ellipsoid', rimDiameter: 240, depth: 150 },
    asked: [length('rimDiameter', 'Across at the rim'), length('depth', 'Depth in the middle')],
  },
  {
    name: 'Strips in a ring',
    hint: 'Two rings of strip on a board, filled between.',
    first: { kind: 'ring', innerDiameter: 260, width: 45, depth: 40 },
    asked: [
      length('innerDiameter', 'Across the inner strip'),
      length('width', 'Between the strips'),
      length('depth', 'Depth'),
    ],
  },
  {
    name: 'Strips in a bow',
    hint: 'The radius goes to the middle between the strips.',
    first: { kind: 'arc', radius: 400, angle: 60, width: 90, depth: 60 },
    asked: [
      length('radius', 'Radius of the bend'),
      number('angle', 'Degrees of a turn'),
      length('width', 'Between the strips'),
      length('depth', 'Depth'),
    ],
  },
  {
    name: 'A strip in a spiral',
    hint: 'The pitch goes from middle to middle of neighbouring turns.',
    first: { kind: 'spiral', startRadius: 30, pitch: 60, turns: 3, width: 35, depth: 25 },
    asked: [
      length('startRadius', 'Radius at its start'),
      length('pitch', 'Pitch'),
      number('turns', 'Turns'),
      length('width', 'Between the strips'),
      length('depth', 'Depth'),
    ],
  },
  {
    name: 'A solid of equal faces',
    hint: 'One edge, inside.',
    first: { kind: 'polyhedron', which: 'dodecahedron', edge: 70 },
    asked: [length('edge', 'One edge')],
  },
  {
    name: 'A big leaf over sand',
    hint: 'Trace it flat on squared paper and count the square centimetres.',
    first: { kind: 'leaf', area: 90000, middle: 20, edge: 12 },
    asked: [
      number('area', 'Area of its outline, cm²'),
      length('middle', 'Thickness in the middle'),
      length('edge', 'Thickness at the edge'),
    ],
  },
];

/** Square millimetres in a square centimetre: a leaf's area is counted in these. */
export const CM2 = 100;

export const polyhedronWords: readonly { readonly value: PolyhedronName; readonly label: string }[] = [
  { value: 'tetrahedron', label: '4 triangles' },
  { value: 'cube', label: '6 squares' },
  { value: 'octahedron', label: '8 triangles' },
  { value: 'dodecahedron', label: '12 pentagons' },
  { value: 'cuboctahedron', label: '8 triangles and 6 squares' },
  { value: 'icosahedron', label: '20 triangles' },
  { value: 'rhombicuboctahedron', label: '8 triangles and 18 squares' },
];
