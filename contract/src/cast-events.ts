import { sealerKinds, type SealerKind } from '@dewpot/core/materials';
import { baths, coversInOrder, type Bath, type Cover } from '@dewpot/core/curing';
import {
  coatTools,
  decorationsInOrder,
  pieceUses,
  sealChecks,
  sides,
  type CoatTool,
  type Decoration,
  type PieceUse,
  type SealCheck,
  type Side,
} from '@dewpot/core/sealing';
import { fittingsInOrder, type Fitting } from '@dewpot/core/care';
import {
  cameLater,
  castTasks,
  damageCauses,
  damageSizes,
  dressings,
  faults,
  forces,
  goneWays,
  severities,
  spots,
  type CameLater,
  type CastEventBody,
  type CastEventType,
  type CastTask,
  type Damage,
  type DamageCause,
  type Dressing,
  type DrawnPoint,
  type Fault,
  type Force,
  type Gone,
  type Severity,
  type Spot,
  type VoidsCounted,
} from '@dewpot/core/casts';
import { IsBoolean, IsHexColor, IsIn, IsOptional, IsUUID, Length } from 'class-validator';
import { kindsOf, type AnyOf } from './kinds.js';
import { Amount, Choices, Grams, ListOf, Millilitres, Millimetres, Part, Share, Text, Time, Whole } from './limits.js';

/** Kinds of events that a person tells of; the others the server writes itself. */
const castEventTypes = [
  'wetted',
  'covered',
  'moved',
  'pulled',
  'dressed',
  'soaked',
  'rinsed',
  'ph',
  'postponed',
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
  'finished',
  'came-later',
  'colour-seen',
  'fault-seen',
  'found-sound',
  'broken',
  'voided',
] as const satisfies readonly CastEventType[];

/** Something that happened to a cast. Its `type` tells which class it is of. */
export class CastEventInput {
  @IsUUID() id: string;
  /** When it happened, ms. */
  @Time() at: number;
  @IsIn(castEventTypes) type: (typeof castEventTypes)[number];
}

type Told<T extends CastEventType> = Extract<CastEventBody, { type: T }>;

export class WettedInput extends CastEventInput implements Told<'wetted'> {
  declare type: 'wetted';
}

export class CoveredInput extends CastEventInput implements Told<'covered'> {
  declare type: 'covered';
  @IsIn(coversInOrder) cover: Cover;
}

export class MovedInput extends CastEventInput implements Told<'moved'> {
  declare type: 'moved';
  @Text(1, 60) place: string;
  @IsOptional() @IsUUID() placeId?: string;
}

export class PulledInput extends CastEventInput implements Told<'pulled'> {
  declare type: 'pulled';
  @Text(1, 80) core: string;
}

export class DressedInput extends CastEventInput implements Told<'dressed'> {
  declare type: 'dressed';
  @IsIn(dressings) work: Dressing;
  /** Of wet sanding: the grit that was reached. */
  @IsOptional() @Whole(20, 10000) grit?: number;
  @IsOptional() @Text(0, 300) note?: string;
}

export class SoakedInput extends CastEventInput implements Told<'soaked'> {
  declare type: 'soaked';
  @IsIn(Object.keys(baths)) bath: Bath;
  /** How long it is to lie in it. */
  @Amount(0, 8760) hours: number;
}

export class RinsedInput extends CastEventInput implements Told<'rinsed'> {
  declare type: 'rinsed';
}

export class PhInput extends CastEventInput implements Told<'ph'> {
  declare type: 'ph';
  @Amount(0, 14) ph: number;
}

export class PostponedInput extends CastEventInput implements Told<'postponed'> {
  declare type: 'postponed';
  @IsIn(castTasks) task: CastTask;
  /** Postponed until then, ms. */
  @Time() until: number;
}

export class DamageInput implements Damage {
  @IsIn(spots) spot: Spot;
  @IsIn(damageSizes) size: Damage['size'];
}

export class DemouldedInput extends CastEventInput implements Told<'demoulded'> {
  declare type: 'demoulded';
  @ListOf(() => DamageInput, { most: 20 }) damage: readonly DamageInput[];
  @IsOptional() @IsIn(forces) force?: Force;
  /** What damage is put down to; by where it broke where it is left out. */
  @IsOptional() @IsIn(damageCauses) cause?: DamageCause;
}

export class UncoveredInput extends CastEventInput implements Told<'uncovered'> {
  declare type: 'uncovered';
}

export class WeighedInput extends CastEventInput implements Told<'weighed'> {
  declare type: 'weighed';
  @Grams() mass: number;
  @Amount(0.001, 1000) step: number;
  /** Air that the piece stood in. */
  @IsOptional() @Amount(-40, 60) temperature?: number;
  @IsOptional() @Share() humidity?: number;
  /** How many like pieces lay on the scale together, its mass being its share. */
  @IsOptional() @Whole(2, 200) together?: number;
  /** The caster was asked whether it is the right piece, and said so. */
  @IsOptional() @IsBoolean() sure?: boolean;
}

export class FilmTestedInput extends CastEventInput implements Told<'film-tested'> {
  declare type: 'film-tested';
  /** How long the taped film was on. */
  @Amount(0, 8760) hours: number;
  @IsBoolean() drops: boolean;
}

export class UnclampedInput extends CastEventInput implements Told<'unclamped'> {
  declare type: 'unclamped';
}

export class DecoratedInput extends CastEventInput implements Told<'decorated'> {
  declare type: 'decorated';
  @IsIn(decorationsInOrder) decoration: Decoration;
  @IsOptional() @Text(0, 300) note?: string;
  /** Why a refusal was overridden. */
  @IsOptional() @Text(1, 300) overridden?: string;
}

