import type { PourView } from '@dewpot/contract';
import type { PourEntity } from './pours.entities.js';

export function pourView(row: PourEntity): PourView {
  const { id, number, version, status, input, parts, startedAt, pouredAt, lessons } = row;
  return {
    id,
    number,
    version,
    status,
    input,
    parts,
    ...(startedAt !== null && { startedAt }),
    ...(pouredAt !== null && { pouredAt }),
    ...(lessons && { lessons }),
  };
}
