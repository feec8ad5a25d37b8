import type { ScaleState } from '@dewpot/contract';
import { Column, Entity } from 'typeorm';
import { WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** The bench scale of a workshop: what lies on the simulated one, and what a real one's bridge posted last. */
@Entity('bench_scales')
export class BenchScaleEntity extends WorkshopRow {
  @Column(stored()) state: ScaleState;
}
