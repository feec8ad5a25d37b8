import { useMemo, useState } from 'react';
import { InputError, type FieldIssue } from '@dewpot/core/units';
import { calculateMould, calculateShells, type BallastSand, type MouldFigures } from '@dewpot/core/moulds';
import { useBallastSand } from '../api/ballast-sand';
import type { MouldDraft } from './draft';
import type { Drawn } from './mould-drawing';
import { errorsByField } from './size-field';
import type { MixOfMould } from './use-mix';

interface Calculated {
  readonly figures?: MouldFigures;
  /** Mass that 5 mm more of a pressed shell would cost, g. */
  readonly fiveMore?: number | undefined;
  readonly drawn?: Drawn;
  readonly issues: readonly FieldIssue[];
}

/** Pieces whose inside is told to a fill line below the rim, mm. */
const FILL_GAP = 10;

function calculate(
  { shape, flexibility, piece, sleeve, coreMass, meshOpening }: MouldDraft,
  mix: MixOfMould | undefined,
  sand: { readonly ballastSand?: BallastSand },
): Calculated {
  const options = {
    flexibility,
    piece,
    ...(sleeve !== undefined && { sleeve }),
    ...(coreMass !== undefined && { coreMass }),
    ...(meshOpening !== undefined && { meshOpening }),
    ...((piece === 'small-pot' || piece === 'dish') && { fillGap: FILL_GAP }),
    ...mix,
    ...sand,
  };
  try {
    const figures = calculateMould(shape, options);
    const { pressed } = shape;
    const [shell] = pressed ? calculateShells(shape.outer, pressed.side, [pressed.thickness], mix?.density) : [];
    return { figures, fiveMore: shell?.fiveMore, drawn: { shape, thinnest: figures.thinnest }, issues: [] };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { issues: error.issues };
  }
}

/** The draft's figures or what is wrong with it, and the last shape that could be drawn. */
export function useCalculatedMould(draft: MouldDraft, mix: MixOfMould | undefined) {
  const sand = useBallastSand();
  const calculated = useMemo(() => calculate(draft, mix, sand), [draft, mix, sand]);
  const [drawn, setDrawn] = useState(calculated.drawn);
  if (calculated.drawn && calculated.drawn !== drawn) setDrawn(calculated.drawn);
  const { figures, fiveMore } = calculated;
  return { figures, fiveMore, drawn, errors: useMemo(() => errorsByField(calculated.issues), [calculated]) };
}
