import type { SwatchBody, TintBody } from '@dewpot/contract';
import { Column, Entity, Index } from 'typeorm';
import { EditedRow, PartOf, RevisionRow } from '../db/row.js';

@Entity('tints')
export class TintEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: TintBody;
  @Column('int', { default: 1 }) revision: number;
}

@Entity('tint_revisions')
@PartOf(() => TintEntity, 'of')
@Index(['workshopId', 'of', 'revision'], { unique: true })
export class TintRevisionEntity extends RevisionRow<TintBody> {
  @Column('uuid', { name: 'tint_id' }) of: string;
}

@Entity('swatches')
export class SwatchEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: SwatchBody;
}
