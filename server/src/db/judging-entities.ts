import type { FindingKey } from '@dewpot/core';
import { Column, Entity, Index } from 'typeorm';
import { WorkshopRow } from './row.js';

/** A finding that is put aside for a mould with a mix, and why. */
@Entity('findings_aside')
@Index(['workshopId', 'mouldId', 'mixId', 'finding'], { unique: true })
export class FindingAsideEntity extends WorkshopRow {
  @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('uuid', { name: 'mix_id' }) mixId: string;
  @Column('text') finding: FindingKey;
  @Column('text') reason: string;
}
