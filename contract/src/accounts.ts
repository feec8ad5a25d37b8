import type { SessionSetup } from '@dewpot/core/calendar';
import { languages, unitSystems, type Language, type UnitSystem } from '@dewpot/core/units';
import {
  moistCuringSchools,
  moistCuringWays,
  type MoistCuring,
  type MoistCuringSchool,
  type Waking,
} from '@dewpot/core/curing';
import type { MassBand } from '@dewpot/core/money';
import { dryingSchools, type DryingSchool } from '@dewpot/core/sealing';
import {
  IsBoolean,
  IsEmail,
  IsIn,
  IsISO4217CurrencyCode,
  IsOptional,
  IsTimeZone,
  IsUUID,
  MaxLength,
} from 'class-validator';
import { kindsOf, PartOfKind, type AnyOf } from './kinds.js';
import { Amount, ListOf, Part, Text, Texts, Version, Whole } from './limits.js';
import { roles, type Role } from './roles.js';

/** Days with which weeks begin. */
export const weekStarts = ['monday', 'sunday', 'saturday'] as const;
export type WeekStart = (typeof weekStarts)[number];

export class SignIn {
  @IsEmail() @MaxLength(254) email: string;
  @Text(1, 200) passphrase: string;
}

export class Registration {
  @Text(1, 80) workshop: string;
  @Text(1, 80) name: string;
  @IsEmail() @MaxLength(254) email: string;
  @Text(10, 200) passphrase: string;
  /** What the start printed, where the server can be reached from elsewhere. */
  @IsOptional() @Text(1, 40) code?: string;
  /** Language of its owner, and of what it starts with; by the request where it is left out. */
  @IsOptional() @IsIn(languages) language?: Language;
}

/** The name of a workshop that is founded. */
export class WorkshopName {
  @Text(1, 80) workshop: string;
}

/** A workshop that one goes to. */
export class WorkshopChoice {
  @IsUUID() workshopId: string;
}

/** A workshop that one is in. */
export interface OwnWorkshopView {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** The session is of this one. */
  readonly current: boolean;
  /** It was deleted, and is gone for good then, ms. */
  readonly goneAt?: number;
}

/** A new passphrase by a recovery code, in place of one that is lost. */
export class Recovery {
  @IsEmail() @MaxLength(254) email: string;
  @Text(16, 40) code: string;
  @Text(10, 200) passphrase: string;
}

/** Codes with which one chooses a new passphrase, each once. They are told this once. */
export interface RecoveryCodes {
  readonly codes: readonly string[];
}

/** How many recovery codes were not used. */
export interface RecoveryCodesLeft {
  readonly left: number;
}

/** The language that a person reads in. */
export class LanguageInput {
  @IsIn(languages) language: Language;
}

/** A person's own new passphrase. */
export class PassphraseInput {
  @Text(1, 200) current: string;
  @Text(10, 200) fresh: string;
}

/** A token for a script of one's own. */
export class ScriptTokenInput {
  /** What it is for. */
  @Text(1, 60) label: string;
  /** What it may do at the most; all that its owner may where it is left out. */
  @IsOptional() @IsIn(roles) role?: Role;
  /** Days until it ends, however often it is used; it ends after 30 days without use in any case. */
  @IsOptional() @Whole(1, 3650) days?: number;
}

/** A new token, told once: whoever has it acts as its owner, as far as it goes. */
export interface ScriptToken {
  readonly token: string;
}

export type SessionKind = 'browser' | 'script';

/** One of a person's sessions. Times ms. */
export interface OwnSessionView {
  readonly id: string;
  readonly kind: SessionKind;
  readonly label: string;
  readonly createdAt: number;
  /** When it was last used, to the day. */
  readonly usedAt: number;
  /** It is the one that asks. */
  readonly current: boolean;
  /** Of a script: what it may do at the most, and when it ends. */
  readonly role?: Role;
  readonly endsAt?: number;
}

/** What the end of a moist curing goes by. */
export class MoistCuringInput {
  @IsIn(moistCuringWays) by: MoistCuring['by'];
}

type Ends<By extends MoistCuring['by']> = Extract<MoistCuring, { by: By }>;

export class CuringByShareInput extends MoistCuringInput implements Ends<'share'> {
  declare by: 'share';
  /** Of its 28-day strength. */
  @Amount(0.3, 0.95) share: number;
}

export class CuringByDaysInput extends MoistCuringInput implements Ends<'days'> {
  declare by: 'days';
  @Amount(0, 90) days: number;
}

