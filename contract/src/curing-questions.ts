import { MOST_HOURS } from '@dewpot/core/units';
import { pieceKinds, type PieceKind } from '@dewpot/core/moulds';
import { binderClasses, type BinderClass } from '@dewpot/core/binders';
import { dateOrders, placeKinds, type DateOrder, type PlaceKind } from '@dewpot/core/ambient';
import {
  coversInOrder,
  demouldRisks,
  demouldsCame,
  moistCuringSchools,
  moistCuringWays,
  type Cover,
  type DemouldCame,
  type DemouldCare,
  type DemouldRecord,
  type MoistCuring,
  type MoistCuringSchool,
} from '@dewpot/core/curing';
import { castTasks, type CastTask } from '@dewpot/core/casts';
import { IsBoolean, IsIn, IsOptional, IsTimeZone, ValidateIf } from 'class-validator';
import { LATEST, Amount, Amounts, Celsius, Hours, ListOf, Part, Share, Text, Whole } from './limits.js';
import { WakingInput } from './accounts.js';
import { AmbientReadingInput } from './ambient.js';
import { MouldShapeInput } from './solids.js';
import { MOST_READINGS } from './page.js';

const MOST_EVENTS = 2000;

export class TemperaturePoint {
  @Hours() hour: number;
  @Amount(-40, 90) temperature: number;
}

/** Temperatures that a piece stands in, and its binder. */
class TemperatureSeries {
  @ListOf(() => TemperaturePoint, { least: 1, most: MOST_READINGS })
  readings: readonly TemperaturePoint[];
  @IsIn(binderClasses) binderClass: BinderClass;
}

export class MaturityQuestion extends TemperatureSeries {
  /** Hours since the pour. */
  @Amount(0, 100000) hours: number;
  /** Under this it stands still, °C: −10, or 0 in the stricter school. */
  @IsOptional() @IsIn([-10, 0]) datum?: number;
}

export class DemouldRecordInput implements DemouldRecord {
  /** Equivalent hours at 20 °C. */
  @Hours(0) age: number;
  @IsIn(demouldsCame) came: DemouldCame;
}

/** The demouldings of a mould with a mix so far, in the order of time. */
export class DemouldQuestion {
  @IsIn(binderClasses) binderClass: BinderClass;
  @IsIn(pieceKinds) piece: PieceKind;
  /** Its grains are light. */
  @IsOptional() @IsBoolean() lightweight?: boolean;
  @ListOf(() => DemouldRecordInput, { most: 500 })
  records: readonly DemouldRecordInput[];
  @IsOptional() @IsIn(Object.keys(demouldRisks)) care?: DemouldCare;
  /** How many records there were when it was last to be tried earlier again. */
  @IsOptional() @Whole(0, 500) triedAgainAt?: number;
}

/** A mould full of a mix, and the temperatures it stands in: when is each thing good? */
export class WindowsQuestion extends TemperatureSeries {
  @IsIn(pieceKinds) piece: PieceKind;
  /** Its grains are light. */
  @IsOptional() @IsBoolean() lightweight?: boolean;
  @Part(() => MouldShapeInput) shape: MouldShapeInput;
  @IsOptional() @IsBoolean() accelerated?: boolean;
  /** At 20 °C, h, where the bag says so. */
  @IsOptional() @Amount(0.05, 72) initialSet?: number;
  /** What was put on mould and cores; “none” for bare ones. */
  @IsOptional() @Text(0, 60) release?: string;
}

export class WeatherQuestion extends TemperatureSeries {
  /** Hours since the pour: what lies before it is past. */
  @Amount(0, 100000) now: number;
  /** 28-day strength, MPa. */
  @IsOptional() @Amount(0.1, 200) strength?: number;
}

export class EvaporationQuestion {
  @Celsius() concrete: number;
  @Celsius() ambient: number;
  @Share() humidity: number;
  @Amount(0, 300) wind: number;
}

/** A face in its air: what would each cover do, and when is it wetted? */
export class CoversQuestion extends EvaporationQuestion {
  @IsBoolean() lightweight: boolean;
  @IsOptional() @Part(() => WakingInput) waking?: WakingInput;
}

export class MistingQuestion extends CoversQuestion {
  @IsIn(coversInOrder) cover: Cover;
}

export class FaceHourInput {
  @Hours(0) from: number;
  @Hours(0) to: number;
  /** kg/m²/h, what the cover lets through counted in. */
  @Amount(0, 20) evaporation: number;
}

/** What left a face hour by hour, and when it was wetted. */
export class SurfaceQuestion {
  @ListOf(() => FaceHourInput, { least: 1, most: MOST_READINGS })
  stretches: readonly FaceHourInput[];
  @Amounts(-MOST_HOURS, MOST_HOURS, { most: MOST_EVENTS }) wettings: readonly number[];
  @IsBoolean() lightweight: boolean;
}

export class DampEndQuestion {
  @IsIn(moistCuringWays) by: MoistCuring['by'];
  /** Of its 28-day strength. */
  @ValidateIf(({ by }: DampEndQuestion) => by === 'share') @Amount(0.3, 0.95) share?: number;
  @ValidateIf(({ by }: DampEndQuestion) => by === 'days') @Amount(0, 90) days?: number;
  @ValidateIf(({ by }: DampEndQuestion) => by === 'school')
  @IsIn(Object.keys(moistCuringSchools))
  school?: MoistCuringSchool;
  @IsIn(binderClasses) binderClass: BinderClass;
  /** Lightweight, or to meet frost. */
  @IsOptional() @IsBoolean() longer?: boolean;
}

export class PhReadingInput {
  /** ms */
  @Amount(0, LATEST) at: number;
  @Amount(0, 14) ph: number;
}

export class LeachingQuestion {
  @ListOf(() => PhReadingInput, { most: 200 }) readings: readonly PhReadingInput[];
  @Whole(0, 100) soaks: number;
}

/** A logger's readings: which of them count, and what is bridged. */
export class AmbientSeriesQuestion {
  @ListOf(() => AmbientReadingInput, { least: 1, most: MOST_READINGS })
  readings: readonly AmbientReadingInput[];
  /** ms */
  @Amount(0, LATEST) now: number;
}

export class AmbientFileQuestion {
  /** The file as text. */
  @Text(1, 2_000_000) text: string;
  @IsTimeZone() zone: string;
  @IsOptional() @IsIn(dateOrders) order?: DateOrder;
}

export class FollowQuestion {
  @ListOf(() => AmbientReadingInput, { most: MOST_READINGS })
  place: readonly AmbientReadingInput[];
  @ListOf(() => AmbientReadingInput, { most: MOST_READINGS })
  outdoors: readonly AmbientReadingInput[];
  @IsIn(placeKinds) kind: PlaceKind;
  /** Weather ahead, to be told as it will be in the place. */
  @ListOf(() => AmbientReadingInput, { most: 500 }) ahead: readonly AmbientReadingInput[];
}

/** Where a task is postponed to. */
export class PostponementQuestion {
  @IsIn(castTasks) task: CastTask;
  /** Its window, ms. */
  @Amount(0, LATEST) early: number;
  @Amount(0, LATEST) good: number;
  @Amount(0, LATEST) late: number;
  @Amount(0, LATEST) until: number;
}
