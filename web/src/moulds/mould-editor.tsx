import { useMemo, useState } from 'react';
import { HOUR, mouldRecord } from '@dewpot/core';
import type { MouldView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { buttonClass } from '../ui/button';
import { toast } from '../ui/toast';
import { v7 as uuid } from 'uuid';
import { allCastsQuery } from '../api/casts';
import { useRemoveMould, useSaveMould } from '../api/moulds';
import { useAsideOfPair, useJudgedPair } from '../judging';
import { KeepBar, StaleChoice } from '../ui/keep-bar';
import { saySpan } from '../ui/format-time';
import { Copies } from './copies';
import { inputOf, type MouldDraft } from './draft';
import { ExportMenu } from './export-menu';
import { FileAsks, takesDrop } from './file-asks';
import { HeadSlab } from './head-slab';
import { MeasuredSlab } from './measured-slab';
import { MouldAnswers } from './mould-answers';
import { MouldDrawing } from './mould-drawing';
import { NotesSlab } from './notes-slab';
import { OuterChoices } from './outer-choices';
import { Parts } from './parts';
import { ReleaseSlab } from './release-slab';
import { ShapeFileButton } from './shape-file-button';
import type { Start } from './starts';
import { useFileReading } from './use-file-reading';
import { useMixOfMould } from './use-mix';
import { useCalculatedMould } from './use-calculated-mould';
import { useAsKept } from './use-as-kept';

/** What came of the casts of this mould. */
function useRecord(id: string | undefined) {
  const { data } = useQuery({ ...allCastsQuery, enabled: id !== undefined });
  return useMemo(
    () =>
      mouldRecord(
        (data ?? [])
          .filter(({ mouldId }) => mouldId === id)
          .map(({ life, snapshot }) => ({ life, release: snapshot.release })),
      ),
    [data, id],
  );
}

/** The mould on its drawing, what follows from its measurements, and all that is kept of it. */
export function MouldEditor({ known, first, hint }: { known?: MouldView; first: MouldDraft; hint?: string }) {
  const navigate = useNavigate();
  const [key] = useState(() => known?.id ?? uuid());
  const [draft, setDraft] = useState(first);
  const [mixId, setMixId] = useState<string>();
  const [unnamed, setUnnamed] = useState(false);
  const save = useSaveMould();
  const remove = useRemoveMould();
  const { mixes, view, mix } = useMixOfMould(mixId);
  const { figures, fiveMore, drawn, errors } = useCalculatedMould(draft, mix);
  const judged = useJudgedPair(useAsKept(draft, key), view);
  const aside = useAsideOfPair(known?.id, mixId);
  const record = useRecord(known?.id);
  const reading = useFileReading();
  const set = (part: Partial<MouldDraft>) => setDraft((now) => ({ ...now, ...part }));
  const setShape = (shape: MouldDraft['shape']) => set({ shape });

  /** The drawing takes another shape; the one before can be put back. */
  const take = ({ shape }: Start) => {
    const before = draft.shape;
    reading.close();
    setShape(shape);
    toast.success('The drawing shows the file now.', {
      action: { label: 'Put it back', onClick: () => setShape(before) },
    });
  };
  const keep = (version = draft.version) => {
    if (!draft.name.trim()) return setUnnamed(true);
    save.mutate(
      { id: key, input: { ...inputOf(draft), version } },
      {
        onSuccess: (mould) => {
          set({ version: mould.version });
          toast.success(`${mould.name} is kept.`);
          if (!known) void navigate(`/moulds/${key}`, { replace: true });
        },
      },
    );
  };
  return (
    <div className="mx-auto grid max-w-7xl gap-4 p-4 lg:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <div className="lg:col-span-2 empty:hidden">
        <FileAsks reading={reading} onStart={take} />
      </div>
      <div className="space-y-4">
        <section className="card-slab p-2" aria-label="Section drawing" {...takesDrop(reading.open)}>
          {hint && <p className="quiet px-2 pt-1">{hint}</p>}
          <MouldDrawing shape={draft.shape} drawn={drawn} errors={errors} onChange={setShape}>
            <ShapeFileButton label="Take it from a file" onFile={reading.open} />
          </MouldDrawing>
          <OuterChoices shape={draft.shape} errors={errors} onChange={setShape} />
        </section>
        <Parts shape={draft.shape} errors={errors} canAdd={figures !== undefined} onChange={setShape} />
        <MeasuredSlab
          measured={draft.shape.measured}
          onChange={(measured) => {
            const { measured: _, ...shape } = draft.shape;
            setShape(measured ? { ...shape, measured } : shape);
          }}
        />
      </div>
      <div className="space-y-4">
        <HeadSlab draft={draft} unnamed={unnamed} onChange={set} onReplace={setDraft} />
        {figures && (
          <MouldAnswers
            figures={figures}
            cored={draft.shape.cores.length > 0}
            fiveMore={fiveMore}
            mixes={mixes}
            mixId={mixId}
            onMix={setMixId}
            judged={judged}
            aside={aside}
          />
        )}
        {draft.once ? (
          <section className="card-slab" aria-label="Made again">
            <h2 className="text-xl">Made again each time</h2>
            <p className="quiet">Filled {known?.cycles ?? 0} times so far.</p>
          </section>
        ) : (
          <Copies copies={draft.copies} known={known?.copies ?? []} onChange={(copies) => set({ copies })} />
        )}
        {record.demoulded > 0 && (
          <p className="card-slab">
            {record.clean} of its {record.demoulded} casts came out clean
            {record.hours !== undefined && `, usually ${saySpan(record.hours * HOUR)} after the pour`}.
          </p>
        )}
        <ReleaseSlab material={draft.material} release={draft.release} record={record.releases} onChange={set} />
        <NotesSlab
          id={known?.id}
          notes={draft.notes ?? ''}
          pictures={known?.pictures ?? []}
          onNotes={(notes) => set({ notes })}
        />
        <StaleChoice error={save.error ?? remove.error} onKeepMine={keep} />
        <KeepBar
          what="mould"
          save={save}
          disabled={!figures}
          onKeep={() => keep()}
          onThrowAway={
            known
              ? {
                  question: `Throw ${draft.name} away? Casts made from it keep their record.`,
                  act: () => remove.mutate(known.id, { onSuccess: () => void navigate('/moulds') }),
                }
              : undefined
          }
        >
          {drawn && figures && <ExportMenu name={draft.name || 'mould'} shape={drawn.shape} />}
          {known && (
            <Link to={`/pours/new?mould=${known.id}`} className={buttonClass({ size: 'tall' })}>
              Plan a pour
            </Link>
          )}
        </KeepBar>
      </div>
    </div>
  );
}
