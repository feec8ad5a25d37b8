import {
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
import type { MeasuredBy } from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsObject,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';

const MOST_POINTS = 4000;
const MOST_SLICES = 120;

export class ProfilePointInput implements ProfileRadius {
  @IsNumber() height: number;
  @IsNumber() radius: number;
}

export class MeshSliceInput {
  @IsNumber() z: number;
  /** Closed outlines, each a list of [x, y] in mm. */
  @IsArray() @ArrayMaxSize(60) loops: PlanPoint[][];
}

/** A solid by what a tape measures. Which sizes are wanted goes by `kind`; all are of the inside (of a core: the outside), in mm. */
export class SolidInput {
  @IsIn(solidKinds) kind: Solid['kind'];
  @IsOptional() @IsNumber() bottomDiameter?: number;
  @IsOptional() @IsNumber() topDiameter?: number;
  @IsOptional() @IsNumber() height?: number;
  @IsOptional() @IsNumber() bottomLength?: number;
  @IsOptional() @IsNumber() bottomWidth?: number;
  @IsOptional() @IsNumber() topLength?: number;
  @IsOptional() @IsNumber() topWidth?: number;
  /** Of the upright corners of a box. */
  @IsOptional() @IsNumber() cornerRadius?: number;
  @IsOptional() @IsNumber() sides?: number;
  @IsOptional() @IsNumber() bottomAcross?: number;
  @IsOptional() @IsNumber() topAcross?: number;
  @IsOptional() @IsNumber() rimDiameter?: number;
  @IsOptional() @IsNumber() depth?: number;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => ProfilePointInput)
  points?: ProfilePointInput[];
  @IsOptional() @IsBoolean() smooth?: boolean;
  /** Closed outline of the open face, [x, y] in mm, once round. */
  @IsOptional() @IsArray() @ArrayMinSize(3) @ArrayMaxSize(MOST_POINTS) outline?: PlanPoint[];
  /** Degrees by which the outline is drawn in on its way down. */
  @IsOptional() @IsNumber() draft?: number;
  @IsOptional() @IsNumber() innerDiameter?: number;
  @IsOptional() @IsNumber() width?: number;
  @IsOptional() @IsNumber() length?: number;
  /** Of an arc's centreline. */
  @IsOptional() @IsNumber() radius?: number;
  /** Degrees. */
  @IsOptional() @IsNumber() angle?: number;
  @IsOptional() @IsNumber() startRadius?: number;
  @IsOptional() @IsNumber() pitch?: number;
  @IsOptional() @IsNumber() turns?: number;
  @IsOptional() @IsIn(polyhedronNames) which?: PolyhedronName;
  /** Which face of an equal-faced solid is open; it lies level on top. */
  @IsOptional() @IsIn(['triangle', 'square', 'pentagon']) open?: FaceName;
  @IsOptional() @IsNumber() edge?: number;
  @IsOptional() @IsNumber() diameter?: number;
  @IsOptional() @IsNumber() run?: number;
  /** Of a leaf's outline traced flat, mm². */
  @IsOptional() @IsNumber() area?: number;
  @IsOptional() @IsNumber() middle?: number;
  /** Of the sand mound under a leaf. */
  @IsOptional() @IsNumber() rise?: number;
  /** Of a mould that was measured by what it took, mL. */
  @IsOptional() @IsNumber() volume?: number;
  /** Of a mesh: its sides, mm². */
  @IsOptional() @IsNumber() side?: number;
  /** Of a mesh: volume to even heights, mL. */
  @IsOptional() @IsArray() @ArrayMaxSize(400) @IsNumber({}, { each: true }) curve?: number[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_SLICES)
  @ValidateNested({ each: true })
  @Type(() => MeshSliceInput)
  slices?: MeshSliceInput[];
}

export class PatternInput {
  @IsIn(['circle', 'row']) kind: Pattern['kind'];
  @IsInt() @Min(1) @Max(60) count: number;
  @IsOptional() @IsNumber() radius?: number;
  @IsOptional() @IsNumber() step?: number;
}

export class PlacedSolidInput {
  @IsString() @Length(1, 60) name: string;
  @IsObject() @ValidateNested() @Type(() => SolidInput) solid: SolidInput;
  @IsNumber() bottom: number;
  @IsOptional() @IsNumber() x?: number;
  @IsOptional() @IsNumber() y?: number;
  @IsOptional() @IsNumber() turn?: number;
  @IsOptional() @IsBoolean() over?: boolean;
  @IsOptional() @ValidateNested() @Type(() => PatternInput) pattern?: PatternInput;
  @IsOptional() @IsBoolean() stays?: boolean;
  @IsOptional() @IsBoolean() soft?: boolean;
}

export class ShellInput implements Shell {
  @IsIn(['over', 'inside', 'against']) side: ShellSide;
  @IsNumber() thickness: number;
}

export class MeasuredVolumeInput {
  @IsIn(['water', 'sand', 'batch']) by: MeasuredBy;
  /** mL */
  @IsNumber() volume: number;
  @IsOptional() @IsNumber() at?: number;
}

export class MouldShapeInput {
  @IsObject() @ValidateNested() @Type(() => SolidInput) outer: SolidInput;
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => PlacedSolidInput) cores: PlacedSolidInput[];
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => PlacedSolidInput)
  inserts: PlacedSolidInput[];
  @IsOptional() @ValidateNested() @Type(() => ShellInput) pressed?: ShellInput;
  @IsOptional() @ValidateNested() @Type(() => MeasuredVolumeInput) measured?: MeasuredVolumeInput;
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

/** A shape as it was described; the core judges whether it can be cast. */
export const shapeOf = ({ outer, cores, inserts, pressed, measured }: MouldShapeInput): MouldShape => ({
  outer: solidOf(outer),
  cores: cores.map(placedOf),
  inserts: inserts.map(placedOf),
  ...(pressed && { pressed: { ...pressed } }),
  ...(measured && { measured: { ...measured } }),
});
