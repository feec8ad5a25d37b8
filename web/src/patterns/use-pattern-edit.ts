import { useMemo, useRef, useState } from 'react';
import { InputError, type FieldIssue } from '@dewpot/core/units';
import { fullVolume } from '@dewpot/core/moulds';
import { workPattern, type CutPattern, type PatternMould, type WorkedPattern } from '@dewpot/core/patterns';
import type { MouldInput, PatternSheetInput, SolidInput } from '@dewpot/contract';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useSaveMould } from '../api/moulds';
import { useRemovePattern, useSavePattern } from '../api/patterns';
import { useSession } from '../api/session';
import { useSay } from '../ui/say';
import { toast } from '../ui/toast';
import { useKept } from '../ui/use-kept';

/** Of a sand-cement mix, kg/L: what a pattern is weighed by. */
const USUAL_DENSITY = 2.1;

/** A mould's name is at most so long. */
const LONGEST_NAME = 80;

/** A pattern as it is edited. Numbers of it are NaN while their field is empty. */
export interface PatternDraft extends Omit<PatternSheetInput, 'pattern'> {
  readonly pattern: CutPattern;
}

/** What a pattern comes to; what cannot be is told by its fields, and the last one that could be stays in view. */
function useWorked(pattern: CutPattern): { readonly worked: WorkedPattern | undefined; readonly issues: readonly FieldIssue[] } {
  const { liftLimit } = useSession().workshop;
  const [shown, setShown] = useState<{ readonly kind: string; readonly worked: WorkedPattern }>();
  const now = useMemo(() => {
    try {
      return { worked: workPattern(pattern, { density: USUAL_DENSITY, liftLimit }), issues: [] };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return { worked: undefined, issues: error.issues };
    }
  }, [pattern, liftLimit]);
  if (now.worked && shown?.worked !== now.worked) setShown({ kind: pattern.kind, worked: now.worked });
  const last = shown?.kind === pattern.kind ? shown.worked : undefined;
  return { worked: now.worked ?? last, issues: now.issues };
} // prettier-ignore

/** A shape as the API takes it. */
export const shapeInput = ({ outer, cores, inserts }: PatternMould['shape']): MouldInput['shape'] => {
  const placed = ({ solid, ...rest }: PatternMould['shape']['cores'][number]) => ({ ...rest, solid: solid as SolidInput });
  return { outer: outer as SolidInput, cores: cores.map(placed), inserts: inserts.map(placed) };
}; // prettier-ignore

/** A mould out of a pattern: taken apart, of wood, one of it. */
const mouldOf = ({ shape, piece }: PatternMould, name: string): MouldInput => ({
  name,
  flexibility: 'apart',
  piece,
  material: 'wood',
  shape: shapeInput(shape),
  copies: [{ id: uuid(), mark: 'A' }],
  version: 0,
});

/** Makes the moulds that a pattern makes. The same step tried again makes the same moulds, not others. */
function useMakeMoulds(name: string, worked: WorkedPattern | undefined, onMade: (ids: string[]) => void) {
  const say = useSay();
  const save = useSaveMould();
  const keys = useRef<string[]>([]);
  const make = async () => {
    const moulds = worked?.moulds ?? [];
    for (const [i, mould] of moulds.entries()) {
      const called = moulds.length === 1 ? name : `${name}, ${say(mould.name)}`;
      const id = (keys.current[i] ??= uuid());
      await save.mutateAsync({ id, input: mouldOf(mould, called.slice(0, LONGEST_NAME)) });
    }
    toast.success(say('patterns.mouldsMade', { count: moulds.length }));
    onMade(keys.current.slice(0, moulds.length));
  };
  // What failed is shown by the write itself, and the step can be tried again.
  return { make: () => void make().catch(() => undefined), making: save.isPending, failed: save.error };
}

/** A pattern that is being drawn: its draft, what follows from it, and how it and its moulds are kept. */
export function usePatternEdit(id: string | undefined, first: PatternDraft) {
  const say = useSay();
  const navigate = useNavigate();
  const [key] = useState(() => id ?? uuid());
  const [draft, setDraft] = useState(first);
  const [unnamed, setUnnamed] = useState(false);
  const [picked, setPicked] = useState<string>();
  const { worked, issues } = useWorked(draft.pattern);
  const [save, remove] = [useSavePattern(), useRemovePattern()];
  const set = (part: Partial<PatternDraft>) => setDraft((now) => ({ ...now, ...part }));
  const name = draft.name.trim();
  const { onSuccess } = useKept(id ? undefined : `/patterns/${key}`, (version) => set({ version }));
  const keep = (part: Partial<PatternDraft> = {}) => {
    if (!name) return setUnnamed(true);
    const next = { ...draft, ...part, name };
    setDraft(next);
    const input = { ...next, pattern: next.pattern as PatternSheetInput['pattern'] };
    save.mutate({ id: key, input }, { onSuccess: (saved) => {
      onSuccess(saved);
      set({ cut: saved.cut });
    } }); // prettier-ignore
  };
  const { make, making, failed } = useMakeMoulds(name, worked, (moulds) => keep({ moulds }));
  const throwAway = id && {
    question: say('patterns.deleteAsk', { name: draft.name }),
    act: () => remove.mutate(id, { onSuccess: () => void navigate('/patterns') }),
  };
  return {
    ...{ draft, set, unnamed, picked, setPicked, worked, issues, save, keep, making },
    makeMoulds: () => (name ? make() : setUnnamed(true)),
    throwAway: throwAway || undefined,
    failure: save.error ?? failed ?? remove.error,
  };
}

export type PatternEdit = ReturnType<typeof usePatternEdit>;

/** Whether a mould holds something else than the pattern now makes: by more than a thousandth. */
export const differs = (mould: PatternMould, kept: { readonly shape: PatternMould['shape'] }): boolean =>
  Math.abs(fullVolume(mould.shape) / fullVolume(kept.shape) - 1) > 1e-3;
