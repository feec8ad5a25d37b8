import { v7 as uuid } from 'uuid';
import { PlaceEntity } from './ambient.entities.js';
import type { WorkshopContext } from '../db/workshop-context.js';

/** What a new workshop has: a bench, of which nobody has said yet how warm it is. */
const first = [{ name: 'The bench', body: { kind: 'shed', source: 'unknown' } }] as const;

/** Gives the workshop at hand its first places. */
export async function furnishPlaces(rows: WorkshopContext): Promise<void> {
  const { workshopId } = rows;
  for (const { name, body } of first) await rows.of(PlaceEntity).insert({ id: uuid(), workshopId, name, body });
}
