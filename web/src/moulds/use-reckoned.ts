import { useMemo, useState } from 'react';
import { InputError, reckonMould, type FieldIssue, type MouldFigures } from '@dewpot/core';
import type { MouldDraft } from './draft';
import type { Drawn } from './mould-drawing';
import { errorsByField } from './size-field';
import type { MixOfMould } from './use-mix';

interface Reckoned {
  readonly figures?: MouldFigures;
  readonly drawn?: Drawn;
  readonly issues: readonly FieldIssue[];
}

/** Pieces whose inside is told to a fill line below the rim, mm. */
const FILL_GAP = 10;

function reckon(
  { shape, stuff, piece, sleeve, coreMass, meshOpening }: MouldDraft,
  mix: MixOfMould | undefined,
): Reckoned {
  const options = {
    stuff,
    piece,
    ...(sleeve !== undefined && { sleeve }),
    ...(coreMass !== undefined && { coreMass }),
    ...(meshOpening !== undefined && { meshOpening }),
    ...((piece === 'small-pot' || piece === 'dish') && { fillGap: FILL_GAP }),
    ...mix,
  };
  try {
    const figures = reckonMould(shape, options);
    return { figures, drawn: { shape, thinnest: figures.thinnest }, issues: [] };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { issues: error.issues };
  }
}

/** The draft's figures or what is wrong with it, and the last shape that could be drawn. */
export function useReckoned(draft: MouldDraft, mix: MixOfMould | undefined) {
  const reckoned = useMemo(() => reckon(draft, mix), [draft, mix]);
  const [drawn, setDrawn] = useState(reckoned.drawn);
  if (reckoned.drawn && reckoned.drawn !== drawn) setDrawn(reckoned.drawn);
  return { figures: reckoned.figures, drawn, errors: useMemo(() => errorsByField(reckoned.issues), [reckoned]) };
}
