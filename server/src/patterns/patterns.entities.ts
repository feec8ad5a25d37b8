import type { PatternBody } from '@dewpot/contract';
import { Column, Entity, Index } from 'typeorm';
import { EditedRow, PartOf, RevisionRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** Something to cut and put together, by its sizes. */
@Entity('patterns')
export class PatternEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: PatternBody;
  @Column('int', { default: 1 }) revision: number;
}

@Entity('pattern_revisions')
@PartOf(() => PatternEntity, 'of')
@Index(['workshopId', 'of', 'revision'], { unique: true })
export class PatternRevisionEntity extends RevisionRow<PatternBody> {
  @Column('uuid', { name: 'pattern_id' }) of: string;
}
