import { binderClasses, type BinderClass } from '@dewpot/core/binders';
import {
  colourWhens,
  exposures,
  mixingOrders,
  partsBy,
  type ColourWhen,
  type Difference,
  type Exposure,
  type Grade,
  type MixingOrder,
  type MixingWays,
  type PartsBy,
} from '@dewpot/core/mixes';
import { Equals, IsBoolean, IsHexColor, IsIn, IsOptional, IsUUID } from 'class-validator';
import { Amount, ListOf, Part, Text, Version, Whole } from './limits.js';
import { MaterialFigures, SettingTimesInput } from './materials.js';

export class MixLineInput {
  @IsUUID() materialId: string;
  @Amount(0, 100_000) parts: number;
  /** Where it differs from the mix. */
  @IsOptional() @IsIn(partsBy) by?: PartsBy;
}

export class DoseInput {
  @IsUUID() materialId: string;
  /** Share of its base's mass or of the fresh volume, or kg/m³, as its kind of additive says. */
  @Amount(0, 1000) amount: number;
}

export class MixingWaysInput implements MixingWays {
  @IsOptional() @IsIn(mixingOrders) order?: MixingOrder;
  @IsOptional() @IsIn(colourWhens) colour?: ColourWhen;
}

/** What a mix says of itself, but for its lines and doses. */
export class MixWords {
  @Text(1, 80) name: string;
  @IsIn(partsBy) by: PartsBy;
  @Whole(1, 7) grade: Grade;
  @IsIn(exposures) exposure: Exposure;
  @IsBoolean() packed: boolean;
  @IsIn(binderClasses) binderClass: BinderClass;
  /** Moist curing, days. */
  @Amount(0, 60) moistCuringDays: number;
  /** How it looks cured and dry. */
  @IsHexColor() colour: string;
  /** That colour was not seen: it follows from what is in the mix. */
  @IsOptional() @IsBoolean() colourCalculated?: boolean;
  /** Pot life and initial set as the caster knows them; by its binders where left out. */
  @IsOptional() @Part(() => SettingTimesInput) times?: SettingTimesInput;
  /** Lime and metakaolin count as cement in w/c. */
  @IsOptional() @IsBoolean() limeCounts?: boolean;
  @IsOptional() @Part(() => MixingWaysInput) ways?: MixingWaysInput;
  /** What it is for, and not for. */
  @IsOptional() @Text(0, 300) suits?: string;
  @IsOptional() @Text(0, 300) unfit?: string;
}

export class MixInput extends MixWords {
  @ListOf(() => MixLineInput, { most: 30 }) lines: readonly MixLineInput[];
  @IsOptional()
  @ListOf(() => DoseInput, { most: 20 })
  doses?: readonly DoseInput[];
  @Version() version: number;
}

/** A recipe as it is kept: its materials by their keys. */
export type MixBody = Omit<MixInput, 'name' | 'version'>;

export interface MixView extends MixBody {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  /** Which version of the recipe this is: one that was poured never changes. */
  readonly revision: number;
  /** Whether this version was poured. */
  readonly used: boolean;
}

/** A version of a recipe as it was. */
export interface MixRevisionView {
  readonly revision: number;
  readonly name: string;
  readonly body: MixBody;
  /** ms */
  readonly madeAt: number;
}

/** A material in a file, by its name. */
export class MaterialRow extends MaterialFigures {}

/** A line or dose in a file: the material by its name. */
export class FileLine {
  @Text(1, 80) material: string;
  @Amount(0, 100_000) parts: number;
  @IsOptional() @IsIn(partsBy) by?: PartsBy;
}

export class FileDose {
  @Text(1, 80) material: string;
  @Amount(0, 1000) amount: number;
}

export class MixRow extends MixWords {
  @ListOf(() => FileLine, { most: 30 }) lines: readonly FileLine[];
  @IsOptional()
  @ListOf(() => FileDose, { most: 20 })
  doses?: readonly FileDose[];
}

/** Name and version of the format in which mixes and materials go out and come in. */
export const MIX_FILE = { format: 'dew-pot-mixes', version: 2 } as const;
/** Most materials, and most mixes, of one file. */
export const MOST_ROWS = 500;

export class MixFile {
  @Equals(MIX_FILE.format, { message: `this is no file of mixes: its format must be ${MIX_FILE.format}` })
  format: string;
  @Equals(MIX_FILE.version, { message: `it is of another version: only version ${MIX_FILE.version} is read` })
  version: number;
  @ListOf(() => MaterialRow, { most: MOST_ROWS })
  materials: readonly MaterialRow[];
  @ListOf(() => MixRow, { most: MOST_ROWS }) mixes: readonly MixRow[];
}

export class MixImport {
  @Part(() => MixFile) file: MixFile;
  /** Only says what would change. */
  @IsBoolean() dry: boolean;
}

/** What an import does to one thing. */
export interface ImportedThing {
  readonly kind: 'material' | 'mix' | 'tint' | 'chip';
  readonly name: string;
  readonly does: 'new' | 'changed' | 'same';
  readonly differences: readonly Difference[];
}

export interface ImportView {
  readonly things: readonly ImportedThing[];
  /** Whether it was done, and not only said. */
  readonly done: boolean;
}
