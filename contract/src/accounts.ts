import {
  dampSchools,
  dryingSchools,
  type DryingSchool,
  type DampCure,
  type DampSchool,
  type UnitSystem,
  type Waking,
} from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  IsEmail,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsTimeZone,
  Length,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

export class SignIn {
  @IsEmail() email: string;
  @IsString() @Length(1, 200) passphrase: string;
}

export class Registration {
  @IsString() @Length(1, 80) workshop: string;
  @IsString() @Length(1, 80) name: string;
  @IsEmail() email: string;
  @IsString() @Length(10, 200) passphrase: string;
}

/** Someone who is let into the workshop. */
export class NewPersonInput {
  @IsString() @Length(1, 80) name: string;
  @IsEmail() email: string;
  /** What they sign in with; they are told it by whoever lets them in. */
  @IsString() @Length(10, 200) passphrase: string;
}

export interface PersonView {
  readonly id: string;
  readonly name: string;
  readonly email: string;
}

export class DampCureInput {
  @IsIn(['share', 'days', 'school']) by: DampCure['by'];
  /** Of its 28-day strength. */
  @ValidateIf(({ by }: DampCureInput) => by === 'share') @IsNumber() @Min(0.3) @Max(0.95) share?: number;
  @ValidateIf(({ by }: DampCureInput) => by === 'days') @IsNumber() @Min(0) @Max(90) days?: number;
  @ValidateIf(({ by }: DampCureInput) => by === 'school') @IsIn(Object.keys(dampSchools)) school?: DampSchool;
}

/** Hours of the day. */
export class WakingInput implements Waking {
  @IsNumber() @Min(0) @Max(23) from: number;
  @IsNumber() @Min(1) @Max(24) to: number;
}

export class WorkshopSettings {
  @IsString() @Length(1, 80) name: string;
  @IsIn(['metric', 'us']) units: UnitSystem;
  /** Sign put before prices. */
  @IsString() @Length(1, 4) currency: string;
  /** Mass from which two people lift, g. */
  @IsNumber() @Min(1000) @Max(200000) liftLimit: number;
  /** Brim volume of the mixing bucket, mL. */
  @IsNumber() @Min(500) @Max(200000) bucket: number;
  /** Step of the scale that pieces are weighed on, g. */
  @IsNumber() @Min(0.01) @Max(1000) scaleStep: number;
  /** What the end of the damp cure goes by; 70 % of its strength where it is left out. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => DampCureInput) dampCure?: DampCureInput;
  /** How it is told that a piece is dry; by the scale where it is left out. */
  @IsOptional() @IsIn(Object.keys(dryingSchools)) drying?: DryingSchool;
  /** When the casters are up. */
  @IsOptional() @IsObject() @ValidateNested() @Type(() => WakingInput) waking?: WakingInput;
  /** IANA name of the zone that the workshop lies in; the server's own where it is left out. */
  @IsOptional() @IsTimeZone() zone?: string;
  @IsOptional() @IsNumber() @Min(0) version?: number;
}

/** Who is here and where. */
export interface SessionView {
  readonly person: { readonly id: string; readonly name: string };
  readonly workshop: WorkshopSettings & { readonly id: string; readonly demo: boolean; readonly version: number };
}

/** What the door offers to someone who is not signed in. */
export interface DoorView {
  readonly demo: boolean;
}
