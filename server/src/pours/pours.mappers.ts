import type { PourPart } from '@dewpot/core/planning';
import type { PourRow, PourView } from '@dewpot/contract';
import { faceColouringOf, mainColour } from '@dewpot/core/pours';
import type { PouredPiece, PourEntity } from './pours.entities.js';

export function pourView(row: PourEntity): PourView {
  const { id, number, version, status, input, parts, startedAt, pouredAt, lessons, trial } = row;
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
    ...(trial && { trial }),
  };
}

/** What a pour is listed by. */
export const listedBy = (parts: readonly PourPart[]) => ({
  pieces: parts.flatMap(({ plan, colour }) =>
    plan.items.map((item): PouredPiece => {
      const { mouldId, name, count } = item;
      const face = faceColouringOf(item);
      return { mouldId, name, count, colour: face ? mainColour(face) : colour };
    }),
  ),
  mixes: parts.map(({ mixName }) => mixName),
});

export const pourRow = ({ id, number, status, pieces, mixes, pouredAt }: PourEntity): PourRow => ({
  ...{ id, number, status, pieces, mixes },
  ...(pouredAt !== null && { pouredAt }),
});
