import {
  checkSolid,
  InputError,
  mouldIssues,
  polyhedronNames,
  solidKinds,
  type FaceName,
  type MouldShape,
  type Pattern,
  type PlacedSolid,
  type PlanPoint,
  type PolyhedronName,
  type ProfileRadius,
  type Shell,
  type ShellSide,
  type Solid,
} from '@dewpot/core';
import type { VolumeMeasuredBy } from '@dewpot/core';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import {
  MOST_VOLUME,
  Amount,
  Amounts,
  Area,
  ListOf,
  Loops,
  Millilitres,
  Millimetres,
  Offset,
  Outline,
  Part,
  Text,
  Time,
  Whole,
} from './limits.js';

const MOST_POINTS = 4000;
const MOST_SLICES = 120;

export class ProfilePointInput implements ProfileRadius {
  @Millimetres(0) height: number;
  @Millimetres(0) radius: number;
}

export class MeshSliceInput {
  @Offset() z: number;
  /** Closed outlines, each a list of [x, y] in mm. */
  @Loops({ most: 60 }, MOST_POINTS) loops: PlanPoint[][];
}

/** A solid by what a tape measures. Which sizes are wanted goes by `kind`; all are of the inside (of a core: the outside), in mm. */
export class SolidInput {
  @IsIn(solidKinds) kind: Solid['kind'];
  @IsOptional() @Millimetres(0) bottomDiameter?: number;
  @IsOptional() @Millimetres(0) topDiameter?: number;
  @IsOptional() @Millimetres() height?: number;
  @IsOptional() @Millimetres(0) bottomLength?: number;
  @IsOptional() @Millimetres(0) bottomWidth?: number;
  @IsOptional() @Millimetres(0) topLength?: number;
  @IsOptional() @Millimetres(0) topWidth?: number;
  /** Of the upright corners of a box. */
  @IsOptional() @Millimetres(0) cornerRadius?: number;
  @IsOptional() @Amount(3, 360) sides?: number;
  @IsOptional() @Millimetres(0) bottomAcross?: number;
  @IsOptional() @Millimetres(0) topAcross?: number;
  @IsOptional() @Millimetres() rimDiameter?: number;
  @IsOptional() @Millimetres() depth?: number;
  @IsOptional()
  @ListOf(() => ProfilePointInput, { most: 200 })
  points?: ProfilePointInput[];
  @IsOptional() @IsBoolean() smooth?: boolean;
  /** Closed outline of the open face, [x, y] in mm, once round. */
  @IsOptional() @Outline({ least: 3, most: MOST_POINTS }) outline?: PlanPoint[];
  /** Degrees by which the outline is drawn in on its way down. */
  @IsOptional() @Amount(-89, 89) draft?: number;
  @IsOptional() @Millimetres() innerDiameter?: number;
  @IsOptional() @Millimetres() width?: number;
  @IsOptional() @Millimetres() length?: number;
  /** Of an arc's centreline. */
  @IsOptional() @Millimetres(0) radius?: number;
  /** Degrees. */
  @IsOptional() @Amount(0, 360) angle?: number;
  @IsOptional() @Millimetres() startRadius?: number;
  @IsOptional() @Millimetres() pitch?: number;
  @IsOptional() @Amount(0.01, 100) turns?: number;
  @IsOptional() @IsIn(polyhedronNames) which?: PolyhedronName;
  /** Which face of an equal-faced solid is open; it lies level on top. */
  @IsOptional() @IsIn(['triangle', 'square', 'pentagon']) open?: FaceName;
  @IsOptional() @Millimetres() edge?: number;
  @IsOptional() @Millimetres() diameter?: number;
  @IsOptional() @Millimetres() run?: number;
  /** Of a leaf's outline traced flat, mm². */
  @IsOptional() @Area() area?: number;
  @IsOptional() @Millimetres(0) middle?: number;
  /** Of the sand mound under a leaf. */
  @IsOptional() @Millimetres(0) rise?: number;
  /** Of a mould that was measured by what it took, mL. */
  @IsOptional() @Millilitres() volume?: number;
  /** Of a mesh: its sides, mm². */
  @IsOptional() @Area() side?: number;
  /** Of a mesh: volume to even heights, mL. */
  @IsOptional() @Amounts(0, MOST_VOLUME, { most: 400 }) curve?: number[];
  @IsOptional()
  @ListOf(() => MeshSliceInput, { most: MOST_SLICES })
  slices?: MeshSliceInput[];
}

export class PatternInput {
  @IsIn(['circle', 'row']) kind: Pattern['kind'];
  @Whole(1, 60) count: number;
  @IsOptional() @Millimetres(0) radius?: number;
  @IsOptional() @Millimetres() step?: number;
}

export class PlacedSolidInput {
  @Text(1, 60) name: string;
  @Part(() => SolidInput) solid: SolidInput;
  @Offset() bottom: number;
  @IsOptional() @Offset() x?: number;
  @IsOptional() @Offset() y?: number;
  @IsOptional() @Amount(-360, 360) turn?: number;
  @IsOptional() @IsBoolean() over?: boolean;
  @IsOptional() @Part(() => PatternInput) pattern?: PatternInput;
  @IsOptional() @IsBoolean() stays?: boolean;
  @IsOptional() @IsBoolean() soft?: boolean;
}

export class ShellInput implements Shell {
  @IsIn(['over', 'inside', 'against']) side: ShellSide;
  @Millimetres() thickness: number;
}

export class MeasuredVolumeInput {
  @IsIn(['water', 'sand', 'batch']) by: VolumeMeasuredBy;
  /** mL */
  @Millilitres() volume: number;
  /** When it was measured, ms. */
  @IsOptional() @Time() at?: number;
}

export class MouldShapeInput {
  @Part(() => SolidInput) outer: SolidInput;
  @ListOf(() => PlacedSolidInput, { most: 20 }) cores: PlacedSolidInput[];
  @ListOf(() => PlacedSolidInput, { most: 20 })
  inserts: PlacedSolidInput[];
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

/** A solid as it was described; the core judges whether it can be. */
export const solidOf = (given: SolidInput): Solid => ({ ...unsaid[given.kind], ...given }) as Solid;

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
export function checkedSolid(given: SolidInput): Solid {
  const solid = solidOf(given);
  checkSolid(solid);
  return solid;
}
