import type { KnownRecipe } from '@dewpot/core/mixes';
import type { TrialTile } from '@dewpot/core/sealing';
import { Column, Entity, Index } from 'typeorm';
import { EditedRow, PartOf, RevisionRow, WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** A recipe as it is kept: its materials by their keys. */
export interface StoredMix extends KnownRecipe {
  readonly packed: boolean;
  readonly suits?: string;
}

/** A trial tile as it is kept. */
export interface StoredTile extends TrialTile {
  /** ms */
  readonly at: number;
  readonly note?: string;
}

@Entity('mixes')
export class MixEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: StoredMix;
  /** Counts the versions of the recipe: one that was poured never changes. */
  @Column('int', { default: 1 }) revision: number;
}

@Entity('mix_revisions')
@PartOf(() => MixEntity, 'of')
@Index(['workshopId', 'of', 'revision'], { unique: true })
export class MixRevisionEntity extends RevisionRow<StoredMix> {
  @Column('uuid', { name: 'mix_id' }) of: string;
}

/** A trial tile of a mix, sealed and bare side by side. */
@Entity('trial_tiles')
@PartOf(() => MixEntity, 'mixId')
export class TrialTileEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'mix_id' }) mixId: string;
  @Column(stored()) body: StoredTile;
}
