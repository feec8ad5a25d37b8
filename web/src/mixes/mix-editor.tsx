import { useDeferredValue, useMemo, useState } from 'react';
import { lessonsFor } from '@dewpot/core';
import type { MixInput } from '@dewpot/contract';
import { Link, useNavigate } from 'react-router';
import { buttonClass } from '../ui/button';
import { toast } from '../ui/toast';
import { v7 as uuid } from 'uuid';
import { useAir } from '../api/session';
import { useMixColour } from '../api/tints';
import { useRemoveMix, useSaveMix } from '../api/mixes';
import { KeepBar, StaleChoice } from '../ui/keep-bar';
import { TextField } from '../ui/text-field';
import { useDay } from '../ui/use-now';
import { DriesTo } from './dries-to';
import { Implied } from './implied';
import { LightenSlab } from './lighten-slab';
import { MethodSlab } from './method-slab';
import { MixColumn } from './mix-column';
import { MixDoses } from './mix-doses';
import { MixLines } from './mix-lines';
import { PartsMeasuredBy, MixWordFields } from './mix-words';
import { SizeSlab } from './size-slab';
import type { MixSources } from './use-mix-sources';
import { useCalculatedMix } from './use-calculated-mix';
import { TilesSlab } from './tiles-slab';
import { VersionsSlab } from './versions-slab';

/** Air at the bench where the station says nothing, °C. */
const ROOM = 18;

/** The recipe, what the fresh mix is made of, and what it implies, live. */
export function MixEditor({
  id,
  first,
  used = false,
  sources,
}: {
  id?: string;
  first: MixInput;
  used?: boolean;
  sources: MixSources;
}) {
  const { stores, pours, moulds } = sources;
  const navigate = useNavigate();
  const [key] = useState(() => id ?? uuid());
  const [draft, setDraft] = useState(first);
  const [unnamed, setUnnamed] = useState(false);
  const save = useSaveMix();
  const remove = useRemoveMix();
  const temperature = useAir().data?.now.temperature ?? ROOM;
  // The age of cement is told by the day: a clock that ticks must not calculate everything again.
  const now = useDay();
  const lessons = useMemo(() => lessonsFor(id, pours), [id, pours]);
  const known = useMemo(() => ({ stores, lessons, now }), [stores, lessons, now]);
  const calculated = useCalculatedMix(draft, known);
  const { figures } = calculated;
  const dried = useMixColour()({ ...draft, colourCalculated: true }, calculated.mix);
  // Proposals may lag a key behind; the figures may not.
  const settled = useDeferredValue(calculated);
  const set = (part: Partial<MixInput>) => setDraft({ ...draft, ...part });
  const edit = { draft, calculated, stores, onChange: setDraft };
  const keep = (version = draft.version) => {
    if (!draft.name.trim()) return setUnnamed(true);
    save.mutate(
      {
        id: key,
        input: {
          ...draft,
          name: draft.name.trim(),
          ...(draft.colourCalculated && { colour: dried }),
          version,
        },
      },
      {
        onSuccess: (kept) => {
          setDraft((now) => ({ ...now, version: kept.version }));
          toast.success(`${kept.name} is kept.`);
          if (!id) void navigate(`/mixes/${key}`, { replace: true });
        },
      },
    );
  };
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1.8fr)]">
        <section className="card-slab space-y-4 self-start" aria-label="The recipe">
          <h1 className="sr-only">{draft.name || 'A new mix'}</h1>
          <div className="grid grid-cols-[1fr_auto] gap-3">
            <TextField
              label="Name"
              value={draft.name}
              maxLength={80}
              error={unnamed && !draft.name.trim() ? 'Give it a name, such as “Garden grey”.' : undefined}
              onChange={(event) => set({ name: event.target.value })}
            />
            <DriesTo draft={draft} calculated={dried} onChange={set} />
          </div>
          <PartsMeasuredBy {...edit} />
          <MixLines {...edit} />
          <MixDoses {...edit} />
          <MixWordFields {...edit} />
          <StaleChoice error={save.error ?? remove.error} onKeepMine={keep} />
          <KeepBar
            what="mix"
            save={save}
            disabled={!figures}
            onKeep={() => keep()}
            onThrowAway={
              id
                ? {
                    question: `Throw ${draft.name} away? Pours made with it keep their record.`,
                    act: () => remove.mutate(id, { onSuccess: () => void navigate('/mixes') }),
                  }
                : undefined
            }
          >
            {id && (
              <Link to={`/pours/new?mix=${id}`} className={buttonClass({ size: 'tall' })}>
                Plan a pour
              </Link>
            )}
          </KeepBar>
        </section>
        <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,0.8fr)_minmax(0,1fr)]">
          <section className="card-slab" aria-label="By volume">
            <h2 className="mb-2 text-xl">What fills a litre</h2>
            {figures ? (
              <MixColumn shares={figures.shares} />
            ) : (
              <p className="quiet">Mend the recipe and the column comes back.</p>
            )}
          </section>
          {figures && (
            <Implied
              {...{ draft, calculated, figures, stores, moulds, lessons, temperature }}
              onGrade={(grade) => set({ grade })}
            />
          )}
          {figures && (
            <div className="lg:col-span-2">
              <SizeSlab {...edit} />
            </div>
          )}
        </div>
      </div>
      {figures && (
        <>
          <div className="grid items-start gap-4 lg:grid-cols-2">
            <MethodSlab {...edit} calculated={settled} />
            <div className="space-y-4">
              <LightenSlab {...edit} calculated={settled} />
              <WordsOfUse draft={draft} onChange={set} />
              {id && <TilesSlab mixId={id} />}
              {id && <VersionsSlab id={id} used={used} stores={stores} />}
              {id && (
                <p className="flex flex-wrap gap-2">
                  <Link to={`/mixes/compare?with=${id}`} className={buttonClass()}>
                    Beside another mix
                  </Link>
                  <Link to={`/mixes/${id}/card`} className={buttonClass()}>
                    Card to print
                  </Link>
                </p>
              )}
            </div>
          </div>
        </>
      )}
    </div>
  );
}

/** What a mix is for and not for, in the caster's words. */
function WordsOfUse({ draft, onChange }: { draft: MixInput; onChange: (part: Partial<MixInput>) => void }) {
  return (
    <section className="card-slab grid gap-3" aria-label="What it is for">
      <TextField
        label="Good for"
        value={draft.suits ?? ''}
        maxLength={300}
        onChange={(event) => onChange({ suits: event.target.value })}
      />
      <TextField
        label="Not for"
        value={draft.unfit ?? ''}
        maxLength={300}
        onChange={(event) => onChange({ unfit: event.target.value })}
      />
    </section>
  );
}
