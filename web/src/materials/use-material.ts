import { useState } from 'react';
import type { HandbookMaterial } from '@dewpot/core/materials';
import type { MaterialInput, MaterialView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { useSaveStore } from '../api/materials';
import { blank, powderSizes, sizesOf, tidyMaterial } from './material-fields';
import { useSay } from '../ui/say';

function inputOf(material: MaterialView): MaterialInput {
  const { id: _, ...rest } = material;
  return rest;
}

/** A material that is being typed in. */
export function useMaterial(material: MaterialView | undefined, onKept: () => void) {
  const say = useSay();
  const save = useSaveStore();
  const [id] = useState(() => material?.id ?? uuid());
  const [draft, setDraft] = useState<MaterialInput>(() => (material ? inputOf(material) : blank));
  const [tried, setTried] = useState(false);
  // Fields keep what is typed in them; a figure put in from elsewhere makes them again.
  const [round, setRound] = useState(0);
  const replace = (whole: MaterialInput) => {
    setDraft(whole);
    setRound(round + 1);
  };
  const powder = draft.powder ?? { low: NaN, high: NaN, binderShare: 1, doseShare: 1 };
  const wrong =
    !draft.name.trim() ||
    sizesOf(draft.kind).some(([size]) => !Number.isFinite(draft[size])) ||
    (draft.kind === 'pre-blend' && powderSizes.some(([size]) => !Number.isFinite(powder[size])));
  return {
    id,
    draft,
    powder,
    tried,
    round,
    save,
    set: (part: Partial<MaterialInput>) => setDraft({ ...draft, ...part }),
    setDraft,
    /** Puts figures in from elsewhere than their fields. */
    putIn: (part: Partial<MaterialInput>) => replace({ ...draft, ...part }),
    fromHandbook: ({ key: _, name, ...figures }: HandbookMaterial) =>
      replace({ ...figures, name: say(name), version: 0 }),
    keep: () =>
      wrong
        ? setTried(true)
        : save.mutate({ id, kind: 'materials', input: tidyMaterial(draft) }, { onSuccess: onKept }),
  };
}

export type MaterialEdit = ReturnType<typeof useMaterial>;
