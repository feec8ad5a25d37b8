import { msg, type Message } from '@dewpot/core/units';
import { boxBottoms, boxCorners, houseRoofs, insideKinds, woodKinds, type CutPattern, type InsidePiece, type StripLine } from '@dewpot/core/patterns'; // prettier-ignore
import { openingsOf, polyhedronNames } from '@dewpot/core/solids';

/** A field of a pattern by its path: a length, a plain number, a choice, or a part that is there or not. One that is not wanted may be left empty. */
export type PatternField =
  | { readonly kind: 'part'; readonly path: string; readonly label: Message; readonly first: object }
  | { readonly kind: 'length' | 'number'; readonly path: string; readonly label: Message; readonly optional?: boolean }
  | {
      readonly kind: 'choice';
      readonly path: string;
      readonly label: Message;
      readonly options: readonly { readonly value: string; readonly label: Message }[];
    };

const length = (path: string, key: string, optional = false): PatternField => ({
  kind: 'length',
  path,
  label: msg(`patterns.${key}`),
  optional,
});
/** A part that a pattern has or not, and what it begins with. */
const part = (path: string, key: string, first: object): PatternField => ({ kind: 'part', path, label: msg(`patterns.${key}`), first }); // prettier-ignore
const number = (path: string, key: string): PatternField => ({ kind: 'number', path, label: msg(`patterns.${key}`) });
const choice = (
  path: string,
  key: string,
  options: readonly string[],
  word: (option: string) => string,
): PatternField => ({
  kind: 'choice',
  path,
  label: msg(`patterns.${key}`),
  options: options.map((value) => ({ value, label: msg(`patterns.${word(value)}`) })),
});
const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

const lineFields: { readonly [S in StripLine['shape']]: readonly PatternField[] } = {
  ring: [length('line.diameter', 'centreDiameter')],
  arc: [length('line.radius', 'centreRadius'), number('line.angle', 'arcAngle')],
  spiral: [length('line.start', 'startRadius'), length('line.pitch', 'pitchOfTurns'), number('line.turns', 'turns')],
  heart: [length('line.width', 'heartWidth')],
  free: [],
};

type Fields<P> = (pattern: P) => readonly PatternField[];

const pieceFields: { readonly [W in InsidePiece['what']]: readonly PatternField[] } = {
  mesh: [length('piece.length', 'slabLengthOrDiameter'), length('piece.width', 'slabWidth', true), length('piece.slab', 'slabThickness'), length('piece.cover', 'cover')],
  wire: [length('piece.pipe', 'pipeDiameter'), length('piece.wire', 'wireDiameter'), number('piece.turns', 'wireTurns'), length('piece.pitch', 'wirePitch')],
  core: [length('piece.bottom', 'coreBottom'), length('piece.top', 'coreTop'), length('piece.height', 'coreHeight'), length('piece.card', 'cardThickness'), length('piece.overlap', 'overlap')],
  plug: [length('piece.hole', 'drainHole'), length('piece.slab', 'slabThickness'), number('piece.draft', 'draftDegrees'), number('piece.count', 'plugCount')],
  sand: [length('piece.length', 'leafLength'), length('piece.width', 'leafWidth'), length('piece.rise', 'leafRise'), length('piece.board', 'boardThickness')],
}; // prettier-ignore

