import {
  baths,
  type Bearing,
  coversInOrder,
  type Bath,
  type Bridge,
  type CastEvent,
  type Cover,
  type Damage,
  type DamageCause,
  type Dressing,
  type Due,
  type LearnedLiftOut,
  type LiftOutCare,
  type LiftOutRecord,
  type Stroke,
  type Surroundings,
  type TemperatureReading,
  liftOutRisks,
  type DryDown,
  type DryDownCurve,
  type Expected,
  type Force,
  type HappeningType,
  type Life,
  type MouldShape,
  type PieceKind,
  type SealerKind,
  type SettingClass,
  type Side,
  type Skin,
  type Spot,
  type Stage,
} from '@dewpot/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

export const spots: readonly Spot[] = ['corner', 'rim', 'base', 'core-end', 'face'];
export const happenings: readonly HappeningType[] = [
  'wetted',
  'covered',
  'moved',
  'pulled',
  'dressed',
  'soaked',
  'rinsed',
  'ph',
  'snoozed',
  'lifted-out',
  'uncovered',
  'weighed',
  'coated',
  'bubbles',
  'put-out',
  'broken',
  'voided',
];

export const damageCauses: readonly DamageCause[] = ['early', 'stuck', 'dropped'];
export const dressings: readonly Dressing[] = ['flashing', 'edges', 'pinholes', 'grit', 'drain hole', 'green texture'];
export const strokes: readonly Stroke[] = [
  'Pull',
  'Lift out',
  'Cover',
  'Wet',
  'End bath',
  'Uncover',
  'Weigh',
  'Coat',
  'Put out',
];

export class DamageInput implements Damage {
  @IsIn(spots) spot: Spot;
  @IsIn(['chip', 'piece', 'through']) size: Damage['size'];
}

const when = (...types: HappeningType[]) => ValidateIf((event: CastEventInput) => types.includes(event.type));

/** Something that happened to a cast. Which fields count goes by `type`. */
export class CastEventInput {
  @IsUUID() id: string;
  /** When it happened, ms. */
  @IsInt() @Min(0) at: number;
  @IsIn(happenings) type: HappeningType;
  @when('lifted-out')
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => DamageInput)
  damage?: DamageInput[];
  @IsOptional() @IsIn(['slid', 'tapped', 'fought']) force?: Force;
  /** What damage is put down to; by where it broke where it is left out. */
  @IsOptional() @IsIn(damageCauses) cause?: DamageCause;
  @when('covered') @IsIn(coversInOrder) cover?: Cover;
  @when('moved') @IsString() @Length(1, 60) place?: string;
  @IsOptional() @IsUUID() placeId?: string;
  @when('pulled') @IsString() @Length(1, 80) core?: string;
  @when('dressed') @IsIn(dressings) work?: Dressing;
  /** Of wet sanding: the grit that was reached. */
  @IsOptional() @IsInt() @Min(20) @Max(10000) grit?: number;
  @IsOptional() @IsString() @Length(0, 300) note?: string;
  @when('soaked') @IsIn(Object.keys(baths)) bath?: Bath;
  /** Of a bath: how long it is to lie in it. */
  @when('soaked') @IsNumber() hours?: number;
  @when('ph') @IsNumber() ph?: number;
  @when('snoozed') @IsIn(strokes) stroke?: Stroke;
  /** Put off until then, ms. */
  @when('snoozed') @IsInt() @Min(0) until?: number;
  @when('weighed') @IsNumber() mass?: number;
  @when('weighed') @IsNumber() step?: number;
  /** Air that the piece stood in when it was weighed. */
  @IsOptional() @IsNumber() @Min(-40) @Max(60) temperature?: number;
  @IsOptional() @IsNumber() @Min(0) @Max(1) humidity?: number;
  @when('coated') @IsIn(['penetrating', 'acrylic', 'polyurethane', 'wax', 'oil']) sealer?: SealerKind;
  @when('coated') @IsIn(['outside', 'inside', 'both']) side?: Side;
  /** Why a refusal was overruled. */
  @IsOptional() @IsString() @Length(1, 300) overruled?: string;
  @when('bubbles') @IsIn(spots) face?: Spot;
  @when('bubbles') @IsInt() @Min(1) @Max(5) grade?: number;
  @IsOptional() @IsString() @Length(0, 120) where?: string;
  @IsOptional() @IsString() @Length(0, 300) how?: string;
  @when('voided') @IsUUID() event?: string;
}

