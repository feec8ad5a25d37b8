import type { FaceName, PolyhedronName, Solid } from '@dewpot/core/solids';

/** A number that one measures or counts on a solid. Lengths take any unit; the others are plain numbers. */
export interface AskedField {
  readonly field: string;
  /** As it follows its owner: “Inside …”, “Core’s …”. */
  readonly label: string;
  readonly as: 'length' | 'number' | 'volume';
  /** For a plain number shown in another unit than the core’s: how many of the core’s make one. */
  readonly per?: number;
}

const length = (field: string, label: string): AskedField => ({ field, label, as: 'length' });
const number = (field: string, label: string, per?: number): AskedField => ({
  field,
  label,
  as: 'number',
  ...(per && { per }),
});

/** Square millimetres in a square centimetre: a leaf's area is counted in these. */
const CM2 = 100;

const tapered = [length('height', 'height')];

/** What one measures with a tape, by kind of solid. */
const askedByKind: Record<Solid['kind'], readonly AskedField[]> = {
  'round-frustum': [
    length('topDiameter', 'diameter at the rim'),
    length('bottomDiameter', 'diameter at the bottom'),
    ...tapered,
  ],
  'rect-frustum': [
    length('topLength', 'length at the rim'),
    length('topWidth', 'width at the rim'),
    length('bottomLength', 'length at the bottom'),
    length('bottomWidth', 'width at the bottom'),
    ...tapered,
    length('cornerRadius', 'corner radius'),
  ],
  'polygon-frustum': [
    number('sides', 'number of sides'),
    length('topAcross', 'width across flats at the rim'),
    length('bottomAcross', 'width across flats at the bottom'),
    ...tapered,
  ],
  cap: [length('rimDiameter', 'diameter at the rim'), length('depth', 'depth in the middle')],
  'half-ellipsoid': [length('rimDiameter', 'diameter at the rim'), length('depth', 'depth in the middle')],
  revolution: [],
  prism: [length('depth', 'depth'), number('draft', 'draft, degrees')],
  ring: [
    length('innerDiameter', 'diameter of the inner strip'),
    length('width', 'width between the strips'),
    length('depth', 'depth'),
  ],
  arc: [
    length('radius', 'radius of the bend'),
    number('angle', 'bend, degrees of a turn'),
    length('width', 'width between the strips'),
    length('depth', 'depth'),
  ],
  spiral: [
    length('startRadius', 'radius at its start'),
    length('pitch', 'pitch'),
    number('turns', 'turns'),
    length('width', 'width between the strips'),
    length('depth', 'depth'),
  ],
  polyhedron: [length('edge', 'edge')],
  'lying-pipe': [length('diameter', 'diameter'), length('run', 'run')],
  leaf: [
    number('area', 'area of its outline, cm²', CM2),
    length('middle', 'thickness in the middle'),
    length('edge', 'thickness at the edge'),
    length('rise', 'rise of the sand mound'),
  ],
  mesh: [],
  'known-volume': [
    { field: 'volume', label: 'volume that it took', as: 'volume' },
    length('length', 'length'),
    length('width', 'width'),
    length('height', 'height'),
  ],
};

export const fieldsAskedOf = ({ kind }: Solid): readonly AskedField[] => askedByKind[kind];

/** Kinds in words, as they look in the hands. */
export const solidKindWords: Record<Solid['kind'], string> = {
  'round-frustum': 'Round: a pail, a tub, a pipe',
  'rect-frustum': 'A box or a tray',
  'polygon-frustum': 'Six- or eight-sided',
  cap: 'A shallow round bowl',
  'half-ellipsoid': 'A deep bowl, upright at its rim',
  revolution: 'Turned: radii at heights',
  prism: 'An outline, straight down or drafted',
  ring: 'Strips in a ring',
  arc: 'Strips in a bow',
  spiral: 'A strip in a spiral',
  polyhedron: 'A solid of equal faces',
  'lying-pipe': 'A pipe that lies level',
  leaf: 'A big leaf over sand',
  mesh: 'Read from a file',
  'known-volume': 'Measured by filling',
};

export const polyhedronWords: readonly { readonly value: PolyhedronName; readonly label: string }[] = [
  { value: 'tetrahedron', label: '4 triangles' },
  { value: 'cube', label: '6 squares' },
  { value: 'octahedron', label: '8 triangles' },
  { value: 'dodecahedron', label: '12 pentagons' },
  { value: 'cuboctahedron', label: '8 triangles and 6 squares' },
  { value: 'icosahedron', label: '20 triangles' },
  { value: 'rhombicuboctahedron', label: '8 triangles and 18 squares' },
];

export const faceWords: Record<FaceName, string> = {
  triangle: 'A triangle',
  square: 'A square',
  pentagon: 'A pentagon',
};
