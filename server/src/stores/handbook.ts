import { handbookMaterials } from '@dewpot/core';
import { v7 as uuid } from 'uuid';
import { MaterialEntity, ScoopEntity } from '../db/entities.js';
import type { Rows } from '../db/rows.js';

/** Gives a new workshop the handbook's materials and a first scoop. Answers the ids of the materials by key. */
export async function fillWithHandbook(rows: Rows): Promise<Record<string, string>> {
  const { workshopId } = rows;
  const made = handbookMaterials.map(({ key, name, ...body }) => ({ id: uuid(), workshopId, name, body, key }));
  await rows.of(MaterialEntity).insert(made.map(({ id, name, body }) => ({ id, workshopId, name, body })));
  await rows.of(ScoopEntity).insert({ id: uuid(), workshopId, name: 'A 1-litre jug', volume: 1000 });
  return Object.fromEntries(made.map(({ key, id }) => [key, id]));
}
