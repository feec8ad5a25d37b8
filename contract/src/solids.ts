import { InputError } from '@dewpot/core/units';
import {
  mouldIssues,
  patternKinds,
  volumeMeasuredBy,
  type MouldShape,
  type Pattern,
  type PlacedSolid,
  type VolumeMeasuredBy,
} from '@dewpot/core/moulds';
import {
  checkSolid,
  faceNames,
  polyhedronNames,
  shellSides,
  solidKinds,
  type FaceName,
  type PlanPoint,
  type PolyhedronName,
  type ProfileRadius,
  type Shell,
  type ShellSide,
  type Solid,
} from '@dewpot/core/solids';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import { kindsOf, PartOfKind, type AnyOf } from './kinds.js';
import {
  MOST_VOLUME,
  Amount,
  Amounts,
  Area,
  ListOf,
  Loops,
  Millilitres,
  Millimetres,
  MOST_POINTS,
  Offset,
  Outline,
  Part,
  Text,
  Time,
  Whole,
} from './limits.js';

const MOST_SLICES = 120;

export class ProfilePointInput implements ProfileRadius {
  @Millimetres(0) height: number;
  @Millimetres(0) radius: number;
}

export class MeshSliceInput {
  @Offset() z: number;
  /** Closed outlines, each a list of [x, y] in mm. */
  @Loops({ most: 60 }, MOST_POINTS) loops: readonly (readonly PlanPoint[])[];
}

/** A solid by what a tape measures: all sizes are of the inside (of a core: the outside), in mm. Its `kind` tells which are wanted. */
export class SolidInput {
  @IsIn(solidKinds) kind: Solid['kind'];
}

/** Its sizes may be missing here: the core says what a solid of this kind lacks. */
type Sized<K extends Solid['kind']> = Partial<Extract<Solid, { kind: K }>>;

export class RoundFrustumInput extends SolidInput implements Sized<'round-frustum'> {
  declare kind: 'round-frustum';
  @IsOptional() @Millimetres(0) bottomDiameter?: number;
  @IsOptional() @Millimetres(0) topDiameter?: number;
  @IsOptional() @Millimetres() height?: number;
}

export class RectFrustumInput extends SolidInput implements Sized<'rect-frustum'> {
  declare kind: 'rect-frustum';
  @IsOptional() @Millimetres(0) bottomLength?: number;
  @IsOptional() @Millimetres(0) bottomWidth?: number;
  @IsOptional() @Millimetres(0) topLength?: number;
  @IsOptional() @Millimetres(0) topWidth?: number;
  @IsOptional() @Millimetres() height?: number;
  /** Of the upright corners; square where it is left out. */
  @IsOptional() @Millimetres(0) cornerRadius?: number;
}

export class PolygonFrustumInput extends SolidInput implements Sized<'polygon-frustum'> {
  declare kind: 'polygon-frustum';
  @IsOptional() @Amount(3, 360) sides?: number;
  @IsOptional() @Millimetres(0) bottomAcross?: number;
  @IsOptional() @Millimetres(0) topAcross?: number;
  @IsOptional() @Millimetres() height?: number;
}

export class CapInput extends SolidInput implements Sized<'cap'> {
  declare kind: 'cap';
  @IsOptional() @Millimetres() rimDiameter?: number;
  @IsOptional() @Millimetres() depth?: number;
}

export class HalfEllipsoidInput extends SolidInput implements Sized<'half-ellipsoid'> {
  declare kind: 'half-ellipsoid';
  @IsOptional() @Millimetres() rimDiameter?: number;
  @IsOptional() @Millimetres() depth?: number;
}

export class RevolutionInput extends SolidInput implements Sized<'revolution'> {
  declare kind: 'revolution';
  @IsOptional()
  @ListOf(() => ProfilePointInput, { most: 200 })
  points?: readonly ProfilePointInput[];
  /** Straight between its points where it is left out. */
  @IsOptional() @IsBoolean() smooth?: boolean;
}

