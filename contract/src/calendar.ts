import type { CalendarKnown, KeptWeek, OtherDay, PlannedTaskKind, WeekdayHours } from '@dewpot/core/calendar';
import { plannedTaskKinds } from '@dewpot/core/calendar';
import { IsIn, IsOptional, IsUUID, Matches } from 'class-validator';
import { Amount, ListOf, Share, Text, Time, Version, Whole } from './limits.js';

/** Whether a person's calendar has a secret address, and since when, ms. */
export interface CalendarView {
  readonly madeAt?: number;
}

/** The secret address of a calendar, told once: whoever knows it can read it. */
export interface CalendarAddress {
  readonly path: string;
}

export class WeekdayHoursInput implements WeekdayHours {
  /** Monday is 0. */
  @Whole(0, 6) weekday: number;
  /** Local hours from midnight. */
  @Amount(0, 24) from: number;
  @Amount(0, 24) to: number;
}

const DATE = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

export class OtherDayInput implements OtherDay {
  @Text(10, 10) @Matches(DATE) date: string;
  @IsOptional() @Amount(0, 24) from?: number;
  @IsOptional() @Amount(0, 24) to?: number;
}

/** When a person is at hand, and when they pour. */
export class CasterWeekInput implements KeptWeek {
  @ListOf(() => WeekdayHoursInput, { most: 7 }) attended: readonly WeekdayHoursInput[];
  @ListOf(() => WeekdayHoursInput, { most: 7 }) sessions: readonly WeekdayHoursInput[];
  @ListOf(() => OtherDayInput, { most: 200 }) away: readonly OtherDayInput[];
  @ListOf(() => OtherDayInput, { most: 200 }) otherSessions: readonly OtherDayInput[];
  @Version() version: number;
}

export interface CasterWeekView extends Omit<CasterWeekInput, 'version'> {
  readonly version: number;
  readonly personId: string;
  readonly person: string;
}

/** Pieces of a line in a session. */
export class PouredInput {
  @IsUUID() line: string;
  @Whole(0, 2000) count: number;
}

/** A session as it is planned. */
export class PlannedSessionInput {
  @Time() at: number;
  /** How long it takes, and how long the evening is, min. */
  @Amount(0, 1440) minutes: number;
  @Amount(0, 1440) room: number;
  @ListOf(() => PouredInput, { most: 30 }) poured: readonly PouredInput[];
  /** A person put it where it is. */
  @IsOptional() @IsIn([true]) kept?: true;
}

export class PlannedTaskInput {
  @IsIn(plannedTaskKinds) task: PlannedTaskKind;
  @IsUUID() line: string;
  @Whole(0, 2000) count: number;
  @Time() at: number;
  @Time() latest: number;
}

/** How a line comes out by the plan. */
export class OutcomeInput {
  @IsUUID() line: string;
  @Whole(0, 2000) wanted: number;
  @Whole(0, 2000) poured: number;
  @Whole(0, 2000) late: number;
  @Share() chance: number;
  @IsOptional() @Time() middle?: number;
  @IsOptional() @Time() likely?: number;
}

/** The plan of a workshop's open orders. */
export class CalendarPlanInput {
  /** When it was made, ms. */
  @Time() madeAt: number;
  @ListOf(() => PlannedSessionInput, { most: 60 }) sessions: readonly PlannedSessionInput[];
  @ListOf(() => PlannedTaskInput, { most: 2000 }) tasks: readonly PlannedTaskInput[];
  @ListOf(() => OutcomeInput, { most: 300 }) outcomes: readonly OutcomeInput[];
  @Share() chance: number;
  @Whole(0, 60) leastSessions: number;
  @Version() version: number;
}

export interface CalendarPlanView extends Omit<CalendarPlanInput, 'version'> {
  readonly version: number;
}

/** A line of a kept plan, in words: whose it is, and what. */
export interface PlannedLineView {
  readonly id: string;
  readonly order: string;
  readonly mouldId: string;
  readonly mould: string;
  readonly mixId: string;
  readonly mix: string;
  readonly tintId?: string;
  /** In the mix's own colour where left out. */
  readonly tint?: string;
  readonly by?: number;
}

/** What the plan wants, with what its lines are. */
export interface CalendarTodayView {
  readonly plan?: CalendarPlanView;
  readonly lines: readonly PlannedLineView[];
}

/** What of a workshop its calendar is planned from, beside what pours are planned from. */
export interface CalendarFacts extends CalendarKnown {
  readonly weeks: readonly CasterWeekView[];
  /** Whether anybody said how their week is. */
  readonly weekKnown: boolean;
  /** ms */
  readonly now: number;
}
