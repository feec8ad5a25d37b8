import {
  mouldFlexibilities,
  mouldMaterials,
  pieceKinds,
  releases,
  type MouldFlexibility,
  type MouldMaterial,
  type PieceKind,
  type ReleaseName,
} from '@dewpot/core/moulds';
import { binderClasses, type BinderClass } from '@dewpot/core/binders';
import { scoopSteps, type ScoopStep } from '@dewpot/core/materials';
import { measuringWays, type MeasuringWay } from '@dewpot/core/measuring';
import type { HourAhead, MouldTraits } from '@dewpot/core/judging';
import { finishes, type Finish } from '@dewpot/core/pours';
import { pieceUses, type PieceUse } from '@dewpot/core/sealing';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import {
  LATEST,
  MOST_VOLUME,
  Amount,
  Amounts,
  Celsius,
  Choices,
  Grams,
  ListOf,
  Millilitres,
  Offset,
  Part,
  Share,
  Text,
  Time,
  Whole,
} from './limits.js';
import { ListOfKind } from './kinds.js';
import { MixQuestion } from './mix-questions.js';
import { InsetInput } from './pours.js';
import { runEvents, type RunEventTold } from './run.js';
import { MouldShapeInput } from './solids.js';

/** What is known of a mould beyond its shape. */
export class TraitsInput implements MouldTraits {
  @IsIn(mouldFlexibilities) flexibility: MouldFlexibility;
  @IsOptional() @IsIn(Object.keys(mouldMaterials)) material?: MouldMaterial;
  @IsOptional() @IsBoolean() sleeve?: boolean;
  /** Opening of the mesh that is laid in, mm. */
  @IsOptional() @Amount(0.5, 500) meshOpening?: number;
  /** Of the empty cores together, g. */
  @IsOptional() @Amount(0, 200_000) coreMass?: number;
}

export class SheetItem {
  @IsOptional() @Text(1, 80) name?: string;
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(pieceKinds) piece: PieceKind;
  @Whole(1, 500) count: number;
  /** It may be filled from more than one batch; not where its faces must match. */
  @IsOptional() @IsBoolean() split?: boolean;
  /** Mesh is laid in at half depth. */
  @IsOptional() @IsBoolean() mesh?: boolean;
  @IsOptional() @Part(() => InsetInput) inset?: InsetInput;
  /** What the mould is, as far as it is known: how the cast comes out and which release agent it needs are judged by it. */
  @IsOptional() @Part(() => TraitsInput) mould?: TraitsInput;
}

/** An hour ahead by a forecast. */
export class HourAheadInput implements HourAhead {
  @Celsius() temperature: number;
  /** A share. */
  @Share() humidity: number;
  /** km/h */
  @Amount(0, 200) wind: number;
}

export class SheetQuestion {
  @ListOf(() => SheetItem, { least: 1, most: 100 })
  items: readonly SheetItem[];
  @Part(() => MixQuestion) mix: MixQuestion;
  /** Volume of the scoop at hand struck level, mL; without one all is weighed. */
  @IsOptional() @Amount(1, 100_000) scoop?: number;
  /** Volumes of all scoops, mL. */
  @IsOptional() @Amounts(1, 100_000, { most: 20 }) scoops?: readonly number[];
  @IsIn(scoopSteps) step: ScoopStep;
  /** Step of the scale, g. */
  @IsOptional() @Amount(0.001, 1000) scaleStep?: number;
  /** How it is measured out; as is best where it is left out. */
  @IsOptional() @IsIn(measuringWays) measuring?: MeasuringWay;
  @Share() spare: number;
  /** Brim volume of the bucket, mL. */
  @Amount(100, 1e6) bucket: number;
  @Celsius() temperature: number;
  @IsOptional() @IsIn(binderClasses) binderClass?: BinderClass;
  @IsOptional() @IsIn(Object.keys(releases)) release?: ReleaseName;
  /** What the pieces are for. */
  @IsOptional() @Choices(pieceUses, { most: 10 }) uses?: readonly PieceUse[];
  /** What the mix is not for, in its owner's words. */
  @IsOptional() @Text(0, 300) unfit?: string;
  /** The next hours, two days at most. */
  @IsOptional() @ListOf(() => HourAheadInput, { most: 48 }) ahead?: readonly HourAheadInput[];
}

export class HourQuestion extends SheetQuestion {
  /** When it begins, ms. */
  @Time() start: number;
  @IsOptional() @IsIn(finishes) finish?: Finish;
  @IsOptional() @Whole(1, 6) people?: number;
}

/** A pour and what happened at the bench so far. */
export class RunQuestion extends SheetQuestion {
  @ListOfKind(runEvents, { most: 500 }) events: readonly RunEventTold[];
}

export class BatchesQuestion {
  /** What each mould takes, mL. */
  @Amounts(0, MOST_VOLUME, { least: 1, most: 500 }) volumes: readonly number[];
  /** They may be filled from more than one batch. */
  @IsOptional() @IsBoolean() split?: boolean;
  /** Brim volume of the bucket, mL. */
  @Amount(100, 1e6) bucket: number;
  /** Minutes in which the mix can be placed, and what mixing and filling one mould take of them. */
  @Amount(0, 10_000) potLife: number;
  @Amount(0, 10_000) mixing: number;
  @Amount(0, 10_000) filling: number;
}

export class CatchMouldInput {
  @Text(1, 80) id: string;
  @Text(1, 80) name: string;
  @Millilitres() volume: number;
}

/** A piece that a foot may be cast for. */
export class FootedInput {
  @Text(1, 80) name: string;
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  @IsIn(pieceKinds) piece: PieceKind;
}

export class LeftoverQuestion {
  /** mL */
  @Millilitres() leftover: number;
  @IsOptional()
  @ListOf(() => FootedInput, { most: 100 })
  feet?: readonly FootedInput[];
  @ListOf(() => CatchMouldInput, { most: 500 }) moulds: readonly CatchMouldInput[];
}

export class OwnedCopyInput {
  @Text(1, 20) mark: string;
  @IsBoolean() retired: boolean;
  @IsBoolean() leaks: boolean;
}

export class FullMouldInput {
  @Text(1, 80) name: string;
  @Text(1, 60) place: string;
  /** Full, g. */
  @Grams() mass: number;
  /** When it is good to demould, ms. */
  @Time() freeAt: number;
  /** It cannot be moved, whatever it weighs: a panel, a strip mould, a leaf over sand. */
  @IsOptional() @IsBoolean() fixed?: boolean;
}

export class FreeQuestion {
  @Text(1, 80) name: string;
  @ListOf(() => OwnedCopyInput, { most: 500 }) copies: readonly OwnedCopyInput[];
  /** When each copy that stands full is good to demould, ms. */
  @Amounts(0, LATEST, { most: 500 }) full: readonly number[];
  @Whole(1, 500) count: number;
}

export class CutQuestion {
  @ListOf(() => SheetItem, { least: 1, most: 100 })
  items: readonly SheetItem[];
}

/** Lettering or a picture in a mould. */
export class InsetQuestion {
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  @Part(() => InsetInput) inset: InsetInput;
  /** Height to which the mould is filled, mm; to the rim where it is left out. */
  @IsOptional() @Offset() fillTo?: number;
  @IsOptional() @IsIn(pieceKinds) piece?: PieceKind;
}

/** Full moulds, and from which mass on they are not moved. */
export class SpotsQuestion {
  @ListOf(() => FullMouldInput, { most: 500 }) full: readonly FullMouldInput[];
  /** g */
  @Grams() liftLimit: number;
  @IsOptional() @Text(0, 60) place?: string;
}
