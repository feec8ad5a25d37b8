import type { MixInput } from '@dewpot/contract';
import { Link } from 'react-router';
import { useAmbient } from '../api/session';
import { Button, buttonClass } from '../ui/button';
import { saveFile } from '../ui/save-file';
import { KeepBar, StaleChoice } from '../ui/keep-bar';
import { TextField } from '../ui/text-field';
import { DriesTo } from './dries-to';
import { Implied } from './implied';
import { LightenSlab } from './lighten-slab';
import { MethodSlab } from './method-slab';
import { MixColumn } from './mix-column';
import { MixDoses } from './mix-doses';
import { mixJson } from './mix-files';
import { MixLines } from './mix-lines';
import { PartsMeasuredBy, MixWordFields } from './mix-words';
import { SizeSlab } from './size-slab';
import { TilesSlab } from './tiles-slab';
import { useMixEdit, type MixEdit } from './use-mix-edit';
import type { MixSources } from './use-mix-sources';
import { VersionsSlab } from './versions-slab';
import { useSay } from '../ui/say';

/** Air at the bench where the station says nothing, °C. */
const ROOM = 18;

/** What the editor of a mix works on. */
interface Editing {
  readonly edit: MixEdit;
  readonly sources: MixSources;
}

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
  const edit = useMixEdit(id, first, sources);
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1.8fr)]">
        <Recipe edit={edit} sources={sources} />
        <Figures edit={edit} sources={sources} />
      </div>
      {edit.calculated.figures && <Around edit={edit} sources={sources} used={used} />}
    </div>
  );
}

function Recipe({ edit, sources: { store } }: Editing) {
  const say = useSay();
  const { id, draft, set, calculated } = edit;
  const fields = { draft, calculated, store, onChange: edit.setDraft };
  return (
    <section className="card-slab space-y-4 self-start" aria-label={say('mixes.theRecipe')}>
      <h1 className="sr-only">{draft.name || say('mixes.newMixTitle')}</h1>
      <div className="grid grid-cols-[1fr_auto] gap-3">
        <TextField
          label={say('moulds.name')}
          name="name"
          autoComplete="off"
          value={draft.name}
          maxLength={80}
          error={edit.unnamed && !draft.name.trim() ? say('mixes.giveName') : undefined}
          onChange={(event) => set({ name: event.target.value })}
        />
        <DriesTo draft={draft} calculated={edit.dried} onChange={set} />
      </div>
      <PartsMeasuredBy {...fields} />
      <MixLines {...fields} />
      <MixDoses {...fields} />
      <MixWordFields {...fields} />
      <StaleChoice error={edit.failure} onKeepMine={edit.keep} />
      <KeepBar
        what={say('mixes.mixWord')}
        record={id}
        save={edit.save}
        disabled={!calculated.figures}
        onKeep={() => edit.keep()}
        onThrowAway={edit.throwAway}
      >
        {id && (
          <Link to={`/pours/new?mix=${id}`} className={buttonClass({ size: 'tall' })}>
            {say('shell.planPour')}
          </Link>
        )}
      </KeepBar>
    </section>
  );
}

/** Composition by volume of it, and what that implies. */
function Figures({ edit, sources: { store, moulds } }: Editing) {
  const say = useSay();
  const { draft, set, calculated, lessons } = edit;
  const { figures } = calculated;
  const temperature = useAmbient().data?.now.temperature ?? ROOM;
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,0.8fr)_minmax(0,1fr)]">
      <section className="card-slab" aria-label={say('mixes.byVolume')}>
        <h2 className="mb-2 text-xl">{say('mixes.compositionByVolume')}</h2>
        {figures ? <MixColumn shares={figures.shares} /> : <p className="quiet">{say('mixes.mendRecipe')}</p>}
      </section>
      {figures && (
        <Implied
          {...{ draft, calculated, figures, store, moulds, lessons, temperature }}
          onGrade={(grade) => set({ grade })}
        />
      )}
      {figures && (
        <div className="lg:col-span-2">
          <SizeSlab {...{ draft, calculated, store }} />
        </div>
      )}
    </div>
  );
}

/** How it is mixed and made lighter, what it is for, its tiles and its versions. */
function Around({ edit, sources: { mixes, store }, used }: Editing & { used: boolean }) {
  const say = useSay();
  const { id, draft, set, settled } = edit;
  const change = { draft, calculated: settled, onChange: edit.setDraft };
  const kept = mixes.find((one) => one.id === id);
  return (
    <div className="grid items-start gap-4 lg:grid-cols-2">
      <MethodSlab {...change} />
      <div className="space-y-4">
        <LightenSlab {...change} store={store} />
        <WordsOfUse draft={draft} onChange={set} />
        {id && <TilesSlab mixId={id} />}
        {id && <VersionsSlab id={id} used={used} store={store} />}
        {id && (
          <p className="flex flex-wrap gap-2">
            <Link to={`/mixes/compare?with=${id}`} className={buttonClass()}>
              {say('mixes.besideAnother')}
            </Link>
            <Link to={`/mixes/${id}/card`} className={buttonClass()}>
              {say('mixes.cardToPrint')}
            </Link>
            {kept && (
              <Button onClick={() => saveFile(`${kept.name}.json`, mixJson(kept, store.materials), 'application/json')}>
                {say('mixes.toShare')}
              </Button>
            )}
          </p>
        )}
      </div>
    </div>
  );
}

/** What a mix is for and not for, in the caster's words. */
function WordsOfUse({ draft, onChange }: { draft: MixInput; onChange: (part: Partial<MixInput>) => void }) {
  const say = useSay();
  return (
    <section className="card-slab grid gap-3" aria-label={say('mixes.whatFor')}>
      <TextField
        label={say('mixes.goodFor')}
        value={draft.suits ?? ''}
        maxLength={300}
        onChange={(event) => onChange({ suits: event.target.value })}
      />
      <TextField
        label={say('mixes.notSuitable')}
        value={draft.unfit ?? ''}
        maxLength={300}
        onChange={(event) => onChange({ unfit: event.target.value })}
      />
    </section>
  );
}
