import { useState } from 'react';
import { identity, issueInWords } from '@dewpot/core/units';
import { writeDxf, writeSvg } from '@dewpot/core/exports';
import { partsDrawing, type CutPart } from '@dewpot/core/patterns';
import { Link } from 'react-router';
import { makePatternPaper, PaperButton } from '../paper';
import { Button, buttonClass } from '../ui/button';
import { BigFigure } from '../ui/figure-working';
import { KeepBar, StaleChoice } from '../ui/keep-bar';
import { saveFile } from '../ui/save-file';
import { TextField } from '../ui/text-field';
import { useSay } from '../ui/say';
import { kindWords } from './first-patterns';
import { CuttingSlab } from './cutting-slab';
import { FoldingView } from './folding-view';
import { MadeMoulds } from './made-moulds';
import { OutlineIn } from './outline-in';
import { cutListCsv, PartsTable } from './parts-table';
import { patternFile } from './pattern-file';
import { PatternFieldsForm } from './pattern-fields-form';
import { PatternLists } from './pattern-lists';
import { PatternRevisions } from './pattern-revisions';
import { PlanView } from './plan-view';
import { usePatternEdit, type PatternDraft, type PatternEdit } from './use-pattern-edit';

/** So many answers stand large. */
const LARGE = 6;

/** A pattern: drawn as it stands and unfolded, with its sizes, its answers, its parts, and the moulds that it makes. */
export function PatternEditor({ first, id, revision = 1 }: { first: PatternDraft; id?: string; revision?: number }) {
  const say = useSay();
  const edit = usePatternEdit(id, first);
  const { draft, set, unnamed, issues, save, keep, throwAway, failure } = edit;
  return (
    <div className="mx-auto max-w-[96rem] p-4">
      <header className="mb-3 flex flex-wrap items-end gap-3">
        <h1 className="sr-only">{draft.name || say(kindWords[draft.pattern.kind].name)}</h1>
        <TextField
          className="min-w-64 flex-1"
          label={say('patterns.name')}
          value={draft.name}
          maxLength={80}
          error={unnamed && !draft.name.trim() ? say('patterns.enterName') : undefined}
          onChange={({ target }) => set({ name: target.value })}
        />
        <p className="quiet pb-3 text-sm">
          {say(kindWords[draft.pattern.kind].name)}, {say('patterns.revision', { revision })}
          {draft.cut && `, ${say('patterns.isCut')}`}
        </p>
      </header>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,3fr)_minmax(0,4fr)] lg:grid-rows-[auto_1fr]">
        <section className="card-slab" aria-label={say('patterns.drawing')}>
          <Drawings edit={edit} />
        </section>
        <div className="space-y-4 lg:col-start-3 lg:row-span-2 lg:row-start-1">
          <Answers edit={edit} />
          <MadeMoulds edit={edit} />
          {id && <PatternRevisions id={id} onTake={(pattern) => set({ pattern })} />}
        </div>
        <section className="card-slab lg:col-start-2 lg:row-span-2 lg:row-start-1" aria-label={say('patterns.sizes')}>
          <PatternFieldsForm pattern={draft.pattern} issues={issues} onChange={(pattern) => set({ pattern })} />
          <PatternLists pattern={draft.pattern} onChange={(pattern) => set({ pattern })} />
          <OutlineIn pattern={draft.pattern} onChange={(pattern) => set({ pattern })} />
        </section>
        <Parts edit={edit} />
      </div>
      <KeepBar what={say('patterns.thePattern')} record={id} save={save} disabled={issues.length > 0} onKeep={() => keep()} onThrowAway={throwAway}>
        {id && (
          <>
            <Button disabled={draft.cut || issues.length > 0} onClick={() => keep({ cut: true })}>
              {say('patterns.markCut')}
            </Button>
            <Link className={buttonClass()} to={`/patterns/new?copy=${id}`}>
              {say('patterns.copy')}
            </Link>
          </>
        )}
      </KeepBar>
      <StaleChoice error={failure} onKeepMine={(version) => keep({ version })} />
    </div>
  );
} // prettier-ignore

/** The parts to cut, the files of them, and what they are cut from. */
function Parts({ edit: { draft, worked, picked, setPicked } }: { edit: PatternEdit }) {
  const say = useSay();
  if (!worked) return null;
  const name = draft.name || say(kindWords[draft.pattern.kind].name);
  return (
    <div className="space-y-4">
      <section className="card-slab" aria-label={say('patterns.parts')}>
        <h2 className="text-xl">{say('patterns.parts')}</h2>
        <PartsTable parts={worked.parts} picked={picked} onPick={setPicked} />
        <Exports {...{ draft, name }} parts={worked.parts} />
      </section>
      <CuttingSlab name={name} parts={worked.parts} />
    </div>
  );
}

