import type { MixBody, TileInput } from '@dewpot/contract';
import { Column, Entity, Index } from 'typeorm';
import { EditedRow, PartOf, RevisionRow, WorkshopRow } from '../db/row.js';

@Entity('mixes')
export class MixEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: MixBody;
  /** Counts the versions of the recipe: one that was poured never changes. */
  @Column('int', { default: 1 }) revision: number;
}

@Entity('mix_revisions')
@PartOf(() => MixEntity, 'of')
@Index(['workshopId', 'of', 'revision'], { unique: true })
export class MixRevisionEntity extends RevisionRow<MixBody> {
  @Column('uuid', { name: 'mix_id' }) of: string;
}

/** A trial tile of a mix, sealed and bare side by side. */
@Entity('trial_tiles')
@PartOf(() => MixEntity, 'mixId')
export class TrialTileEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'mix_id' }) mixId: string;
  @Column('jsonb') body: Omit<TileInput, 'mixId'>;
}