const fields: { readonly [K in CutPattern['kind']]: Fields<Extract<CutPattern, { kind: K }>> } = {
  solid: ({ which, holder }) => [
    choice('which', 'which', polyhedronNames, (name) => name),
    choice('open', 'openFace', openingsOf(which), (name) => name),
    length('edge', 'edgeInside'),
    length('board', 'boardThickness'),
    choice('joint', 'jointKind', ['mitred', 'taped'], (name) => `${name}Joint`),
    part('holder', 'withHolder', { diameter: 30, depth: 20 }),
    ...(holder ? [length('holder.diameter', 'holderDiameter'), length('holder.depth', 'holderDepth')] : []),
  ],
  box: ({ length: long, width, hollow }) => [
    length('length', 'insideLength'),
    length('width', 'insideWidth'),
    length('height', 'insideHeight'),
    length('board', 'boardThickness'),
    choice('corner', 'cornerKind', boxCorners, (name) => `corner${capital(name)}`),
    choice('bottom', 'bottomKind', boxBottoms, (name) => `bottom${capital(name)}`),
    length('screw', 'screwDiameter', true),
    part('hollow', 'withHollow', { length: Math.round(long * 0.6), width: Math.round(width * 0.6), gap: 4, depth: 12, fall: 2 }),
    ...(hollow
      ? [length('hollow.length', 'productLength'), length('hollow.width', 'productWidth'), length('hollow.gap', 'productGap'), length('hollow.depth', 'hollowDepth'), number('hollow.fall', 'fallPercent')]
      : []),
  ],
  'panel-box': () => [
    length('length', 'wantedLength'),
    length('width', 'outsideWidth'),
    length('height', 'panelHeight'),
    length('panel', 'panelThickness'),
    choice('corner', 'cornerKind', ['covered', 'mitred'], (name) => `corner${capital(name)}`),
    length('drawnSide', 'drawnSide', true),
  ],
  house: ({ roof }) => [
    length('width', 'houseWidth'),
    length('depth', 'houseDepth'),
    length('eaves', 'eaves'),
    number('pitch', 'pitchDegrees'),
    length('panel', 'panelThickness'),
    length('overhang', 'overhang'),
    choice('roof', 'roofKind', houseRoofs, (name) => `roof${capital(name)}`),
    length('roofThickness', 'roofThickness'),
    ...(roof === 'planted' ? [length('soil', 'soilDepth', true)] : []),
    length('base', 'baseThickness'),
    length('sheet', 'sheetThickness'),
    length('cover', 'cover', true),
  ],
  strip: ({ line }) => [
    choice('line.shape', 'lineShape', ['ring', 'arc', 'spiral', 'heart', 'free'], (name) => `line${capital(name)}`),
    ...lineFields[line.shape],
    length('channel', 'channel', true),
    length('height', 'stripHeight'),
    length('strip', 'stripThickness'),
    length('sheet', 'sheetLength'),
    length('overlap', 'overlap'),
  ],
  gap: () => [length('joint', 'joint'), length('thickness', 'thickness'), length('board', 'boardThickness')],
  bed: () => [
    length('length', 'outsideLength'),
    length('width', 'outsideWidth'),
    length('panelHeight', 'panelHeight'),
    length('panelLength', 'longestPanel'),
    length('panel', 'panelThickness'),
    number('draft', 'draftDegrees'),
    number('levels', 'levels'),
    length('rod', 'rodDiameter'),
  ],
  wood: ({ wood, width }) => [
    choice('wood', 'woodKind', woodKinds, (name) => `${name}Wood`),
    length('length', width === undefined ? 'castDiameter' : 'castLength'),
    length('width', 'castWidth', true),
    length('thickness', 'boardThickness'),
    length('cord', 'cord', true),
    ...(wood === 'lid' ? [length('wall', 'lidWall', true)] : []),
  ],
  inside: ({ piece }) => [
    choice('piece.what', 'insideWhat', insideKinds, (name) => `inside${capital(name)}`),
    ...pieceFields[piece.what],
  ],
}; // prettier-ignore

/** Fields of a pattern in the order in which one measures. Lists (sides, diagonals, openings) have fields of their own. */
export const fieldsOf = (pattern: CutPattern): readonly PatternField[] =>
  (fields[pattern.kind] as Fields<CutPattern>)(pattern);

/** What stands at a path of a pattern. */
export const valueAt = (pattern: object, path: string): unknown =>
  path.split('.').reduce<unknown>((at, step) => (at as Record<string, unknown> | undefined)?.[step], pattern);

/** The pattern with another value at a path; left out there where it is undefined. */
export function withValue<T extends object>(pattern: T, path: string, value: unknown): T {
  const [first = '', ...rest] = path.split('.');
  const inner = rest.length === 0 ? value : withValue(((pattern as Record<string, unknown>)[first] ?? {}) as object, rest.join('.'), value); // prettier-ignore
  const { [first]: _, ...others } = pattern as Record<string, unknown>;
  return (inner === undefined ? others : { ...pattern, [first]: inner }) as T;
}
