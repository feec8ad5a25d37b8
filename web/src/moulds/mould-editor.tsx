import { CalendarPlus } from 'lucide-react';
import { HOUR } from '@dewpot/core/units';
import type { MouldView } from '@dewpot/contract';
import { Link } from 'react-router';
import { useAsideOfPair } from '../judging';
import { buttonClass } from '../ui/button';
import { spanOf } from '../ui/format-time';
import { KeepBar, StaleChoice } from '../ui/keep-bar';
import { Copies } from './copies';
import type { MouldDraft } from './draft';
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
import { useMouldEdit, type MouldEdit } from './use-mould-edit';
import { useSay } from '../ui/say';
import { orderAddress } from '../ui/order-address';

/** The mould on its drawing, what follows from its measurements, and all that is kept of it. */
export function MouldEditor({ known, first, hint }: { known?: MouldView; first: MouldDraft; hint?: string }) {
  const edit = useMouldEdit(known, first);
  return (
    <div className="mx-auto grid max-w-7xl gap-4 p-4 lg:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <div className="lg:col-span-2 empty:hidden">
        <FileAsks reading={edit.reading} onStart={edit.take} />
      </div>
      <Drawn edit={edit} hint={hint} />
      <Kept edit={edit} />
    </div>
  );
}

/** The drawing, its parts, and its volume where it was measured. */
function Drawn({ edit, hint }: { edit: MouldEdit; hint: string | undefined }) {
  const say = useSay();
  const { draft, setShape, reading } = edit;
  const { drawn, errors, figures } = edit.calculated;
  return (
    <div className="space-y-4">
      <section className="card-slab p-2" aria-label={say('moulds.sectionDrawing')} {...takesDrop(reading.open)}>
        {hint && <p className="quiet px-2 pt-1">{hint}</p>}
        <MouldDrawing shape={draft.shape} drawn={drawn} errors={errors} onChange={setShape}>
          <ShapeFileButton label={say('moulds.takeFromFile')} onFile={reading.open} />
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
  );
}

/** What follows from the drawing, and all that is kept beside it. */
function Kept({ edit }: { edit: MouldEdit }) {
  const say = useSay();
  const { known, draft, set, record } = edit;
  return (
    <div className="space-y-4">
      <HeadSlab draft={draft} unnamed={edit.unnamed} onChange={set} onReplace={edit.setDraft} />
      <Answers edit={edit} />
      {draft.once ? (
        <section className="card-slab" aria-label={say('moulds.madeAgainTitle')}>
          <h2 className="text-xl">{say('moulds.madeAgainEach')}</h2>
          <p className="quiet">{say('moulds.filledTimes', { cycles: known?.cycles ?? 0 })}</p>
        </section>
      ) : (
        <Copies copies={draft.copies} known={known?.copies ?? []} onChange={(copies) => set({ copies })} />
      )}
      {record.demoulded > 0 && (
        <p className="card-slab">
          {say('moulds.comeClean', {
            clean: record.clean,
            demoulded: record.demoulded,
            timed: record.hours === undefined ? 'no' : 'yes',
            hours: spanOf((record.hours ?? 0) * HOUR),
          })}
        </p>
      )}
      <ReleaseSlab material={draft.material} release={draft.release} record={record.releases} onChange={set} />
      <NotesSlab
        id={known?.id}
        notes={draft.notes ?? ''}
        pictures={known?.pictures ?? []}
        onNotes={(notes) => set({ notes })}
      />
      <KeepMould edit={edit} />
    </div>
  );
}

function Answers({ edit: { known, draft, calculated, mixes, mixId, setMixId, judged } }: { edit: MouldEdit }) {
  const aside = useAsideOfPair(known?.id, mixId);
  const { figures, fiveMore } = calculated;
  if (!figures) return null;
  return (
    <MouldAnswers
      {...{ figures, fiveMore, mixes, mixId, judged, aside }}
      cored={draft.shape.cores.length > 0}
      onMix={setMixId}
    />
  );
}

function KeepMould({ edit: { known, draft, calculated, save, keep, throwAway, failure } }: { edit: MouldEdit }) {
  const say = useSay();
  const { drawn, figures } = calculated;
  return (
    <>
      <StaleChoice error={failure} onKeepMine={keep} />
      <KeepBar
        what={say('moulds.mouldWord')}
        record={known?.id}
        save={save}
        disabled={!figures}
        onKeep={() => keep()}
        onThrowAway={throwAway}
      >
        {drawn && figures && <ExportMenu name={draft.name || 'mould'} shape={drawn.shape} kept={known} />}
        {known && (
          <>
            <Link to={`/pours/new?mould=${known.id}`} className={buttonClass({ size: 'tall' })}>
              {say('shell.planPour')}
            </Link>
            <Link
              to={orderAddress([{ mouldId: known.id }])}
              className={buttonClass({ look: 'plain', size: 'own', className: 'h-14 w-12 p-0' })}
              aria-label={say('calendar.addToOrder')}
              title={say('calendar.addToOrder')}
            >
              <CalendarPlus size={20} aria-hidden="true" />
            </Link>
          </>
        )}
      </KeepBar>
    </>
  );
}
