import { binderClasses, type BinderClass } from '@dewpot/core/binders';
import {
  bulkings,
  handbookMaterials,
  materialKinds,
  scoopSteps,
  type Bulking,
  type MaterialKind,
  type ScoopStep,
} from '@dewpot/core/materials';
import {
  colourWhens,
  exposures,
  heldValues,
  mixingOrders,
  partsBy,
  type ColourWhen,
  type Exposure,
  type Grade,
  type Held,
  type MixingOrder,
  type PartsBy,
} from '@dewpot/core/mixes';
import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import {
  MOST_MOISTURE,
  Amount,
  AmountByKey,
  Amounts,
  Celsius,
  Density,
  Grams,
  ListOf,
  Millilitres,
  Millimetres,
  Part,
  Share,
  Text,
  Whole,
} from './limits.js';
import { ProductFigures, SettingTimesInput } from './materials.js';

/** Materials of the handbook, by which scripts name theirs. */
export const handbookKeys = handbookMaterials.map(({ key }) => key);

/** A material whose figures come with the question: one of the handbook with some of them changed, or one's own with all. */
export class QuestionMaterial extends ProductFigures {
  /** By which lines and doses name it; a key of the handbook stands for that material from here on. */
  @Text(1, 60) key: string;
  /** The handbook's material whose figures hold where none are given; by default the one of that key. */
  @IsOptional() @IsIn(handbookKeys) like?: string;
  @IsOptional() @Text(1, 80) name?: string;
  @IsOptional() @IsIn(materialKinds) kind?: MaterialKind;
  /** Loose as it is scooped, and as it takes room in the mix, kg/L. */
  @IsOptional() @Density() bulk?: number;
  @IsOptional() @Density() particle?: number;
  /** Share of dry mass. */
  @IsOptional() @Amount(0, 20) absorption?: number;
  /** kg of water per kg. */
  @IsOptional() @Amount(0, 20) demand?: number;
  /** mm */
  @IsOptional() @Amount(0, 1000) largestGrain?: number;
  @IsOptional() @IsIn(bulkings) bulking?: Bulking;
}

/** Materials that come with a question. */
export class WithMaterials {
  @IsOptional()
  @ListOf(() => QuestionMaterial, { most: 50 })
  materials?: readonly QuestionMaterial[];
}

export class PlainMixLine {
  /** A material of the handbook, such as grey-cement or sharp-sand, or one that comes with the question. */
  @Text(1, 60) material: string;
  @Amount(0, 100_000) parts: number;
  /** Where it differs from the mix. */
  @IsOptional() @IsIn(partsBy) by?: PartsBy;
}

export class PlainDose {
  /** An additive of the handbook, such as red-oxide or pp-fibre, or one that comes with the question. */
  @Text(1, 60) material: string;
  /** Share of its base's mass or of the fresh volume, or kg/m³, as its kind says. */
  @Amount(0, 1000) amount: number;
}

export class MixQuestion extends WithMaterials {
  @ListOf(() => PlainMixLine, { least: 1, most: 30 })
  lines: readonly PlainMixLine[];
  @IsOptional()
  @ListOf(() => PlainDose, { most: 20 })
  doses?: readonly PlainDose[];
  @IsIn(partsBy) by: PartsBy;
  @Whole(1, 7) grade: Grade;
  @IsIn(exposures) exposure: Exposure;
  @IsOptional() @IsBoolean() packed?: boolean;
  @IsOptional() @IsBoolean() limeCounts?: boolean;
  @IsOptional() @Amount(0, 60) moistCuringDays?: number;
  /** Months since the cement was opened. */
  @IsOptional() @Amount(0, 240) cementMonths?: number;
  /** Wanted free water to cement: the water is made to it, in place of the consistency. */
  @IsOptional() @Amount(0, 5) ratio?: number;
  /** Pot life and initial set as they are known of this mix. */
  @IsOptional() @Part(() => SettingTimesInput) times?: SettingTimesInput;
}

/** A question about a batch of a mix, of that fresh volume, mL. */
export class BatchQuestion {
  @Part(() => MixQuestion) mix: MixQuestion;
  @Millilitres() volume: number;
  /** Share of dry mass by material. */
  @IsOptional() @AmountByKey(0, MOST_MOISTURE) moisture?: Record<string, number>;
}

export class WeighedDosesQuestion extends BatchQuestion {
  /** Step of the scale, g. */
  @Amount(0.001, 1000) scaleStep: number;
}

export class WaterQuestion extends BatchQuestion {
  @IsIn(mixingOrders) order: MixingOrder;
}

