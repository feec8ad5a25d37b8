import {
  type Bath,
  baths,
  type CameLater,
  type CoatTool,
  coatTools,
  type Cover,
  coversInOrder,
  type Damage,
  type DamageCause,
  type Decoration,
  decorationsInOrder,
  type Dressing,
  type Fitting,
  fittingsInOrder,
  type Force,
  type Gone,
  type HappeningType,
  type PieceUse,
  pieceUses,
  type SealCheck,
  sealChecks,
  type SealerKind,
  sealerKinds,
  type Side,
  sides,
  type Spot,
  type Stroke,
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
  'film-tested',
  'unclamped',
  'decorated',
  'seal-planned',
  'coated',
  'checked',
  'fitted',
  'bubbles',
  'put-out',
  'came-later',
  'broken',
  'voided',
];

export const damageCauses: readonly DamageCause[] = ['early', 'stuck', 'dropped'];
export const dressings: readonly Dressing[] = ['flashing', 'edges', 'pinholes', 'grit', 'drain hole', 'green texture'];
export const strokes: readonly Stroke[] = [
  'Pull',
  'Lift out',
  'Unclamp',
  'Cover',
  'Wet',
  'End bath',
  'Uncover',
  'Weigh',
  'Test',
  'Coat',
  'Check',
  'Put out',
  'Look back',
  'Seal again',
];
export const goneWays: readonly Gone[] = ['kept', 'given', 'sold'];
export const cameLater: readonly CameLater[] = ['well', 'frost', 'bloom', 'crack', 'sealer let go', 'gone'];

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
  /** Of a bath: how long it is to lie in it; of a taped film: how long it was on. */
  @when('soaked', 'film-tested') @IsNumber() hours?: number;
  @when('ph') @IsNumber() ph?: number;
  @when('snoozed') @IsIn(strokes) stroke?: Stroke;
  /** Put off until then, ms. */
  @when('snoozed') @IsInt() @Min(0) until?: number;
  @when('weighed') @IsNumber() mass?: number;
  @when('weighed') @IsNumber() step?: number;
  /** Air that the piece stood in when it was weighed. */
  @IsOptional() @IsNumber() @Min(-40) @Max(60) temperature?: number;
  @IsOptional() @IsNumber() @Min(0) @Max(1) humidity?: number;
  /** Of a weighing: how many like pieces lay on the scale together, its mass being its share. */
  @IsOptional() @IsInt() @Min(2) @Max(200) together?: number;
  /** The caster was asked whether it is the right piece, and said so. */
  @IsOptional() @IsBoolean() sure?: boolean;
  @when('film-tested') @IsBoolean() drops?: boolean;
  @when('decorated') @IsIn(decorationsInOrder) decoration?: Decoration;
  /** Of a plan to seal: what the piece is for. */
  @when('seal-planned') @IsArray() @ArrayMaxSize(10) @IsIn(pieceUses, { each: true }) uses?: PieceUse[];
  @when('seal-planned') @IsInt() @Min(0) @Max(10) coats?: number;
  /** Left out of a plan: it stays bare. */
  @ValidateIf(
    ({ type, sealer }: CastEventInput) => type === 'coated' || (type === 'seal-planned' && sealer !== undefined),
  )
  @IsIn(sealerKinds)
  sealer?: SealerKind;
  @when('coated', 'seal-planned') @IsIn(sides) side?: Side;
  /** The product, from the stores: its sheet is kept with the event, and what went on is taken from its lots. */
  @IsOptional() @IsUUID() materialId?: string;
  /** mL that went on. */
  @IsOptional() @IsNumber() volume?: number;
  @IsOptional() @IsIn(coatTools) tool?: CoatTool;
  @when('checked') @IsIn(sealChecks) check?: SealCheck;
  @when('checked') @IsBoolean() held?: boolean;
  @when('fitted') @IsIn(fittingsInOrder) fitting?: Fitting;
  @IsOptional() @IsIn(goneWays) gone?: Gone;
  /** What it was sold for, in the workshop's money. */
  @IsOptional() @IsNumber() price?: number;
  @when('came-later') @IsIn(cameLater) came?: CameLater;
  /** Why a refusal was overruled. */
  @IsOptional() @IsString() @Length(1, 300) overruled?: string;
  @when('bubbles') @IsIn(spots) face?: Spot;
  @when('bubbles') @IsInt() @Min(1) @Max(5) grade?: number;
  @IsOptional() @IsString() @Length(0, 120) where?: string;
  @IsOptional() @IsString() @Length(0, 300) how?: string;
  @when('voided') @IsUUID() event?: string;
}
