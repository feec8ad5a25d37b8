import {
  mouldMaterials,
  pieceGuides,
  type MeasuredBy,
  type MouldMaterial,
  type MouldStuff,
  type PieceKind,
  type ShellSide,
} from '@dewpot/core';
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
import { MouldShapeInput, SolidInput } from './solids.js';

const pieces = Object.keys(pieceGuides);

export class CavityQuestion {
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(['rigid', 'flexible', 'apart']) stuff: MouldStuff;
  @IsIn(pieces) piece: PieceKind;
  /** Of the fresh mix, kg/L. */
  @IsOptional() @IsNumber() density?: number;
  /** Of the dry piece, kg/L. */
  @IsOptional() @IsNumber() dryDensity?: number;
  /** Largest grain of the mix, mm. */
  @IsOptional() @IsNumber() largestGrain?: number;
  /** Opening of the mesh laid in, mm. */
  @IsOptional() @IsNumber() meshOpening?: number;
  /** Of the empty cores, g. */
  @IsOptional() @IsNumber() coreMass?: number;
  @IsOptional() @IsBoolean() sleeve?: boolean;
  /** How far below its rim a jar is filled, mm. */
  @IsOptional() @IsNumber() fillGap?: number;
}

export class ShellQuestion {
  @IsObject() @ValidateNested() @Type(() => SolidInput) form: SolidInput;
  @IsIn(['over', 'inside', 'against']) side: ShellSide;
  /** Thicknesses to compare, mm. */
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @IsNumber({}, { each: true }) thicknesses: number[];
  /** Of the fresh mix, kg/L. */
  @IsOptional() @IsNumber() density?: number;
}

export class FillQuestion {
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  /** Heights to tell volumes for, mm. */
  @IsOptional() @IsArray() @ArrayMaxSize(100) @IsNumber({}, { each: true }) heights?: number[];
  /** Volumes to tell heights for, mL. */
  @IsOptional() @IsArray() @ArrayMaxSize(100) @IsNumber({}, { each: true }) volumes?: number[];
  /** Shares of layers, bottom up, which add up to 1. */
  @IsOptional() @IsArray() @ArrayMaxSize(20) @IsNumber({}, { each: true }) layers?: number[];
}

export class BallastQuestion {
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  /** Of the fresh mix, kg/L. */
  @IsNumber() density: number;
  /** Of the empty cores, g. */
  @IsOptional() @IsNumber() coreMass?: number;
  @IsOptional() @IsInt() @Min(1) @Max(12) lifts?: number;
}

export class MeasuredQuestion {
  @IsIn(['water', 'sand', 'batch']) by: MeasuredBy;
  /** What filled the mould, g. */
  @IsNumber() mass: number;
  /** Of what filled it, kg/L; water where left out. */
  @IsOptional() @IsNumber() density?: number;
}

export class TubQuestion {
  @IsString() @Length(1, 80) name: string;
  @IsObject() @ValidateNested() @Type(() => SolidInput) inside: SolidInput;
  @IsNumber() @Min(0) wall: number;
}

export class PairsQuestion {
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => TubQuestion)
  tubs: TubQuestion[];
  @IsNumber() wall: number;
  @IsNumber() base: number;
}

export class GrainQuestion {
  /** mm */
  @IsNumber() grain: number;
  @IsNumber() gap: number;
  @IsOptional() @IsNumber() meshOpening?: number;
}

export class LevelQuestion {
  @IsNumber() length: number;
  /** Degrees. */
  @IsNumber() slope: number;
}

export class MeshCutQuestion {
  @IsIn(['slab', 'wall']) piece: 'slab' | 'wall';
  /** Of the slab, or the way round the middle of the wall, mm. */
  @IsNumber() length: number;
  /** Of the slab, or the height of the wall, mm. */
  @IsNumber() width: number;
  @IsOptional() @IsNumber() cover?: number;
}

export class PanelBoxQuestion {
  @IsNumber() length: number;
  @IsNumber() width: number;
  @IsNumber() thickness: number;
}

export class ReleaseQuestion {
  @IsIn(Object.keys(mouldMaterials)) material: MouldMaterial;
}