/** A batch that is needed, and what it is measured with. */
export class MeasuresQuestion extends BatchQuestion {
  /** Volumes of the scoops struck level, mL; the first is the one at hand. */
  @Amounts(1, 100_000, { most: 20 }) scoops: readonly number[];
  @IsIn(scoopSteps) step: ScoopStep;
  /** Step of the scale, g. */
  @Amount(0.001, 1000) scaleStep: number;
  /** How much may be left over, as a share of the volume. */
  @IsOptional() @Share() spare?: number;
  @IsOptional() @IsIn(binderClasses) binderClass?: BinderClass;
}

export class TooWetQuestion extends BatchQuestion {
  /** Water that went in, in all, g. */
  @Grams() really: number;
}

export class SizeQuestion {
  @Part(() => MixQuestion) mix: MixQuestion;
  @IsIn(['volume', 'bucket', 'mass']) to: 'volume' | 'bucket' | 'mass';
  /** mL, mL to the brim, or g. */
  @Amount(0, 1e7) size: number;
  /** Which material's mass. */
  @IsOptional() @Text(1, 60) material?: string;
}

export class HoldQuestion {
  @Part(() => MixQuestion) mix: MixQuestion;
  /** Index of the line that changes, from 0. */
  @Whole(0, 29) line: number;
  @Amount(0, 100_000) parts: number;
  @IsIn(heldValues) hold: Held;
  /** Index of the line that gives way. */
  @IsOptional() @Whole(0, 29) adjust?: number;
}

export class LightenQuestion {
  @Part(() => MixQuestion) mix: MixQuestion;
  /** Of the dry density. */
  @Share() share: number;
  @Text(1, 60) light: string;
}

export class ComparedMix {
  @Text(1, 80) name: string;
  @Part(() => MixQuestion) mix: MixQuestion;
  @IsIn(binderClasses) binderClass: BinderClass;
}

export class CompareQuestion {
  @ListOf(() => ComparedMix, { least: 1, most: 4 })
  mixes: readonly ComparedMix[];
  @Celsius() temperature: number;
  /** Of one piece, mL. */
  @Millilitres() volume: number;
}

export class MethodQuestion {
  @Part(() => MixQuestion) mix: MixQuestion;
  @IsIn(binderClasses) binderClass: BinderClass;
  @IsOptional() @IsIn(mixingOrders) order?: MixingOrder;
  @IsOptional() @IsIn(colourWhens) colour?: ColourWhen;
}

/** How long a mix can be placed, and when it sets. */
export class TimesQuestion {
  @Part(() => MixQuestion) mix: MixQuestion;
  @IsIn(binderClasses) binderClass: BinderClass;
  @Celsius() temperature: number;
}

/** The same recipe by the other measure. */
export class PartsQuestion {
  @Part(() => MixQuestion) mix: MixQuestion;
  @IsIn(partsBy) to: PartsBy;
}

export class SpreadQuestion {
  /** Diameters, mm. */
  @Millimetres() puddle: number;
  @Millimetres() cup: number;
}

export class BulkQuestion {
  /** g */
  @Grams() mass: number;
  @Amount(0.01, 10_000) scoops: number;
  /** mL */
  @Amount(1, 100_000) scoop: number;
}

export class MoistureQuestion {
  /** A handful, damp and dried, g. */
  @Grams() damp: number;
  @Grams() dry: number;
}

/** One batch as it was: what it is learned from. */
export class LearnedBatch {
  @Part(() => MixQuestion) mix: MixQuestion;
  /** Fresh volume calculated, mL. */
  @Millilitres() volume: number;
  /** Water that went in, in all, g. */
  @Grams() water: number;
  @Whole(1, 7) grade: Grade;
}

export class LearnedQuestion {
  @ListOf(() => LearnedBatch, { most: 200 })
  batches: readonly LearnedBatch[];
}

export class WantedMaterial {
  @Text(1, 80) material: string;
  /** g */
  @Grams() mass: number;
}

export class PlainLot {
  @Text(1, 80) material: string;
  /** g */
  @Amount(1, 1e9) bought: number;
  @Amount(0, 1e9) left: number;
  @Amount(0, 1e7) price: number;
  @IsOptional() @Whole(1, 1000) bags?: number;
}

export class ShoppingQuestion {
  @ListOf(() => WantedMaterial, { most: 100 }) wanted: readonly WantedMaterial[];
  @ListOf(() => PlainLot, { most: 500 }) lots: readonly PlainLot[];
}

/** What a batch costs by its lots, and how large a batch they allow. */
export class CostQuestion extends BatchQuestion {
  @ListOf(() => PlainLot, { most: 500 }) lots: readonly PlainLot[];
}
