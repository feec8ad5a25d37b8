import type { FindingKey } from '@dewpot/core/units';
import type { MouldFlexibility, MouldMaterial, MouldShape, PieceKind, ReleaseName } from '@dewpot/core/moulds';
import type { Solid } from '@dewpot/core/solids';
import type { CopyCondition } from '@dewpot/contract';
import { Column, Entity, Index } from 'typeorm';
import { MixEntity } from '../mixes/mixes.entities.js';
import { EditedRow, milliseconds, PartOf, WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';
import { Shows } from '../pictures/photos.entities.js';

/** A mould as it is kept, beside its name and its copies. */
export interface StoredMould {
  readonly flexibility: MouldFlexibility;
  readonly piece: PieceKind;
  readonly shape: MouldShape;
  readonly material?: MouldMaterial;
  readonly release?: ReleaseName;
  readonly sleeve?: boolean;
  readonly once?: boolean;
  readonly remake?: string;
  readonly notes?: string;
  readonly coreMass?: number;
  readonly meshOpening?: number;
}

/** A tub as it is kept: its inside, and its wall in mm. */
export interface StoredTub {
  readonly inside: Solid;
  readonly wall: number;
}

@Entity('moulds')
export class MouldEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: StoredMould;
  /** Times that it was filled, whichever copy. */
  @Column('int', { default: 0 }) cycles: number;
  /** What it is looked for by: what it holds, mL, and the height and largest size of its piece, mm; null in one that was kept before. */
  @Column('double precision', { nullable: true }) volume: number | null;
  @Column('double precision', { nullable: true }) height: number | null;
  @Column('double precision', { nullable: true }) reach: number | null;
}

@Entity('mould_copies')
@PartOf(() => MouldEntity, 'mouldId')
export class MouldCopyEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('text') mark: string;
  @Column('int', { default: 0 }) cycles: number;
  @Column('text', { default: 'good' }) condition: CopyCondition;
  @Column('text', { default: '' }) note: string;
  @Column('boolean', { default: false }) retired: boolean;
  @Column('text', { name: 'last_colour', nullable: true }) lastColour: string | null;
  @Column('bigint', { name: 'washed_at', nullable: true, transformer: milliseconds }) washedAt: number | null;
}

@Entity('mould_pictures')
@PartOf(() => MouldEntity, 'mouldId')
@Shows('photo')
export class MouldPictureEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('text') caption: string;
  @Column('int') width: number;
  @Column('int') height: number;
  @Index() @Column('bytea') photo: Buffer;
}

@Entity('tubs')
export class TubEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: StoredTub;
}

/** A finding that is put aside for a mould with a mix, and why. */
@Entity('findings_aside')
@PartOf(() => MouldEntity, 'mouldId')
@PartOf(() => MixEntity, 'mixId')
@Index(['workshopId', 'mouldId', 'mixId', 'finding'], { unique: true })
export class FindingAsideEntity extends WorkshopRow {
  @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('uuid', { name: 'mix_id' }) mixId: string;
  @Column('text') finding: FindingKey;
  @Column('text') reason: string;
}
