import type { OverrideSeen, TileInput } from '@dewpot/contract';
import { Column, Entity, Index } from 'typeorm';
import { WorkshopRow } from './row.js';

/** A trial tile of a mix, sealed and bare side by side. */
@Entity('trial_tiles')
export class TrialTileEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'mix_id' }) mixId: string;
  @Column('jsonb') body: Omit<TileInput, 'mixId'>;
}

/** Gates that a workshop has overridden and what came of it, kept together so that judging one reads one row. */
@Entity('seal_lessons')
export class SealLessonEntity extends WorkshopRow {
  @Column('jsonb') records: readonly OverrideSeen[];
}