export class PrismInput extends SolidInput implements Sized<'prism'> {
  declare kind: 'prism';
  /** Closed outline of the open face, [x, y] in mm, once round. */
  @IsOptional() @Outline({ least: 3, most: MOST_POINTS }) outline?: readonly PlanPoint[];
  @IsOptional() @Millimetres() depth?: number;
  /** Degrees by which the outline is drawn in on its way down; none where it is left out. */
  @IsOptional() @Amount(-89, 89) draft?: number;
}

export class RingInput extends SolidInput implements Sized<'ring'> {
  declare kind: 'ring';
  @IsOptional() @Millimetres() innerDiameter?: number;
  @IsOptional() @Millimetres() width?: number;
  @IsOptional() @Millimetres() depth?: number;
}

export class ArcInput extends SolidInput implements Sized<'arc'> {
  declare kind: 'arc';
  /** Of its centreline. */
  @IsOptional() @Millimetres(0) radius?: number;
  /** Degrees. */
  @IsOptional() @Amount(0, 360) angle?: number;
  @IsOptional() @Millimetres() width?: number;
  @IsOptional() @Millimetres() depth?: number;
}

export class SpiralInput extends SolidInput implements Sized<'spiral'> {
  declare kind: 'spiral';
  @IsOptional() @Millimetres() startRadius?: number;
  @IsOptional() @Millimetres() pitch?: number;
  @IsOptional() @Amount(0.01, 100) turns?: number;
  @IsOptional() @Millimetres() width?: number;
  @IsOptional() @Millimetres() depth?: number;
}

export class PolyhedronInput extends SolidInput implements Sized<'polyhedron'> {
  declare kind: 'polyhedron';
  @IsOptional() @IsIn(polyhedronNames) which?: PolyhedronName;
  @IsOptional() @Millimetres() edge?: number;
  /** Which face is open; it lies level on top. */
  @IsOptional() @IsIn(faceNames) open?: FaceName;
}

export class LyingPipeInput extends SolidInput implements Sized<'lying-pipe'> {
  declare kind: 'lying-pipe';
  @IsOptional() @Millimetres() diameter?: number;
  @IsOptional() @Millimetres() run?: number;
}

export class LeafInput extends SolidInput implements Sized<'leaf'> {
  declare kind: 'leaf';
  /** Of its outline traced flat, mm². */
  @IsOptional() @Area() area?: number;
  @IsOptional() @Millimetres(0) middle?: number;
  @IsOptional() @Millimetres() edge?: number;
  /** Of the sand mound under it. */
  @IsOptional() @Millimetres(0) rise?: number;
  @IsOptional() @Outline({ least: 3, most: MOST_POINTS }) outline?: readonly PlanPoint[];
}

export class MeshSolidInput extends SolidInput implements Sized<'mesh'> {
  declare kind: 'mesh';
  @IsOptional() @Millimetres() height?: number;
  /** Its sides, mm². */
  @IsOptional() @Area() side?: number;
  /** Volume to even heights, mL. */
  @IsOptional() @Amounts(0, MOST_VOLUME, { most: 400 }) curve?: readonly number[];
  @IsOptional()
  @ListOf(() => MeshSliceInput, { most: MOST_SLICES })
  slices?: readonly MeshSliceInput[];
}

export class KnownVolumeInput extends SolidInput implements Sized<'known-volume'> {
  declare kind: 'known-volume';
  /** What it took, mL. */
  @IsOptional() @Millilitres() volume?: number;
  @IsOptional() @Millimetres() length?: number;
  @IsOptional() @Millimetres() width?: number;
  @IsOptional() @Millimetres() height?: number;
}

/** The class of each kind of solid. */
export const solids = kindsOf(SolidInput, 'kind', {
  'round-frustum': RoundFrustumInput,
  'rect-frustum': RectFrustumInput,
  'polygon-frustum': PolygonFrustumInput,
  cap: CapInput,
  'half-ellipsoid': HalfEllipsoidInput,
  revolution: RevolutionInput,
  prism: PrismInput,
  ring: RingInput,
  arc: ArcInput,
  spiral: SpiralInput,
  polyhedron: PolyhedronInput,
  'lying-pipe': LyingPipeInput,
  leaf: LeafInput,
  mesh: MeshSolidInput,
  'known-volume': KnownVolumeInput,
});

