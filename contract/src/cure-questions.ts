import {
  coversInOrder,
  dampSchools,
  liftOutRisks,
  liftOutsCame,
  pieceGuides,
  type Cover,
  type DampSchool,
  type DateOrder,
  type LiftOutCame,
  type LiftOutCare,
  type LiftOutRecord,
  type PieceKind,
  type PlaceKind,
  type SettingClass,
  type Stroke,
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
  IsObject,
  IsOptional,
  IsString,
  IsTimeZone,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { WakingInput } from './accounts.js';
import { strokes } from './cast-events.js';
import { AirReadingInput, MOST_READINGS, placeKinds } from './climate.js';
import { settingClasses } from './mixes.js';
import { MouldShapeInput } from './solids.js';

const MOST_EVENTS = 2000;
const pieceKinds = Object.keys(pieceGuides);

export class TemperaturePoint {
  @IsNumber() hour: number;
  @IsNumber() @Min(-40) @Max(90) temperature: number;
}

/** Temperatures that a piece stands in, and its binder. */
class TemperatureSeries {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_READINGS)
  @ValidateNested({ each: true })
  @Type(() => TemperaturePoint)
  readings: TemperaturePoint[];
  @IsIn(settingClasses) setting: SettingClass;
}

export class MaturityQuestion extends TemperatureSeries {
  /** Hours since the pour. */
  @IsNumber() @Min(0) @Max(100000) hours: number;
  /** Under this it stands still, °C: −10, or 0 in the stricter school. */
  @IsOptional() @IsIn([-10, 0]) datum?: number;
}

export class LiftOutRecordInput implements LiftOutRecord {
  /** Equivalent hours at 20 °C. */
  @IsNumber() age: number;
  @IsIn(liftOutsCame) came: LiftOutCame;
}

/** The lift-outs of a mould with a mix so far, in the order of time. */
export class LiftOutQuestion {
  @IsIn(settingClasses) setting: SettingClass;
  @IsIn(pieceKinds) piece: PieceKind;
  @IsArray()
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => LiftOutRecordInput)
  records: LiftOutRecordInput[];
  @IsOptional() @IsIn(Object.keys(liftOutRisks)) care?: LiftOutCare;
  /** How many records there were when it was last to be tried earlier again. */
  @IsOptional() @IsInt() @Min(0) @Max(500) triedAgainAt?: number;
}

/** A mould full of a mix, and the temperatures it stands in: when is each thing good? */
export class WindowsQuestion extends TemperatureSeries {
  @IsIn(pieceKinds) piece: PieceKind;
  @IsObject() @ValidateNested() @Type(() => MouldShapeInput) shape: MouldShapeInput;
  @IsOptional() @IsBoolean() accelerated?: boolean;
  /** What was put on mould and cores; “none” for bare ones. */
  @IsOptional() @IsString() @Length(0, 60) release?: string;
}

export class WeatherQuestion extends TemperatureSeries {
  /** Hours since the pour: what lies before it is past. */
  @IsNumber() @Min(0) @Max(100000) now: number;
  /** 28-day strength, MPa. */
  @IsOptional() @IsNumber() @Min(0.1) @Max(200) strength?: number;
}

export class EvaporationQuestion {
  @IsNumber() concrete: number;
  @IsNumber() air: number;
  @IsNumber() humidity: number;
  @IsNumber() wind: number;
}

/** A face in its air: what would each cover do, and when is it wetted? */
export class CoversQuestion extends EvaporationQuestion {
  @IsBoolean() lightweight: boolean;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => WakingInput) waking?: WakingInput;
}

export class MistingQuestion extends CoversQuestion {
  @IsIn(coversInOrder) cover: Cover;
}

export class FaceHourInput {
  @IsNumber() @Min(0) from: number;
  @IsNumber() @Min(0) to: number;
  /** kg/m²/h, what the cover lets through counted in. */
  @IsNumber() @Min(0) @Max(20) evaporation: number;
}

/** What left a face hour by hour, and when it was wetted. */
export class SurfaceQuestion {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_READINGS)
  @ValidateNested({ each: true })
  @Type(() => FaceHourInput)
  stretches: FaceHourInput[];
  @IsArray() @ArrayMaxSize(MOST_EVENTS) @IsNumber({}, { each: true }) wettings: number[];
  @IsBoolean() lightweight: boolean;
}

export class DampEndQuestion {
  @IsIn(settingClasses) setting: SettingClass;
  @IsIn(['share', 'days', 'school']) by: 'share' | 'days' | 'school';
  @IsOptional() @IsNumber() @Min(0.3) @Max(0.95) share?: number;
  @IsOptional() @IsNumber() @Min(0) @Max(90) days?: number;
  @IsOptional() @IsIn(Object.keys(dampSchools)) school?: DampSchool;
  /** Lightweight, or to meet frost. */
  @IsOptional() @IsBoolean() longer?: boolean;
}

export class PhReadingInput {
  /** ms */
  @IsNumber() at: number;
  @IsNumber() ph: number;
}

export class LeachingQuestion {
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => PhReadingInput) readings: PhReadingInput[];
  @IsInt() @Min(0) @Max(100) soaks: number;
}

/** A logger's readings: which of them count, and what is bridged. */
export class AirSeriesQuestion {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_READINGS)
  @ValidateNested({ each: true })
  @Type(() => AirReadingInput)
  readings: AirReadingInput[];
  /** ms */
  @IsNumber() now: number;
}

export class AirFileQuestion {
  /** The file as text. */
  @IsString() @Length(1, 2_000_000) text: string;
  @IsTimeZone() zone: string;
  @IsOptional() @IsIn(['day-first', 'month-first']) order?: DateOrder;
}

export class FollowQuestion {
  @IsArray()
  @ArrayMaxSize(MOST_READINGS)
  @ValidateNested({ each: true })
  @Type(() => AirReadingInput)
  place: AirReadingInput[];
  @IsArray()
  @ArrayMaxSize(MOST_READINGS)
  @ValidateNested({ each: true })
  @Type(() => AirReadingInput)
  outdoors: AirReadingInput[];
  @IsIn(placeKinds) kind: PlaceKind;
  /** Weather ahead, to be told as it will be in the place. */
  @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => AirReadingInput) ahead: AirReadingInput[];
}

/** Where a stroke is put off to. */
export class SnoozeQuestion {
  @IsIn(strokes) stroke: Stroke;
  /** Its window, ms. */
  @IsNumber() early: number;
  @IsNumber() good: number;
  @IsNumber() late: number;
  @IsNumber() until: number;
}
