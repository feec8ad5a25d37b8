import {
  handbookMaterials,
  measuredKinds,
  pieceGuides,
  polyhedronNames,
  type MeasuredSolid,
  type MouldStuff,
  type PieceKind,
  type PolyhedronName,
  type ProfileRadius,
  type SettingClass,
} from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { MouldShapeInput } from './moulds.js';

const settings = ['portland', 'fast-setting', 'gypsum', 'underlayment', 'patch', 'lime'];
const pieces = Object.keys(pieceGuides);

export class CavityQuestion {
  @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(['rigid', 'flexible']) stuff: MouldStuff;
  @IsIn(pieces) piece: PieceKind;
  /** Of the fresh mix, kg/L. */
  @IsOptional() @IsNumber() density?: number;
}

export class ProfilePointInput implements ProfileRadius {
  @IsNumber() height: number;
  @IsNumber() radius: number;
}

/** A solid by what a tape measures. Which sizes are wanted goes by `kind`; all are of the inside, in mm. */
export class SolidQuestion {
  @IsIn(measuredKinds) kind: MeasuredSolid['kind'];
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
  @IsOptional() @IsNumber() innerDiameter?: number;
  @IsOptional() @IsNumber() width?: number;
  /** Of an arc's centreline. */
  @IsOptional() @IsNumber() radius?: number;
  /** Degrees. */
  @IsOptional() @IsNumber() angle?: number;
  @IsOptional() @IsNumber() startRadius?: number;
  @IsOptional() @IsNumber() pitch?: number;
  @IsOptional() @IsNumber() turns?: number;
  @IsOptional() @IsIn(polyhedronNames) which?: PolyhedronName;
  @IsOptional() @IsNumber() edge?: number;
  /** Of a leaf's outline traced flat, mm². */
  @IsOptional() @IsNumber() area?: number;
  @IsOptional() @IsNumber() middle?: number;
}

export class PlainMixLine {
  /** A material of the handbook, such as grey-cement or sharp-sand. */
  @IsIn(handbookMaterials.map(({ key }) => key)) material: string;
  @IsNumber() parts: number;
}

export class MixQuestion {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(30)
  @ValidateNested({ each: true })
  @Type(() => PlainMixLine)
  lines: PlainMixLine[];
  @IsIn(['volume', 'mass']) by: 'volume' | 'mass';
  @IsInt() @Min(1) @Max(7) grade: 1 | 2 | 3 | 4 | 5 | 6 | 7;
  @IsIn(['indoors', 'outdoors', 'frost']) exposure: 'indoors' | 'outdoors' | 'frost';
  @IsOptional() @IsBoolean() packed?: boolean;
  @IsOptional() @IsNumber() @Min(0) @Max(60) dampDays?: number;
}

export class SheetItem {
  @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(pieces) piece: PieceKind;
  @IsInt() @Min(1) @Max(500) count: number;
}

export class SheetQuestion {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => SheetItem)
  items: SheetItem[];
  @ValidateNested() @Type(() => MixQuestion) mix: MixQuestion;
  /** Volume of the scoop struck level, mL. */
  @IsNumber() scoop: number;
  @IsIn([1, 0.5, 0.25]) step: 1 | 0.5 | 0.25;
  @IsNumber() @Min(0) @Max(1) spare: number;
  /** Brim volume of the bucket, mL. */
  @IsNumber() bucket: number;
  @IsNumber() temperature: number;
}

export class TemperaturePoint {
  /** Hours since the pour. */
  @IsNumber() hour: number;
  @IsNumber() temperature: number;
}

export class MaturityQuestion {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(5000)
  @ValidateNested({ each: true })
  @Type(() => TemperaturePoint)
  readings: TemperaturePoint[];
  /** Hours since the pour. */
  @IsNumber() @Min(0) @Max(100000) hours: number;
  @IsIn(settings) setting: SettingClass;
}

export class EvaporationQuestion {
  @IsNumber() concrete: number;
  @IsNumber() air: number;
  @IsNumber() humidity: number;
  @IsNumber() wind: number;
}

export class WeighingPoint {
  @IsNumber() @Min(0) hour: number;
  @IsNumber() @Min(0.1) mass: number;
  @IsNumber() @Min(0.01) step: number;
  @IsOptional() @IsNumber() temperature?: number;
  @IsOptional() @IsNumber() humidity?: number;
}

export class DryDownQuestion {
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => WeighingPoint) weighings: WeighingPoint[];
  /** Expected dry mass and loss, g. */
  @IsNumber() @Min(1) dry: number;
  @IsNumber() @Min(0.1) loss: number;
  @IsIn(settings) setting: SettingClass;
  @IsOptional() @IsBoolean() film?: boolean;
}
