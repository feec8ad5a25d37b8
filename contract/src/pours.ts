import { findingKeys, type FindingKey } from '@dewpot/core/units';
import { insetFaces, MOST_INSET_POINTS, type Inset, type InsetFace } from '@dewpot/core/moulds';
import type { PlanPoint } from '@dewpot/core/solids';
import { scoopSteps, type ScoopStep } from '@dewpot/core/materials';
import type { DealtTrial } from '@dewpot/core/findings';
import { measuringWays, type MeasuringWay } from '@dewpot/core/measuring';
import type { Grade } from '@dewpot/core/mixes';
import type { PutAside } from '@dewpot/core/judging';
import type { MixLesson, PourChoices, PourPart, RunLesson } from '@dewpot/core/planning';
import { finishes, type Finish, type PourLog } from '@dewpot/core/pours';
import { pieceUses, type PieceUse } from '@dewpot/core/sealing';
import { IsBoolean, IsIn, IsOptional, IsUUID } from 'class-validator';
import {
  MOST_MASS,
  MOST_MOISTURE,
  Amount,
  AmountByKey,
  Celsius,
  Choices,
  Grams,
  ListOf,
  Loops,
  Millilitres,
  Millimetres,
  Offset,
  Part,
  Share,
  Text,
  Texts,
  Time,
  Version,
  Whole,
} from './limits.js';
import { ColouringInput } from './tints.js';

export const letterFaces = ['serif', 'plain'] as const;
export type LetterFace = (typeof letterFaces)[number];

/** What an inset's loops were set from, so that they can be set again. */
export class LettersInput {
  @Text(1, 60) text: string;
  @IsIn(letterFaces) font: LetterFace;
  /** Height of capitals, mm. */
  @Amount(3, 1000) height: number;
}

/** Lettering or a picture that is laid in a mould. */
export class InsetInput implements Inset {
  @Text(1, 80) name: string;
  /** Closed loops as it is read on the finished cast, [x, y] in mm about their middle, y up. */
  @Loops({ least: 1, most: MOST_INSET_POINTS / 3 }, MOST_INSET_POINTS) loops: readonly (readonly PlanPoint[])[];
  @IsIn(insetFaces) face: InsetFace;
  /** mm */
  @Millimetres(0) thickness: number;
  @IsOptional() @Offset() x?: number;
  @IsOptional() @Offset() y?: number;
  /** Degrees. */
  @IsOptional() @Amount(-360, 360) turn?: number;
  @IsOptional() @IsBoolean() stays?: boolean;
  @IsOptional() @Part(() => LettersInput) letters?: LettersInput;
}

export class PourItemInput {
  @IsUUID() mouldId: string;
  @Whole(1, 500) count: number;
  /** Height to which it is filled, mm; to the rim where left out. */
  @IsOptional() @Offset() fillTo?: number;
  /** The mix that fills it, where that is not the pour's own. */
  @IsOptional() @IsUUID() mixId?: string;
  /** In tints; in the mix's own colour where it is left out. */
  @IsOptional() @Part(() => ColouringInput) colouring?: ColouringInput;
  /** It may be filled from more than one batch; not where its faces must match. */
  @IsOptional() @IsBoolean() split?: boolean;
  /** Mesh is laid in at half depth; as the mould usually is where it is left out. */
  @IsOptional() @IsBoolean() mesh?: boolean;
  /** Inserts of the mould, by name, that are left out this time. */
  @IsOptional()
  @Texts(1, 80, { most: 40 })
  without?: readonly string[];
  @IsOptional() @Part(() => InsetInput) inset?: InsetInput;
  /** The line of an order that it is poured for. */
  @IsOptional() @IsUUID() orderLine?: string;
}

/** A finding of one pour that is put aside, once. */
export class PutAsideInput implements PutAside {
  @IsIn(findingKeys) key: FindingKey;
  @IsUUID() mouldId: string;
  @Text(1, 300) reason: string;
}

/** What a person chooses for a pour. */
export class PourInput implements PourChoices {
  @ListOf(() => PourItemInput, { least: 1, most: 100 })
  items: readonly PourItemInput[];
  @IsUUID() mixId: string;
  @Whole(1, 7) grade: Grade;
  @Share() spare: number;
  /** Moisture of damp materials, share of dry mass by material id. */
  @AmountByKey(0, MOST_MOISTURE) moisture: Record<string, number>;
  /** The scoop at hand; the workshop's first where it is left out, and the scale where there is none. */
  @IsOptional() @IsUUID() scoopId?: string;
  /** The scoop is heaped, and not struck level. */
  @IsOptional() @IsBoolean() heaped?: boolean;
  @IsIn(scoopSteps) step: ScoopStep;
  /** How it is measured out; as is best where it is left out. */
  @IsOptional() @IsIn(measuringWays) measuring?: MeasuringWay;
  @Amount(-10, 50) temperature: number;
  @IsOptional() @Text(0, 60) release?: string;
  @IsOptional() @Text(0, 60) cover?: string;
  @IsOptional() @Text(0, 60) place?: string;
  /** How open faces of slabs are left. */
  @IsOptional() @IsIn(finishes) finish?: Finish;
  /** Pairs of hands at the bench. */
  @IsOptional() @Whole(1, 6) people?: number;
  /** An earlier pour whose colour it is to match. */
  @IsOptional() @IsUUID() matches?: string;
  /** What the pieces are for. */
  @IsOptional() @Choices(pieceUses, { most: 10 }) uses?: readonly PieceUse[];
  /** What speaks against it and is put aside this once. */
  @IsOptional() @ListOf(() => PutAsideInput, { most: 100 }) aside?: readonly PutAsideInput[];
  /** The trial whose ways its copies are dealt. */
  @IsOptional() @IsUUID() trialId?: string;
  @Version() version: number;
}

export class PourLogInput implements PourLog {
  @AmountByKey(0, MOST_MASS) used: Record<string, number>;
  @Grams() tap: number;
  @Whole(1, 7) grade: Grade;
  @Celsius() temperature: number;
  @IsOptional() @Millilitres() leftover?: number;
  /** Missing to fill the moulds, mL. */
  @IsOptional() @Millilitres() short?: number;
}

/** One cast that a finished pour makes; its key is made by whoever finishes it. */
export class NewCast {
  @IsUUID() id: string;
  /** Which of the pour's items it is of. */
  @Whole(0, 99) item: number;
  /** Which copy of that item it is; the next one where it is left out. */
  @IsOptional() @Whole(0, 499) copy?: number;
}

export class PourFinish {
  /** What really went in, one for each mix of the pour, in their order. */
  @ListOf(() => PourLogInput, { least: 1, most: 100 })
  logs: readonly PourLogInput[];
  @ListOf(() => NewCast, { least: 1, most: 2000 }) casts: readonly NewCast[];
  /** When the mix went into the moulds, ms. */
  @Time() pouredAt: number;
}

export const pourStatuses = ['planned', 'started', 'finished'] as const;
export type PourStatus = (typeof pourStatuses)[number];

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
  /** Which copy gets which way of a trial. */
  readonly trial?: DealtTrial;
}

/** What earlier pours tell the next one. */
export interface PastPoursView {
  /** What each of them taught of its mixes, the oldest first. */
  readonly lessons: readonly MixLesson[];
  /** What their runs at the bench taught, the oldest first. */
  readonly runs: readonly RunLesson[];
  /** What was chosen for the last one that was poured. */
  readonly last?: Omit<PourInput, 'version'>;
  /** How each mix was measured when that was last chosen, the newest first. */
  readonly measured: readonly { readonly mixId: string; readonly measuring: MeasuringWay }[];
}