/** A solid as it was described. */
export type SolidGiven = AnyOf<typeof solids>;

/** How a core or an insert stands several times. */
export class PatternInput {
  @IsIn(patternKinds) kind: Pattern['kind'];
  @Whole(1, 60) count: number;
}

export class CirclePatternInput extends PatternInput {
  declare kind: 'circle';
  @IsOptional() @Millimetres(0) radius?: number;
}

export class RowPatternInput extends PatternInput {
  declare kind: 'row';
  @IsOptional() @Millimetres() step?: number;
}

/** The class of each kind of pattern. */
export const patterns = kindsOf(PatternInput, 'kind', { circle: CirclePatternInput, row: RowPatternInput });

export class PlacedSolidInput {
  @Text(1, 60) name: string;
  @PartOfKind(solids) solid: SolidGiven;
  @Offset() bottom: number;
  @IsOptional() @Offset() x?: number;
  @IsOptional() @Offset() y?: number;
  @IsOptional() @Amount(-360, 360) turn?: number;
  @IsOptional() @IsBoolean() over?: boolean;
  @IsOptional() @PartOfKind(patterns) pattern?: AnyOf<typeof patterns>;
  @IsOptional() @IsBoolean() stays?: boolean;
  @IsOptional() @IsBoolean() soft?: boolean;
}

export class ShellInput implements Shell {
  @IsIn(shellSides) side: ShellSide;
  @Millimetres() thickness: number;
}

export class MeasuredVolumeInput {
  @IsIn(volumeMeasuredBy) by: VolumeMeasuredBy;
  /** mL */
  @Millilitres() volume: number;
  /** When it was measured, ms. */
  @IsOptional() @Time() at?: number;
}

export class MouldShapeInput {
  @PartOfKind(solids) outer: SolidGiven;
  @ListOf(() => PlacedSolidInput, { most: 20 }) cores: readonly PlacedSolidInput[];
  @ListOf(() => PlacedSolidInput, { most: 20 })
  inserts: readonly PlacedSolidInput[];
  @IsOptional() @Part(() => ShellInput) pressed?: ShellInput;
  @IsOptional() @Part(() => MeasuredVolumeInput) measured?: MeasuredVolumeInput;
}

/** What a solid has where nothing was said: square corners, a straight profile, no draft. */
const unsaid: Partial<Record<Solid['kind'], object>> = {
  'rect-frustum': { cornerRadius: 0 },
  revolution: { smooth: false, points: [] },
  prism: { draft: 0, outline: [] },
  mesh: { side: 0, curve: [], slices: [] },
};

/** A solid as it was described. What it lacks is missing here as well: the core judges whether it can be. */
export const solidOf = (given: SolidGiven): Solid => ({ ...unsaid[given.kind], ...given }) as Solid;

const placedOf = ({ solid, pattern, ...rest }: PlacedSolidInput): PlacedSolid => ({
  ...rest,
  solid: solidOf(solid),
  ...(pattern && { pattern: { ...pattern } as Pattern }),
});

/** A shape as it was described, whether or not it can be cast. */
export const shapeOf = ({ outer, cores, inserts, pressed, measured }: MouldShapeInput): MouldShape => ({
  outer: solidOf(outer),
  cores: cores.map(placedOf),
  inserts: inserts.map(placedOf),
  ...(pressed && { pressed: { ...pressed } }),
  ...(measured && { measured: { ...measured } }),
});

/** A shape that can be cast. @throws InputError with the fields under `path` */
export function checkedShape(given: MouldShapeInput, path = ''): MouldShape {
  const shape = shapeOf(given);
  const issues = mouldIssues(shape);
  if (issues.length > 0)
    throw new InputError(issues.map((issue) => ({ ...issue, field: path ? `${path}.${issue.field}` : issue.field })));
  return shape;
}

/** A solid that can be. @throws InputError */
export function checkedSolid(given: SolidGiven): Solid {
  const solid = solidOf(given);
  checkSolid(solid);
  return solid;
}
