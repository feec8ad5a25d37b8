import { msg, type Message } from '@dewpot/core/units';
import type { FaceName, PolyhedronName, Solid } from '@dewpot/core/solids';

/** A number that one measures or counts on a solid. Lengths take any unit; the others are plain numbers. */
export interface AskedField {
  readonly field: string;
  /** As it follows its owner: “Inside …”, “Core’s …”. */
  readonly label: Message;
  readonly as: 'length' | 'number' | 'volume';
  /** For a plain number shown in another unit than the core’s: how many of the core’s make one. */
  readonly per?: number;
}

const length = (field: string, label: Message): AskedField => ({ field, label, as: 'length' });
const number = (field: string, label: Message, per?: number): AskedField => ({
  field,
  label,
  as: 'number',
  ...(per && { per }),
});

/** Square millimetres in a square centimetre: a leaf's area is counted in these. */
const CM2 = 100;

const tapered = [length('height', msg('moulds.fieldHeight'))];

/** What one measures with a tape, by kind of solid. */
const askedByKind: Record<Solid['kind'], readonly AskedField[]> = {
  'round-frustum': [
    length('topDiameter', msg('moulds.fieldDiameterRim')),
    length('bottomDiameter', msg('moulds.fieldDiameterBottom')),
    ...tapered,
  ],
  'rect-frustum': [
    length('topLength', msg('moulds.fieldLengthRim')),
    length('topWidth', msg('moulds.fieldWidthRim')),
    length('bottomLength', msg('moulds.fieldLengthBottom')),
    length('bottomWidth', msg('moulds.fieldWidthBottom')),
    ...tapered,
    length('cornerRadius', msg('moulds.fieldCornerRadius')),
  ],
  'polygon-frustum': [
    number('sides', msg('moulds.fieldSides')),
    length('topAcross', msg('moulds.fieldAcrossRim')),
    length('bottomAcross', msg('moulds.fieldAcrossBottom')),
    ...tapered,
  ],
  cap: [length('rimDiameter', msg('moulds.fieldDiameterRim')), length('depth', msg('moulds.fieldDepthMiddle'))],
  'half-ellipsoid': [
    length('rimDiameter', msg('moulds.fieldDiameterRim')),
    length('depth', msg('moulds.fieldDepthMiddle')),
  ],
  revolution: [],
  prism: [length('depth', msg('moulds.fieldDepth')), number('draft', msg('moulds.fieldDraft'))],
  ring: [
    length('innerDiameter', msg('moulds.fieldInnerStrip')),
    length('width', msg('moulds.fieldBetweenStrips')),
    length('depth', msg('moulds.fieldDepth')),
  ],
  arc: [
    length('radius', msg('moulds.fieldBendRadius')),
    number('angle', msg('moulds.fieldBend')),
    length('width', msg('moulds.fieldBetweenStrips')),
    length('depth', msg('moulds.fieldDepth')),
  ],
  spiral: [
    length('startRadius', msg('moulds.fieldStartRadius')),
    length('pitch', msg('moulds.fieldPitch')),
    number('turns', msg('moulds.fieldTurns')),
    length('width', msg('moulds.fieldBetweenStrips')),
    length('depth', msg('moulds.fieldDepth')),
  ],
  polyhedron: [length('edge', msg('moulds.fieldEdge'))],
  'lying-pipe': [length('diameter', msg('moulds.fieldDiameter')), length('run', msg('moulds.fieldRun'))],
  leaf: [
    number('area', msg('moulds.fieldLeafArea'), CM2),
    length('middle', msg('moulds.fieldThickMiddle')),
    length('edge', msg('moulds.fieldThickEdge')),
    length('rise', msg('moulds.fieldMoundRise')),
  ],
  mesh: [],
  'known-volume': [
    { field: 'volume', label: msg('moulds.fieldVolumeTook'), as: 'volume' },
    length('length', msg('moulds.fieldLength')),
    length('width', msg('moulds.fieldWidth')),
    length('height', msg('moulds.fieldHeight')),
  ],
};

export const fieldsAskedOf = ({ kind }: Solid): readonly AskedField[] => askedByKind[kind];

/** Kinds in words, as they look in the hands. */
export const solidKindWords: Record<Solid['kind'], Message> = {
  'round-frustum': msg('moulds.kindRound'),
  'rect-frustum': msg('moulds.kindBox'),
  'polygon-frustum': msg('moulds.kindSided'),
  cap: msg('moulds.kindCap'),
  'half-ellipsoid': msg('moulds.kindBowl'),
  revolution: msg('moulds.kindTurned'),
  prism: msg('moulds.kindOutline'),
  ring: msg('moulds.kindRing'),
  arc: msg('moulds.stripsBow'),
  spiral: msg('moulds.stripSpiral'),
  polyhedron: msg('moulds.equalFaces'),
  'lying-pipe': msg('moulds.kindLyingPipe'),
  leaf: msg('moulds.kindLeaf'),
  mesh: msg('moulds.kindFile'),
  'known-volume': msg('moulds.kindFilled'),
};

export const polyhedronWords: readonly { readonly value: PolyhedronName; readonly label: Message }[] = [
  { value: 'tetrahedron', label: msg('moulds.faces4') },
  { value: 'cube', label: msg('moulds.faces6') },
  { value: 'octahedron', label: msg('moulds.faces8') },
  { value: 'dodecahedron', label: msg('moulds.faces12') },
  { value: 'cuboctahedron', label: msg('moulds.faces14') },
  { value: 'icosahedron', label: msg('moulds.faces20') },
  { value: 'rhombicuboctahedron', label: msg('moulds.faces26') },
];

export const faceWords: Record<FaceName, Message> = {
  triangle: msg('moulds.faceTriangle'),
  square: msg('moulds.faceSquare'),
  pentagon: msg('moulds.facePentagon'),
};
