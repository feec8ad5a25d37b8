import { handbookMaterials } from '@dewpot/core/materials';
import type { Speaker } from '@dewpot/locales';
import { v7 as uuid } from 'uuid';
import { MaterialEntity } from './materials.entities.js';
import type { WorkshopContext } from '../db/workshop-context.js';

/** Gives a new workshop the handbook's materials. Which scoops it has is asked. Answers the ids of the materials by key. */
export async function fillWithHandbook(rows: WorkshopContext, say: Speaker): Promise<Record<string, string>> {
  const { workshopId } = rows;
  const made = handbookMaterials.map(({ key, name, ...body }) => ({
    id: uuid(),
    workshopId,
    name: say(name),
    body,
    key,
  }));
  await rows.of(MaterialEntity).insert(made.map(({ id, name, body }) => ({ id, workshopId, name, body })));
  return Object.fromEntries(made.map(({ key, id }) => [key, id]));
}
