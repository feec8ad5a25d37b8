import { v7 as uuid } from 'uuid';
import { PlaceEntity } from '../db/entities.js';
import type { Rows } from '../db/rows.js';

/** What a new workshop has: a shed with the simulated logger, and a yard by the forecast. */
const first = [
  { name: 'Shed', body: { kind: 'shed', source: 'logger', simulated: true } },
  { name: 'Yard', body: { kind: 'yard', source: 'forecast' } },
] as const;

/** Gives the workshop at hand its first places. */
export async function furnishPlaces(rows: Rows): Promise<void> {
  const { workshopId } = rows;
  for (const { name, body } of first) await rows.of(PlaceEntity).insert({ id: uuid(), workshopId, name, body });
}