export class CuringBySchoolInput extends MoistCuringInput implements Ends<'school'> {
  declare by: 'school';
  @IsIn(Object.keys(moistCuringSchools)) school: MoistCuringSchool;
}

/** The class of each way to end a moist curing. */
export const moistCurings = kindsOf(MoistCuringInput, 'by', {
  share: CuringByShareInput,
  days: CuringByDaysInput,
  school: CuringBySchoolInput,
});

/** Hours of the day. */
export class WakingInput implements Waking {
  @Amount(0, 23) from: number;
  @Amount(1, 24) to: number;
}

/** What a session takes beside its pour, min. */
export class SessionSetupInput implements SessionSetup {
  @Amount(0, 240) setUp: number;
  @Amount(0, 240) cleanUp: number;
}

/** How things are done where nothing else is chosen. */
export class UsualWaysInput {
  @IsOptional() @Text(1, 60) release?: string;
  @IsOptional() @Text(1, 60) cover?: string;
  /** What is done besides, in the caster's own words. */
  @IsOptional() @Texts(1, 80, { most: 20 }) ways?: readonly string[];
}

/** What is sent up to a mass, g, for a price. */
export class MassBandInput implements MassBand {
  @Amount(1, 1e7) upTo: number;
  @Amount(0, 1_000_000) price: number;
}

/** How a workshop that sells makes its prices. */
export class PricingInput {
  /** Of an hour of work. */
  @Amount(0, 1_000_000) rate: number;
  /** Share of a price that is left beyond the cost. */
  @Amount(0, 0.95) margin: number;
  @ListOf(() => MassBandInput, { most: 50 }) bands: readonly MassBandInput[];
}

export class WorkshopSettings {
  @Text(1, 80) name: string;
  @IsIn(unitSystems) units: UnitSystem;
  /** ISO 4217, as EUR. */
  @IsISO4217CurrencyCode() currency: string;
  /** Mass from which two people lift, g. */
  @Amount(1000, 200000) liftLimit: number;
  /** Brim volume of the mixing bucket, mL. */
  @Amount(500, 200000) bucket: number;
  /** Step of the scale that pieces are weighed on, g. */
  @Amount(0.01, 1000) scaleStep: number;
  /** What the end of the moist curing goes by; 70 % of its strength where it is left out. */
  @IsOptional() @PartOfKind(moistCurings) moistCuring?: AnyOf<typeof moistCurings>;
  /** How it is told that a piece is dry; by the scale where it is left out. */
  @IsOptional() @IsIn(Object.keys(dryingSchools)) drying?: DryingSchool;
  /** When the casters are up. */
  @IsOptional() @Part(() => WakingInput) waking?: WakingInput;
  /** IANA name of the zone that the workshop lies in; the server's own where it is left out. */
  @IsOptional() @IsTimeZone() zone?: string;
  /** The material that weighs cores down; fine sand where it is left out. */
  @IsOptional() @IsUUID() ballastSandId?: string;
  /** The caster has said which scoop, bucket and scale there are; until then they are assumed, and that is told. */
  @IsOptional() @IsBoolean() setUp?: boolean;
  /** What setting up and cleaning take in a session; 20 and 25 minutes where it is left out. */
  @IsOptional() @Part(() => SessionSetupInput) session?: SessionSetupInput;
  @IsOptional() @Part(() => UsualWaysInput) usual?: UsualWaysInput;
  @IsOptional() @Part(() => PricingInput) pricing?: PricingInput;
  /** The day with which weeks begin; Monday where it is left out. */
  @IsOptional() @IsIn(weekStarts) weekStart?: WeekStart;
  /** What holds here beside the cautions, in the workshop's own words: it stands with them. */
  @IsOptional() @Text(0, 2000) localRules?: string;
  @IsOptional() @Version() version?: number;
}

/** Who is here and where. */
export interface SessionView {
  readonly person: {
    readonly id: string;
    readonly name: string;
    readonly role: Role;
    /** What they read in; the browser's language where nothing was chosen. */
    readonly language?: Language;
  };
  readonly workshop: WorkshopSettings & {
    readonly id: string;
    readonly demo: boolean;
    readonly version: number;
    /** It was deleted, and is gone for good then, ms. */
    readonly goneAt?: number;
  };
}

/** What the door offers to someone who is not signed in. */
export interface DoorView {
  readonly demo: boolean;
  /** Registering takes the code that the start printed. */
  readonly code: boolean;
}
