import { binderClasses, type BinderClass } from '@dewpot/core/binders';
import { sealers, type SealerKind } from '@dewpot/core/materials';
import { IsIn, IsOptional, IsTimeZone } from 'class-validator';
import { Amount, Celsius, Grams, Hours, ListOf, Millilitres, Part, Share, Text, Time, Whole } from './limits.js';
import { OtherDayInput, WeekdayHoursInput } from './calendar.js';
import { MOST_READINGS } from './page.js';

/** When somebody is at hand, and when is poured. */
export class WeekAsked {
  @ListOf(() => WeekdayHoursInput, { most: 7 }) attended: readonly WeekdayHoursInput[];
  @ListOf(() => WeekdayHoursInput, { least: 1, most: 7 }) sessions: readonly WeekdayHoursInput[];
  @IsOptional() @ListOf(() => OtherDayInput, { most: 200 }) away?: readonly OtherDayInput[];
  @IsOptional() @ListOf(() => OtherDayInput, { most: 200 }) otherSessions?: readonly OtherDayInput[];
  @IsTimeZone() zone: string;
}

/** A mould and its copies. */
export class MouldAsked {
  @Text(1, 60) id: string;
  @Whole(1, 200) copies: number;
  /** Hours from the session to its demoulding. */
  @Amount(0.1, 2000) demould: number;
  /** Minutes that its release agent dries. */
  @IsOptional() @Amount(0, 600) release?: number;
}

/** A mix as it is made by the bucket. */
export class MixAsked {
  @Text(1, 60) id: string;
  /** Minutes of weighing, mixing and resting a bucket. */
  @Amount(0, 600) bucket: number;
  /** What a bucket mixes, mL. */
  @Millilitres(1) capacity: number;
  /** Pieces that are filled from one within its pot life. */
  @Whole(1, 100) mostPieces: number;
}

/** Pieces that are to be poured. */
export class LineAsked {
  @Text(1, 60) id: string;
  @Text(1, 60) mouldId: string;
  @Text(1, 60) mixId: string;
  @Whole(1, 200) count: number;
  /** Minutes that one takes. */
  @Amount(0, 600) minutes: number;
  /** Of one, mL. */
  @Millilitres(1) volume: number;
  /** It is poured by then, ms; whenever where left out. */
  @IsOptional() @Time() pouredBy?: number;
}

/** Which evening pours what. */
export class ScheduleQuestion {
  @Part(() => WeekAsked) week: WeekAsked;
  /** The evenings that are looked at begin then and end with `to`, ms; sixty of them at most. */
  @Time() from: number;
  @Time() to: number;
  /** Minutes of setting up and cleaning in each session. */
  @Amount(0, 600) fixed: number;
  @ListOf(() => MouldAsked, { least: 1, most: 20 }) moulds: readonly MouldAsked[];
  @ListOf(() => MixAsked, { least: 1, most: 20 }) mixes: readonly MixAsked[];
  @ListOf(() => LineAsked, { least: 1, most: 20 }) lines: readonly LineAsked[];
}

/** How many pieces to pour so that enough come out good. */
export class PiecesQuestion {
  @Whole(0, 2000) wanted: number;
  /** Chance that one is lost, 0 to 0.9. */
  @Amount(0, 0.9) risk: number;
}

/** An hour of the air where a piece stands. */
export class AirHourInput {
  @Time() at: number;
  @Celsius() temperature: number;
  @Share() humidity: number;
}

/** The way of a piece from its pour to what is wanted of it. */
export class ChainQuestion {
  @Time() pouredAt: number;
  @IsIn(binderClasses) binderClass: BinderClass;
  /** Equivalent hours at 20 °C at which it is demoulded. */
  @Hours(0.1) demouldAge: number;
  /** The end of its moist curing: equivalent hours at 20 °C, and days by the clock. */
  @Hours(0) curingAge: number;
  @IsOptional() @Amount(0, 90) curingDays?: number;
  /** What it is to weigh dry, and to lose, g. */
  @Grams(1) dry: number;
  @Grams() loss: number;
  /** Time constant of its drying at 20 °C and half damp, h; 120 where left out. */
  @IsOptional() @Amount(1, 5000) tau?: number;
  @IsOptional() @IsIn(Object.keys(sealers)) sealer?: SealerKind;
  @IsOptional() @Whole(1, 6) coats?: number;
  /** Hour by hour from before the pour on. */
  @ListOf(() => AirHourInput, { least: 2, most: MOST_READINGS }) air: readonly AirHourInput[];
  @Part(() => WeekAsked) week: WeekAsked;
}
