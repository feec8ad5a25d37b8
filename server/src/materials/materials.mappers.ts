import type { Lot, Material } from '@dewpot/core/materials';
import type { LotView, MaterialView, ScoopView, StockView } from '@dewpot/contract';
import type { LotEntity, MaterialEntity, ScoopEntity, StockEntity } from './materials.entities.js';

/** A material as core knows it. */
export const plainMaterial = ({ id, name, body }: MaterialEntity): Material => ({ ...body, id, name });

export const materialView = (row: MaterialEntity): MaterialView => ({ ...plainMaterial(row), version: row.version });

/** A lot as it is calculated with, without its key. */
export function plainLot(row: LotEntity): Lot {
  const { materialId, bought, left, price, boughtAt, openedAt, bags, lumpy } = row;
  return { materialId, bought, left, price, boughtAt, bags, lumpy, ...(openedAt !== null && { openedAt }) };
}

export const lotView = (row: LotEntity): LotView => ({ ...plainLot(row), id: row.id, version: row.version });

export function scoopView({ id, version, name, volume, heaped }: ScoopEntity): ScoopView {
  return { id, version, name, volume, ...(heaped !== null && { heaped }) };
}

export const stockView = ({ id, version, name, body }: StockEntity): StockView => ({ ...body, id, version, name });
