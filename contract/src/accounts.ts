import { IsEmail, IsIn, IsNumber, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import type { UnitSystem } from '@dewpot/core';

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
