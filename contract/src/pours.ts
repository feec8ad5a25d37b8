import {
  finishes,
  insetFaces,
  MOST_INSET_POINTS,
  type Finish,
  type Grade,
  type Inset,
  type InsetFace,
  type PlanPoint,
  type PourLog,
  type PourPlan,
  type ScoopStep,
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
  IsUUID,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import type { RunLesson } from './run.js';
import { ColouringInput } from './tints.js';

export const letterFaces = ['serif', 'plain'] as const;
export type LetterFace = (typeof letterFaces)[number];

/** What an inset's loops were set from, so that they can be set anew. */
export class LettersInput {
  @IsString() @Length(1, 60) text: string;
  @IsIn(letterFaces) font: LetterFace;
  /** Height of capitals, mm. */
  @IsNumber() @Min(3) @Max(1000) height: number;
}

/** Lettering or a picture that is laid in a mould. */
export class InsetInput implements Inset {
  @IsString() @Length(1, 80) name: string;
  /** Closed loops as it is read on the finished cast, [x, y] in mm about their middle, y up. */
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(MOST_INSET_POINTS / 3) loops: PlanPoint[][];
  @IsIn(insetFaces) face: InsetFace;
  /** mm */
  @IsNumber() thickness: number;
  @IsOptional() @IsNumber() x?: number;
  @IsOptional() @IsNumber() y?: number;
  /** Degrees. */
  @IsOptional() @IsNumber() turn?: number;
  @IsOptional() @IsBoolean() stays?: boolean;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => LettersInput) letters?: LettersInput;
}

export class PourItemInput {
  @IsUUID() mouldId: string;
  @IsInt() @Min(1) @Max(500) count: number;
  /** Height to which it is filled, mm; to the rim where left out. */
  @IsOptional() @IsNumber() fillTo?: number;
  /** The mix that fills it, where that is not the pour's own. */
  @IsOptional() @IsUUID() mixId?: string;
  /** In tints; in the mix's own colour where it is left out. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => ColouringInput) colouring?: ColouringInput;
  /** Mesh is laid in at half depth; as the mould usually is where it is left out. */
  @IsOptional() @IsBoolean() mesh?: boolean;
  /** Inserts of the mould, by name, that are left out this time. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @IsString({ each: true })
  @Length(1, 80, { each: true })
  without?: string[];
  @IsOptional() @IsObject() @ValidateNested() @Type(() => InsetInput) inset?: InsetInput;
}

/** What a person chooses for a pour. */
export class PourInput {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => PourItemInput)
  items: PourItemInput[];
  @IsUUID() mixId: string;
  @IsInt() @Min(1) @Max(7) grade: Grade;
  @IsNumber() @Min(0) @Max(1) spare: number;
  /** Moisture of damp materials, share of dry mass by material id. */
  @IsObject() moisture: Record<string, number>;
  @IsUUID() scoopId: string;
  /** The scoop is heaped, and not struck level. */
  @IsOptional() @IsBoolean() heaped?: boolean;
  @IsIn([1, 0.5, 0.25]) step: ScoopStep;
  @IsNumber() @Min(-10) @Max(50) temperature: number;
  @IsOptional() @IsString() @Length(0, 60) release?: string;
  @IsOptional() @IsString() @Length(0, 60) cover?: string;
  @IsOptional() @IsString() @Length(0, 60) place?: string;
  /** How open faces of slabs are left. */
  @IsOptional() @IsIn(finishes) finish?: Finish;
  /** Pairs of hands at the bench. */
  @IsOptional() @IsInt() @Min(1) @Max(6) people?: number;
  /** An earlier pour whose colour it is to match. */
  @IsOptional() @IsUUID() matches?: string;
  @IsInt() @Min(0) version: number;
}

export class PourLogInput implements PourLog {
  @IsObject() used: Record<string, number>;
  @IsNumber() tap: number;
  @IsInt() @Min(1) @Max(7) grade: Grade;
  @IsNumber() temperature: number;
  @IsOptional() @IsNumber() leftover?: number;
  /** Missing to fill the moulds, mL. */
  @IsOptional() @IsNumber() short?: number;
}

/** One cast that a finished pour makes; its key is made by whoever finishes it. */
export class NewCast {
  @IsUUID() id: string;
  /** Which of the pour's items it is of. */
  @IsInt() @Min(0) item: number;
}

export class PourFinish {
  /** What really went in, one for each mix of the pour, in their order. */
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => PourLogInput)
  logs: PourLogInput[];
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => NewCast) casts: NewCast[];
  /** When the mix went into the moulds, ms. */
  @IsInt() @Min(0) pouredAt: number;
}

/** What a pour makes of one mix. */
export interface PourPart {
  readonly mixId: string;
  readonly mixName: string;
  /** Which version of the mix it is. */
  readonly mixEdition: number;
  /** How the mix itself dries, #rrggbb. */
  readonly colour: string;
  /** Which of the pour's items it fills, in the order of its plan. */
  readonly items: readonly number[];
  /** Copies of moulds, mix and scoop as they were. */
  readonly plan: PourPlan;
  /** By how much its finishing windows come later than the handbook's, as earlier runs taught. */
  readonly windows?: number;
  /** What was really used, once it is poured. */
  readonly log?: PourLog;
}

export type PourStatus = 'planned' | 'started' | 'finished';

export interface PourView {
  readonly id: string;
  readonly number: number;
  readonly version: number;
  readonly status: PourStatus;
  readonly input: Omit<PourInput, 'version'>;
  /** What is poured of each mix, the pour's own first. */
  readonly parts: readonly PourPart[];
  readonly startedAt?: number;
  readonly pouredAt?: number;
  /** What its run at the bench taught, mix by mix. */
  readonly lessons?: readonly RunLesson[];
}
