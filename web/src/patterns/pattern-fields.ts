import { msg, type Message } from '@dewpot/core/units';
import { boxBottoms, boxCorners, houseRoofs, woodKinds, type CutPattern, type StripLine } from '@dewpot/core/patterns';
import { openingsOf, polyhedronNames } from '@dewpot/core/solids';

/** A field of a pattern by its path: a length, a plain number, or a choice. One that is not wanted may be left empty. */
export type PatternField =
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

/** Fields of a pattern in the order in which one measures. Lists (sides, diagonals, openings) have fields of their own. */
export function fieldsOf(pattern: CutPattern): readonly PatternField[] {
  switch (pattern.kind) {
    case 'solid':
      return [
        choice('which', 'which', polyhedronNames, (name) => name),
        choice('open', 'openFace', openingsOf(pattern.which), (name) => name),
        length('edge', 'edgeInside'),
        length('board', 'boardThickness'),
        choice('joint', 'jointKind', ['mitred', 'taped'], (name) => `${name}Joint`),
        ...(pattern.holder ? [length('holder.diameter', 'holderDiameter'), length('holder.depth', 'holderDepth')] : []),
      ];
    case 'box':
      return [
        length('length', 'insideLength'),
        length('width', 'insideWidth'),
        length('height', 'insideHeight'),
        length('board', 'boardThickness'),
        choice('corner', 'cornerKind', boxCorners, (name) => `corner${capital(name)}`),
        choice('bottom', 'bottomKind', boxBottoms, (name) => `bottom${capital(name)}`),
        length('screw', 'screwDiameter', true),
        ...(pattern.hollow
          ? [
              length('hollow.length', 'productLength'),
              length('hollow.width', 'productWidth'),
              length('hollow.gap', 'productGap'),
              length('hollow.depth', 'hollowDepth'),
              number('hollow.fall', 'fallPercent'),
            ]
          : []),
      ];
    case 'panel-box':
      return [
        length('length', 'wantedLength'),
        length('width', 'outsideWidth'),
        length('height', 'panelHeight'),
        length('panel', 'panelThickness'),
        choice('corner', 'cornerKind', ['covered', 'mitred'], (name) => `corner${capital(name)}`),
        length('drawnSide', 'drawnSide', true),
      ];
    case 'house':
      return [
        length('width', 'houseWidth'),
        length('depth', 'houseDepth'),
        length('eaves', 'eaves'),
        number('pitch', 'pitchDegrees'),
        length('panel', 'panelThickness'),
        length('overhang', 'overhang'),
        choice('roof', 'roofKind', houseRoofs, (name) => `roof${capital(name)}`),
        length('roofThickness', 'roofThickness'),
        ...(pattern.roof === 'planted' ? [length('soil', 'soilDepth', true)] : []),
        length('base', 'baseThickness'),
        length('sheet', 'sheetThickness'),
        length('cover', 'cover', true),
      ];
    case 'strip':
      return [
        choice('line.shape', 'lineShape', ['ring', 'arc', 'spiral', 'heart', 'free'], (name) => `line${capital(name)}`),
        ...lineFields[pattern.line.shape],
        length('channel', 'channel', true),
        length('height', 'stripHeight'),
        length('strip', 'stripThickness'),
        length('sheet', 'sheetLength'),
        length('overlap', 'overlap'),
      ];
    case 'gap':
      return [length('joint', 'joint'), length('thickness', 'thickness'), length('board', 'boardThickness')];
    case 'bed':
      return [
        length('length', 'outsideLength'),
        length('width', 'outsideWidth'),
        length('panelHeight', 'panelHeight'),
        length('panelLength', 'longestPanel'),
        length('panel', 'panelThickness'),
        number('draft', 'draftDegrees'),
        number('levels', 'levels'),
        length('rod', 'rodDiameter'),
      ];
    case 'wood':
      return [
        choice('wood', 'woodKind', woodKinds, (name) => `${name}Wood`),
        length('length', pattern.width === undefined ? 'castDiameter' : 'castLength'),
        length('width', 'castWidth', true),
        length('thickness', 'boardThickness'),
        length('cord', 'cord', true),
      ];
  }
}

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
