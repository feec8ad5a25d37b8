import type { ColourMeasuredBy, KeptColour } from '@dewpot/core/tints';
import { Column, Entity, Index } from 'typeorm';
import { EditedRow, PartOf, RevisionRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** A tint as it is kept: its materials by their keys. */
export interface StoredTint extends KeptColour {
  readonly note?: string;
}

/** A test chip as it is kept. */
export interface StoredSwatch extends StoredTint {
  /** ms */
  readonly castAt?: number;
  readonly ratio?: number;
  readonly measured?: { readonly colour: string; readonly by: ColourMeasuredBy; readonly at: number };
}

@Entity('tints')
export class TintEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: StoredTint;
  @Column('int', { default: 1 }) revision: number;
}

@Entity('tint_revisions')
@PartOf(() => TintEntity, 'of')
@Index(['workshopId', 'of', 'revision'], { unique: true })
export class TintRevisionEntity extends RevisionRow<StoredTint> {
  @Column('uuid', { name: 'tint_id' }) of: string;
}

@Entity('swatches')
export class SwatchEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: StoredSwatch;
}
