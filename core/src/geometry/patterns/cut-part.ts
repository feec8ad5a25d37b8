import type { Figure, Message } from '../../foundation/units/index.js';
import type { MouldShape, PieceKind } from '../moulds/index.js';
import type { PlanPoint } from '../solids/index.js';

/** What a part is cut from. `panel`: it is cast, and stands among the parts to show how the thing goes together. */
type PartStuff = 'board' | 'strip' | 'sheet' | 'panel' | 'mesh' | 'wood' | 'rod' | 'wedge';

/** A line or a closed outline that is drawn on a part and not cut. */
export interface PartMark {
  readonly points: readonly PlanPoint[];
  readonly closed: boolean;
}

/** A part to cut, flat, as often as it is wanted. Sizes in mm. */
export interface CutPart {
  /** The letter it goes by. */
  readonly key: string;
  readonly name: Message;
  readonly stuff: PartStuff;
  readonly count: number;
  readonly thickness: number;
  /** As it is cut on its larger side, counter-clockwise. */
  readonly outline: readonly PlanPoint[];
  readonly holes: readonly (readonly PlanPoint[])[];
  /** Tilt of the cut of each side of the outline from square, degrees. */
  readonly mitres: readonly number[];
  readonly marks: readonly PartMark[];
  /** The grain runs along x: the part is not turned on its board. */
  readonly grain: boolean;
}

/** The line about which a part folds up from the one it hangs on, in the net, that one at its left; angle in radians. */
export interface Hinge {
  readonly on: number;
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  readonly angle: number;
}

/** A part where it lies in the net, seen from inside: its inner face, and its outer face a thickness below. */
export interface PlacedPart {
  /** The number that is written on it. */
  readonly number: number;
  /** Key of the part to cut. */
  readonly part: string;
  readonly inner: readonly PlanPoint[];
  readonly outer: readonly PlanPoint[];
  /** How far the outer face lies below the inner one, mm. */
  readonly thickness: number;
  readonly holes?: readonly (readonly PlanPoint[])[];
  readonly hinge?: Hinge;
}

/** Two sides of the net that meet when it is folded, by one number. */
export interface Joint {
  readonly number: number;
  readonly sides: readonly { readonly piece: number; readonly from: PlanPoint; readonly to: PlanPoint }[];
}

/** What a pattern answers: a name and its figure. */
export interface PatternAnswer {
  readonly name: Message;
  readonly figure: Figure;
}

/** A mould that the parts make. */
export interface PatternMould {
  readonly name: Message;
  readonly shape: MouldShape;
  /** What is cast in it. */
  readonly piece: PieceKind;
  readonly count: number;
}

/** Lines of a drawing from above, on a named layer. */
export interface PlanLine {
  readonly layer: 'wall' | 'strip' | 'centre' | 'slab' | 'measure' | 'suspect' | 'nail' | 'cut';
  readonly points: readonly PlanPoint[];
  readonly closed: boolean;
}

/** A pattern worked out: its parts, how they go together, what they make. */
export interface WorkedPattern {
  readonly parts: readonly CutPart[];
  readonly pieces: readonly PlacedPart[];
  readonly joints: readonly Joint[];
  readonly answers: readonly PatternAnswer[];
  /** What is not as it should be: it comes out otherwise than was wanted, or cannot be done with the usual tools. */
  readonly warnings: readonly Message[];
  /** What to mind, and in what order it is done. */
  readonly notes: readonly Message[];
  /** What can hurt somebody. */
  readonly cautions: readonly Message[];
  readonly moulds: readonly PatternMould[];
  /** Seen from above, where that tells more than the parts. */
  readonly plan: readonly PlanLine[];
}

/** A part with the usual: square cuts, no holes, no marks, no grain. */
export const cutPart = (
  part: Pick<CutPart, 'key' | 'name' | 'stuff' | 'count' | 'thickness' | 'outline'> & Partial<CutPart>,
): CutPart => ({ holes: [], mitres: part.outline.map(() => 0), marks: [], grain: false, ...part });

/** A rectangle with one corner at the origin, or at `x` and `y`; counter-clockwise from there. */
export const rectangle = (length: number, width: number, x = 0, y = 0): PlanPoint[] => [
  [x, y],
  [x + length, y],
  [x + length, y + width],
  [x, y + width],
];

/** A circle as an outline of so many sides. */
export const circleOutline = (radius: number, x = 0, y = 0, sides = 72): PlanPoint[] =>
  Array.from({ length: sides }, (_, i): PlanPoint => {
    const at = (2 * Math.PI * i) / sides;
    return [x + radius * Math.cos(at), y + radius * Math.sin(at)];
  });

/** Letters of parts in order: A to Z, then AA. */
export const partKey = (i: number): string =>
  (i >= 26 ? String.fromCharCode(64 + Math.floor(i / 26)) : '') + String.fromCharCode(65 + (i % 26));

export const toDegrees = (radians: number): number => (radians * 180) / Math.PI;
export const toRadians = (degrees: number): number => (degrees * Math.PI) / 180;