/** From above, or as it stands: what the pattern has. */
function Drawings({ edit: { draft, set, worked, issues, picked, setPicked } }: { edit: PatternEdit }) {
  const say = useSay();
  const [above, setAbove] = useState(draft.pattern.kind === 'gap');
  if (!worked) return <p className="quiet">{say('patterns.notDrawn')}</p>;
  const both = worked.plan.length > 0 && worked.pieces.length > 0;
  return (
    <>
      {both && (
        <div className="flex justify-end">
          <Button size="low" look="plain" aria-pressed={above} onClick={() => setAbove(!above)}>
            {say(above ? 'patterns.seeStanding' : 'patterns.fromAbove')}
          </Button>
        </div>
      )}
      {worked.pieces.length === 0 || (both && above) ? (
        <PlanView plan={worked.plan} />
      ) : (
        <FoldingView
          pieces={worked.pieces}
          joints={worked.joints}
          pattern={draft.pattern}
          issues={issues}
          onChange={(pattern) => set({ pattern })}
          picked={picked}
          onPick={setPicked}
        />
      )}
    </>
  );
}

/** What the pattern comes to, what to mind, and what is wrong with it. */
function Answers({ edit: { worked, issues } }: { edit: PatternEdit }) {
  const say = useSay();
  return (
    <section className="card-slab" aria-label={say('patterns.whatFollows')}>
      {issues.length > 0 && (
        <ul role="alert" className="border-error mb-3 space-y-1 border-l-4 pl-3">
          {issues.map((issue) => (
            <li key={issue.field + identity(issue.message)}>{say(issueInWords(issue))}</li>
          ))}
        </ul>
      )}
      {worked && (
        <>
          {worked.warnings.length > 0 && (
            <ul className="border-error mb-4 space-y-1 border-l-4 pl-3">
              {worked.warnings.map((warning, i) => (
                <li key={identity(warning)} className={i === 0 ? 'font-semibold' : ''}>
                  {say(warning)}
                </li>
              ))}
            </ul>
          )}
          <div className={`grid grid-cols-2 gap-x-4 gap-y-3 ${issues.length > 0 ? 'opacity-50' : ''}`}>
            {worked.answers.slice(0, LARGE).map(({ name, figure }, i) => (
              <BigFigure key={i} label={say(name)} figure={figure} size={i === 0 ? 'text-4xl' : 'text-2xl'} />
            ))}
          </div>
          <ul className="mt-4 list-disc space-y-1 pl-5">
            {worked.notes.map((note) => (
              <li key={identity(note)}>{say(note)}</li>
            ))}
          </ul>
          {worked.cautions.map((caution) => (
            <p key={identity(caution)} className="border-warning mt-3 border-l-4 pl-3 text-sm">
              {say(caution)}
            </p>
          ))}
          {worked.answers.length > LARGE && (
            <div className="mt-3 grid grid-cols-2 gap-3">
              {worked.answers.slice(LARGE).map(({ name, figure }, i) => (
                <BigFigure key={i} label={say(name)} figure={figure} size="text-xl" />
              ))}
            </div>
          )}
        </>
      )}
    </section>
  );
}

/** The parts as files: drawings, a list, templates in full size. */
function Exports({ draft, name, parts }: { draft: PatternDraft; name: string; parts: readonly CutPart[] }) {
  const say = useSay();
  const flat = parts.filter(({ stuff }) => stuff !== 'rod');
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button size="low" onClick={() => saveFile(`${name}.svg`, writeSvg(partsDrawing(flat)), 'image/svg+xml')}>
        {say('patterns.svg')}
      </Button>
      <Button size="low" onClick={() => saveFile(`${name}.dxf`, writeDxf(partsDrawing(flat)), 'image/vnd.dxf')}>
        {say('patterns.dxf')}
      </Button>
      <Button size="low" onClick={() => saveFile(`${name}.csv`, cutListCsv(parts, say), 'text/csv;charset=utf-8')}>
        {say('patterns.cutList')}
      </Button>
      <Button size="low" onClick={() => saveFile(`${name}.json`, patternFile({ ...draft, name }), 'application/json')}>
        {say('patterns.toShare')}
      </Button>
      <PaperButton name={say('patterns.templates')} file={name} make={(ways) => makePatternPaper({ name, parts: flat }, ways)} />
    </div>
  ); // prettier-ignore
}
