import { useMemo } from 'react';
import { InputError } from '@dewpot/core/units';
import { workPattern, type CutPattern } from '@dewpot/core/patterns';
import { HEIGHT, WIDTH } from './fit-drawing';
import { fitFolded, FoldingDrawing } from './folding-drawing';
import { FIRST_LOOK } from './looked-at';
import { PlanView } from './plan-view';

/** What a picture is drawn by: neither changes it. */
const WAYS = { density: 2, liftLimit: 25_000 };

/** A pattern as it stands, small; nothing for one that cannot be. */
export function PatternThumb({ pattern }: { pattern: CutPattern }) {
  const worked = useMemo(() => {
    try {
      return workPattern(pattern, WAYS);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return undefined;
    }
  }, [pattern]);
  if (!worked) return null;
  if (worked.pieces.length === 0) return <PlanView plan={worked.plan} />;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden="true">
      <FoldingDrawing
        pieces={worked.pieces}
        kind={pattern.kind}
        share={1}
        look={FIRST_LOOK}
        at={fitFolded(worked.pieces, pattern.kind, 1, FIRST_LOOK)}
      />
    </svg>
  );
}
