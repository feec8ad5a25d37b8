import { useMemo, useState } from 'react';
import {
  InputError,
  reckonMould,
  reckonShells,
  type BallastSand,
  type FieldIssue,
  type MouldFigures,
} from '@dewpot/core';
import { useBallastSand } from '../api/ballast-sand';
import type { MouldDraft } from './draft';
import type { Drawn } from './mould-drawing';
import { errorsByField } from './size-field';
import type { MixOfMould } from './use-mix';

interface Reckoned {
  readonly figures?: MouldFigures;
  /** Mass that 5 mm more of a pressed shell would cost, g. */
  readonly fiveMore?: number | undefined;
  readonly drawn?: Drawn;
  readonly issues: readonly FieldIssue[];
}

/** Pieces whose inside is told to a fill line below the rim, mm. */
const FILL_GAP = 10;

function reckon(
  { shape, stuff, piece, sleeve, coreMass, meshOpening }: MouldDraft,
  mix: MixOfMould | undefined,
  sand: { readonly ballastSand?: BallastSand },
): Reckoned {
  const options = {
    stuff,
    piece,
    ...(sleeve !== undefined && { sleeve }),
    ...(coreMass !== undefined && { coreMass }),
    ...(meshOpening !== undefined && { meshOpening }),
    ...((piece === 'small-pot' || piece === 'dish') && { fillGap: FILL_GAP }),
    ...mix,
    ...sand,
  };
  try {
    const figures = reckonMould(shape, options);
    const { pressed } = shape;
    const [shell] = pressed ? reckonShells(shape.outer, pressed.side, [pressed.thickness], mix?.density) : [];
    return { figures, fiveMore: shell?.fiveMore, drawn: { shape, thinnest: figures.thinnest }, issues: [] };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { issues: error.issues };
  }
}

/** The draft's figures or what is wrong with it, and the last shape that could be drawn. */
export function useReckoned(draft: MouldDraft, mix: MixOfMould | undefined) {
  const sand = useBallastSand();
  const reckoned = useMemo(() => reckon(draft, mix, sand), [draft, mix, sand]);
  const [drawn, setDrawn] = useState(reckoned.drawn);
  if (reckoned.drawn && reckoned.drawn !== drawn) setDrawn(reckoned.drawn);
  const { figures, fiveMore } = reckoned;
  return { figures, fiveMore, drawn, errors: useMemo(() => errorsByField(reckoned.issues), [reckoned]) };
}
