import { useMemo, useState } from 'react';
import { mouldRecord } from '@dewpot/core/casts';
import type { MouldView } from '@dewpot/contract';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useCastsOf } from '../api/casts';
import { useRemoveMould, useSaveMould } from '../api/moulds';
import { useJudgedPair } from '../judging';
import { toast } from '../ui/toast';
import { useKept } from '../ui/use-kept';
import { inputOf, type MouldDraft } from './draft';
import type { Start } from './starts';
import { useAsKept } from './use-as-kept';
import { useCalculatedMould } from './use-calculated-mould';
import { useFileReading } from './use-file-reading';
import { useMixOfMould } from './use-mix';
import { useSay } from '../ui/say';

/** What came of the casts of this mould. */
function useRecord(id: string | undefined) {
  const casts = useCastsOf(id === undefined ? undefined : { mould: id });
  return useMemo(() => mouldRecord(casts.map(({ life, snapshot }) => ({ life, release: snapshot.release }))), [casts]);
}

/** A mould that is being drawn: its draft, what follows from it in a mix, and how it is kept. */
export function useMouldEdit(known: MouldView | undefined, first: MouldDraft) {
  const say = useSay();
  const navigate = useNavigate();
  const [key] = useState(() => known?.id ?? uuid());
  const [draft, setDraft] = useState(first);
  const [mixId, setMixId] = useState<string>();
  const [unnamed, setUnnamed] = useState(false);
  const save = useSaveMould();
  const remove = useRemoveMould();
  const { mixes, view, mix } = useMixOfMould(mixId);
  const calculated = useCalculatedMould(draft, mix);
  const judged = useJudgedPair(useAsKept(draft, key), view);
  const record = useRecord(known?.id);
  const reading = useFileReading();
  const set = (part: Partial<MouldDraft>) => setDraft((now) => ({ ...now, ...part }));
  const setShape = (shape: MouldDraft['shape']) => set({ shape });
  /** The drawing takes another shape; the one before can be put back. */
  const take = ({ shape }: Start) => {
    const before = draft.shape;
    reading.close();
    setShape(shape);
    toast.success(say('moulds.drawingShowsFile'), {
      action: { label: say('moulds.putItBack'), onClick: () => setShape(before) },
    });
  };
  const kept = useKept(known ? undefined : `/moulds/${key}`, (version) => set({ version }));
  const keep = (version = draft.version) => {
    if (!draft.name.trim()) return setUnnamed(true);
    save.mutate({ id: key, input: { ...inputOf(draft), version } }, kept);
  };
  const throwAway = known && {
    question: say('moulds.deleteAsk', { draft: draft.name }),
    act: () => remove.mutate(known.id, { onSuccess: () => void navigate('/moulds') }),
  };
  return {
    ...{ known, draft, setDraft, set, setShape, unnamed, reading, take },
    ...{ calculated, judged, record, mixes, mixId, setMixId },
    ...{ save, keep, throwAway, failure: save.error ?? remove.error },
  };
}

export type MouldEdit = ReturnType<typeof useMouldEdit>;
