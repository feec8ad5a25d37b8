import type { Costing } from '@dewpot/core/money';
import { Column, Entity } from 'typeorm';
import { EditedRow, PartOf } from '../db/row.js';
import { stored } from '../db/stored.js';
import { MouldEntity } from '../moulds/moulds.entities.js';

/** What the pieces of a mould cost beside what is on record; its key is the mould's. */
@Entity('costings')
@PartOf(() => MouldEntity, 'id')
export class CostingEntity extends EditedRow {
  @Column(stored()) body: Costing;
}
