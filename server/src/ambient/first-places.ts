import { msg } from '@dewpot/core/units';
import type { Speaker } from '@dewpot/locales';
import { v7 as uuid } from 'uuid';
import { PlaceEntity } from './ambient.entities.js';
import type { WorkshopContext } from '../db/workshop-context.js';

/** What a new workshop has: a bench, of which nobody has said yet how warm it is. */
const first = [{ name: msg('server.benchPlace'), body: { kind: 'shed', source: 'unknown' } }] as const;

/** Gives the workshop at hand its first places. */
export async function furnishPlaces(rows: WorkshopContext, say: Speaker): Promise<void> {
  const { workshopId } = rows;
  for (const { name, body } of first)
    await rows.of(PlaceEntity).insert({ id: uuid(), workshopId, name: say(name), body });
}
