import { useDeferredValue, useMemo, useState } from 'react';
import { lessonsFor } from '@dewpot/core/planning';
import type { MixInput } from '@dewpot/contract';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useRemoveMix, useSaveMix } from '../api/mixes';
import { useMixColour } from '../api/tints';
import { useKept } from '../ui/use-kept';
import { useDay } from '../ui/use-now';
import { useCalculatedMix } from './use-calculated-mix';
import type { MixSources } from './use-mix-sources';
import { useSay } from '../ui/say';

/** A recipe that is being written: its draft, what follows from it, and how it is kept. */
export function useMixEdit(id: string | undefined, first: MixInput, { store, past }: MixSources) {
  const say = useSay();
  const navigate = useNavigate();
  const [key] = useState(() => id ?? uuid());
  const [draft, setDraft] = useState(first);
  const [unnamed, setUnnamed] = useState(false);
  const save = useSaveMix();
  const remove = useRemoveMix();
  const kept = useKept(id ? undefined : `/mixes/${key}`, (version) => setDraft((now) => ({ ...now, version })));
  // The age of cement is told by the day: a clock that ticks must not calculate everything again.
  const now = useDay();
  const lessons = useMemo(() => lessonsFor(id, past.lessons), [id, past.lessons]);
  const known = useMemo(() => ({ store, lessons, now }), [store, lessons, now]);
  const calculated = useCalculatedMix(draft, known);
  const dried = useMixColour()({ ...draft, colourCalculated: true }, calculated.mix);
  const keep = (version = draft.version) => {
    const name = draft.name.trim();
    if (!name) return setUnnamed(true);
    save.mutate(
      { id: key, input: { ...draft, name, ...(draft.colourCalculated && { colour: dried }), version } },
      kept,
    );
  };
  const throwAway = id
    ? {
        question: say('mixes.deleteAsk', { draft: draft.name }),
        act: () => remove.mutate(id, { onSuccess: () => void navigate('/mixes') }),
      }
    : undefined;
  return {
    ...{ id, draft, setDraft, unnamed, lessons, calculated, dried },
    set: (part: Partial<MixInput>) => setDraft({ ...draft, ...part }),
    // Proposals may lag a key behind; the figures may not.
    settled: useDeferredValue(calculated),
    ...{ save, keep, throwAway, failure: save.error ?? remove.error },
  };
}

export type MixEdit = ReturnType<typeof useMixEdit>;
