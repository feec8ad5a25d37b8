import type { Stock } from '@dewpot/core/cutting';
import type { Material } from '@dewpot/core/materials';
import { Column, Entity, Index } from 'typeorm';
import { EditedRow, milliseconds, PartOf } from '../db/row.js';
import { stored } from '../db/stored.js';

/** A material as it is kept, beside its key and its name. */
export type StoredMaterial = Omit<Material, 'id' | 'name'>;

@Entity('materials')
export class MaterialEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: StoredMaterial;
}

@Entity('lots')
@PartOf(() => MaterialEntity, 'materialId')
export class LotEntity extends EditedRow {
  @Index() @Column('uuid', { name: 'material_id' }) materialId: string;
  @Column('double precision') bought: number;
  @Column('double precision') left: number;
  @Column('double precision') price: number;
  @Column('bigint', { name: 'bought_at', transformer: milliseconds }) boughtAt: number;
  @Column('bigint', { name: 'opened_at', nullable: true, transformer: milliseconds }) openedAt: number | null;
  @Column('int', { default: 1 }) bags: number;
  @Column('boolean', { default: false }) lumpy: boolean;
}

@Entity('scoops')
export class ScoopEntity extends EditedRow {
  @Column('text') name: string;
  @Column('double precision') volume: number;
  @Column('double precision', { nullable: true }) heaped: number | null;
}

@Entity('stock')
export class StockEntity extends EditedRow {
  @Column('text') name: string;
  @Column(stored()) body: Stock;
}