/** What the weighings say, without the curve. Times in ms. */
export interface DrySummary {
  readonly dryEnough: boolean;
  readonly missing: readonly string[];
  readonly opensAt?: number;
  readonly opensLow?: number;
  readonly opensHigh?: number;
  readonly typical?: DryDownCurve;
}

/** What is kept of the pour with each cast. */
export interface CastSnapshot {
  readonly mouldName: string;
  readonly mixName: string;
  readonly shape: MouldShape;
  readonly piece: PieceKind;
  readonly setting: SettingClass;
  readonly colour: string;
  /** Of a piece in tints: its colours as they dry, from the bottom up, or as they are poured together. */
  readonly skin?: Skin;
  readonly copyMark?: string;
  readonly release?: string;
  readonly cover?: string;
  readonly place?: string;
  readonly placeId?: string;
  readonly mixId?: string;
  /** Its grains are light: its faces dry faster. */
  readonly lightweight?: boolean;
  readonly accelerated?: boolean;
  /** To be expected of its mix at 28 days, MPa. */
  readonly strength?: number;
  /** Free water to cement, as it was mixed. */
  readonly ratio: number;
}

export interface CastView {
  readonly id: string;
  readonly code: string;
  readonly pourId: string;
  readonly mouldId: string;
  readonly stage: Stage;
  readonly expected: Expected;
  readonly snapshot: CastSnapshot;
  readonly life: Life;
  readonly dry: DrySummary;
  /** What is to be done to it, what comes first at the head. */
  readonly dues: readonly Due[];
}

/** A lift-out from a mould with a mix, and which cast it was. */
export interface LiftOutSeen extends LiftOutRecord {
  readonly code: string;
  /** ms */
  readonly at: number;
}

/** What a caster chose for the lift-outs of a mould with a mix. */
export class LiftOutWaysInput {
  @IsIn(Object.keys(liftOutRisks)) care: LiftOutCare;
  /** Goes by the handbook alone. */
  @IsBoolean() off: boolean;
  /** Only lift-outs after this count, ms: what was learned before is forgotten. */
  @IsOptional() @IsInt() @Min(0) since?: number;
  /** How many there were when the caster asked to try it earlier again. */
  @IsOptional() @IsInt() @Min(0) @Max(10000) triedAgainAt?: number;
}

/** The earliest safe lift-out of a mould with a mix: the handbook's, what was learned, and from what. */
export interface LiftOutView {
  /** Equivalent hours at 20 °C. */
  readonly handbook: number;
  readonly learned: LearnedLiftOut;
  readonly records: readonly LiftOutSeen[];
  readonly ways: LiftOutWaysInput;
}

/** A photo of a cast, and the event that it shows. */
export interface CastPictureView {
  readonly id: string;
  /** ms */
  readonly at: number;
  readonly width: number;
  readonly height: number;
  readonly eventId?: string;
}

/** The air that a cast stood in, as its cure is reckoned from it, and what it does to the piece. */
export interface CastAir {
  readonly place: string;
  /** Hours since the pour and °C: recorded up to `forecastFrom` (ms), forecast from there on. */
  readonly temperatures: readonly TemperatureReading[];
  readonly forecastFrom: number;
  readonly bridges: readonly Bridge[];
  /** When it may be handled, walked on, loaded, ms; no time where that is out of sight. */
  readonly bears: readonly { readonly bearing: Bearing; readonly at?: number; readonly told: string }[];
  readonly does?: Surroundings;
}

/** A cast with its whole record. */
export interface CastDetail extends CastView {
  readonly events: readonly CastEvent[];
  readonly dryDown: DryDown;
  readonly air: CastAir;
  readonly liftOut: LiftOutView;
  readonly pictures: readonly CastPictureView[];
}
