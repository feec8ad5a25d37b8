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
  type CastEventType,
  type PieceUse,
  pieceUses,
  type SealCheck,
  sealChecks,
  type SealerKind,
  sealerKinds,
  type Side,
  sides,
  type Spot,
  type CastTask,
} from '@dewpot/core';
import { IsBoolean, IsIn, IsOptional, IsUUID, ValidateIf } from 'class-validator';
import { Amount, Choices, Grams, ListOf, Millilitres, Share, Text, Time, Whole } from './limits.js';

export const spots: readonly Spot[] = ['corner', 'rim', 'base', 'core-end', 'face'];
export const castEventTypes: readonly CastEventType[] = [
  'wetted',
  'covered',
  'moved',
  'pulled',
  'dressed',
  'soaked',
  'rinsed',
  'ph',
  'snoozed',
  'demoulded',
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
export const castTasks: readonly CastTask[] = [
  'Pull',
  'Demould',
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

const when = (...types: CastEventType[]) => ValidateIf((event: CastEventInput) => types.includes(event.type));

/** Something that happened to a cast. Which fields count goes by `type`. */
export class CastEventInput {
  @IsUUID() id: string;
  /** When it happened, ms. */
  @Time() at: number;
  @IsIn(castEventTypes) type: CastEventType;
  @when('demoulded')
  @ListOf(() => DamageInput, { most: 20 })
  damage?: DamageInput[];
  @IsOptional() @IsIn(['slid', 'tapped', 'fought']) force?: Force;
  /** What damage is put down to; by where it broke where it is left out. */
  @IsOptional() @IsIn(damageCauses) cause?: DamageCause;
  @when('covered') @IsIn(coversInOrder) cover?: Cover;
  @when('moved') @Text(1, 60) place?: string;
  @IsOptional() @IsUUID() placeId?: string;
  @when('pulled') @Text(1, 80) core?: string;
  @when('dressed') @IsIn(dressings) work?: Dressing;
  /** Of wet sanding: the grit that was reached. */
  @IsOptional() @Whole(20, 10000) grit?: number;
  @IsOptional() @Text(0, 300) note?: string;
  @when('soaked') @IsIn(Object.keys(baths)) bath?: Bath;
  /** Of a bath: how long it is to lie in it; of a taped film: how long it was on. */
  @when('soaked', 'film-tested') @Amount(0, 8760) hours?: number;
  @when('ph') @Amount(0, 14) ph?: number;
  @when('snoozed') @IsIn(castTasks) task?: CastTask;
  /** Put off until then, ms. */
  @when('snoozed') @Time() until?: number;
  @when('weighed') @Grams() mass?: number;
  @when('weighed') @Amount(0.001, 1000) step?: number;
  /** Air that the piece stood in when it was weighed. */
  @IsOptional() @Amount(-40, 60) temperature?: number;
  @IsOptional() @Share() humidity?: number;
  /** Of a weighing: how many like pieces lay on the scale together, its mass being its share. */
  @IsOptional() @Whole(2, 200) together?: number;
  /** The caster was asked whether it is the right piece, and said so. */
  @IsOptional() @IsBoolean() sure?: boolean;
  @when('film-tested') @IsBoolean() drops?: boolean;
  @when('decorated') @IsIn(decorationsInOrder) decoration?: Decoration;
  /** Of a plan to seal: what the piece is for. */
  @when('seal-planned') @Choices(pieceUses, { most: 10 }) uses?: PieceUse[];
  @when('seal-planned') @Whole(0, 10) coats?: number;
  /** Left out of a plan: it stays bare. */
  @ValidateIf(
    ({ type, sealer }: CastEventInput) => type === 'coated' || (type === 'seal-planned' && sealer !== undefined),
  )
  @IsIn(sealerKinds)
  sealer?: SealerKind;
  @when('coated', 'seal-planned') @IsIn(sides) side?: Side;
  /** The product, from the store: its sheet is kept with the event, and what went on is taken from its lots. */
  @IsOptional() @IsUUID() materialId?: string;
  /** mL that went on. */
  @IsOptional() @Millilitres() volume?: number;
  @IsOptional() @IsIn(coatTools) tool?: CoatTool;
  @when('checked') @IsIn(sealChecks) check?: SealCheck;
  @when('checked') @IsBoolean() held?: boolean;
  @when('fitted') @IsIn(fittingsInOrder) fitting?: Fitting;
  @IsOptional() @IsIn(goneWays) gone?: Gone;
  /** What it was sold for, in the workshop's money. */
  @IsOptional() @Amount(0, 1e7) price?: number;
  @when('came-later') @IsIn(cameLater) came?: CameLater;
  /** Why a refusal was overridden. */
  @IsOptional() @Text(1, 300) overridden?: string;
  @when('bubbles') @IsIn(spots) face?: Spot;
  @when('bubbles') @Whole(1, 5) grade?: number;
  @IsOptional() @Text(0, 120) where?: string;
  @IsOptional() @Text(0, 300) how?: string;
  @when('voided') @IsUUID() event?: string;
}