export class SealPlannedInput extends CastEventInput implements Told<'seal-planned'> {
  declare type: 'seal-planned';
  /** What the piece is for. */
  @Choices(pieceUses, { most: 10 }) uses: readonly PieceUse[];
  @Whole(0, 10) coats: number;
  @IsIn(sides) side: Side;
  /** Left out, it stays bare. */
  @IsOptional() @IsIn(sealerKinds) sealer?: SealerKind;
  /** The product, from the store: its sheet is kept with the event. */
  @IsOptional() @IsUUID() materialId?: string;
}

export class CoatedInput extends CastEventInput implements Told<'coated'> {
  declare type: 'coated';
  @IsIn(sealerKinds) sealer: SealerKind;
  @IsIn(sides) side: Side;
  /** The product, from the store: its sheet is kept with the event, and what went on is taken from its lots. */
  @IsOptional() @IsUUID() materialId?: string;
  /** mL that went on. */
  @IsOptional() @Millilitres() volume?: number;
  @IsOptional() @IsIn(coatTools) tool?: CoatTool;
  /** Why a refusal was overridden. */
  @IsOptional() @Text(1, 300) overridden?: string;
}

export class CheckedInput extends CastEventInput implements Told<'checked'> {
  declare type: 'checked';
  @IsIn(sealChecks) check: SealCheck;
  @IsBoolean() held: boolean;
  @IsOptional() @Text(0, 300) note?: string;
}

export class FittedInput extends CastEventInput implements Told<'fitted'> {
  declare type: 'fitted';
  @IsIn(fittingsInOrder) fitting: Fitting;
  @IsOptional() @Text(0, 300) note?: string;
}

/** A patch of a photo, as shares of its sides. */
export class PhotoPatchInput {
  @Share() x: number;
  @Share() y: number;
  @Share() width: number;
  @Share() height: number;
}

/** Voids that were counted on a photo. */
export class VoidsCountedInput implements VoidsCounted {
  @Share() share: number;
  @Amount(0, 1e6) per100: number;
  @Part(() => PhotoPatchInput) patch: PhotoPatchInput;
  @Millimetres() across: number;
}

export class BubblesInput extends CastEventInput implements Told<'bubbles'> {
  declare type: 'bubbles';
  @IsIn(spots) face: Spot;
  @Whole(1, 5) grade: number;
  @IsOptional() @Part(() => VoidsCountedInput) counted?: VoidsCountedInput;
}

/** What colour its face is, dry; the server puts the wanted one on record with it. */
export class ColourSeenInput extends CastEventInput implements Omit<Told<'colour-seen'>, 'wanted' | 'difference'> {
  declare type: 'colour-seen';
  @IsHexColor() @Length(7, 7) colour: string;
}

export class FinishedInput extends CastEventInput implements Told<'finished'> {
  declare type: 'finished';
  @IsOptional() @Text(0, 120) where?: string;
  @IsOptional() @IsIn(goneWays) gone?: Gone;
  /** What it was sold for, in the workshop's money. */
  @IsOptional() @Amount(0, 1e7) price?: number;
}

export class CameLaterInput extends CastEventInput implements Told<'came-later'> {
  declare type: 'came-later';
  @IsIn(cameLater) came: CameLater;
  @IsOptional() @Text(0, 300) note?: string;
}

/** Where on the drawing of a piece: shares of its width from the left, and of its height from the foot. */
export class DrawnPointInput implements DrawnPoint {
  @Share() x: number;
  @Share() y: number;
}

export class FaultSeenInput extends CastEventInput implements Told<'fault-seen'> {
  declare type: 'fault-seen';
  @IsIn(faults) fault: Fault;
  @IsIn(severities) severity: Severity;
  @IsOptional() @IsIn(spots) spot?: Spot;
  @IsOptional() @Part(() => DrawnPointInput) drawn?: DrawnPointInput;
  @IsOptional() @Text(0, 300) note?: string;
}

export class FoundSoundInput extends CastEventInput implements Told<'found-sound'> {
  declare type: 'found-sound';
}

export class BrokenInput extends CastEventInput implements Told<'broken'> {
  declare type: 'broken';
  @IsOptional() @Text(0, 300) how?: string;
}

export class VoidedInput extends CastEventInput implements Told<'voided'> {
  declare type: 'voided';
  /** The event that is taken back. */
  @IsUUID() event: string;
}

/** The class of each kind of event. */
export const castEvents = kindsOf(CastEventInput, 'type', {
  wetted: WettedInput,
  covered: CoveredInput,
  moved: MovedInput,
  pulled: PulledInput,
  dressed: DressedInput,
  soaked: SoakedInput,
  rinsed: RinsedInput,
  ph: PhInput,
  postponed: PostponedInput,
  demoulded: DemouldedInput,
  uncovered: UncoveredInput,
  weighed: WeighedInput,
  'film-tested': FilmTestedInput,
  unclamped: UnclampedInput,
  decorated: DecoratedInput,
  'seal-planned': SealPlannedInput,
  coated: CoatedInput,
  checked: CheckedInput,
  fitted: FittedInput,
  bubbles: BubblesInput,
  finished: FinishedInput,
  'came-later': CameLaterInput,
  'colour-seen': ColourSeenInput,
  'fault-seen': FaultSeenInput,
  'found-sound': FoundSoundInput,
  broken: BrokenInput,
  voided: VoidedInput,
});

/** An event as a person tells of it. */
export type CastEventTold = AnyOf<typeof castEvents>;
