import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { msg, quantity, type Phrase } from '@dewpot/core/units';
import { faults, trialKinds, type Fault, type TrialKind } from '@dewpot/core/casts';
import { faultName } from '@dewpot/core/findings';
import type { MixView, MouldView, TrialInput } from '@dewpot/contract';
import { trialSizeQuery, useSaveTrial } from '../api/trials';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { notRead, type NotRead } from '../ui/thing-file';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { useSay } from '../ui/say';
import { readTrialFile } from './trial-file';
import { trialKindNames, trialWay } from '../ui/trial-words';
import { coverNames, releaseNames } from '../ui/word-names';

type Draft = Omit<TrialInput, 'version' | 'name'> & { readonly name?: string };

/** A name begins with a capital, and is no longer than one may be. */
const begun = (name: string) => (name.charAt(0).toLocaleUpperCase() + name.slice(1)).slice(0, 80);

const SHARES = Array.from({ length: 19 }, (_, i) => (i + 1) / 20).map((share) => Number(share.toFixed(2)));

/** What each kind of trial begins with. */
const begins: Readonly<Record<TrialKind, Pick<Draft, 'kind' | 'a' | 'b'>>> = {
  release: { kind: 'release', a: 'plant oil', b: 'paste wax' },
  cover: { kind: 'cover', a: 'none', b: 'bag' },
  other: { kind: 'other', a: '', b: '' },
};

/** Plans a trial: what changes, what is watched, what is expected of it, and how many casts that takes. */
export function TrialForm({ moulds, mixes }: { moulds: readonly MouldView[]; mixes: readonly MixView[] }) {
  const say = useSay();
  const navigate = useNavigate();
  const [id] = useState(() => uuid());
  const [draft, setDraft] = useState<Draft>({ ...begins.release, worse: 0.6, better: 0.9 });
  const [why, setWhy] = useState<NotRead>();
  const save = useSaveTrial();
  const change = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const named = msg('findings.trialAgainst', { a: trialWay(draft.kind, draft.a), b: trialWay(draft.kind, draft.b) });
  const usual = draft.a && draft.b ? begun(say(named)) : '';
  const name = draft.name ?? usual;
  const keep = () =>
    save.mutate({ id, input: { ...draft, name, version: 0 } }, { onSuccess: () => void navigate(`/findings/trials/${id}`, { replace: true }) });
  return (
    <form className="card-slab space-y-5" noValidate onSubmit={(event) => { event.preventDefault(); keep(); }}>
      <FileButton look="plain" size="low" label={say('findings.fileOfTrial')} accept=".json,application/json" onFile={async (file) => {
        const read = await readTrialFile(file);
        setWhy(typeof read === 'string' ? read : undefined);
        if (typeof read !== 'string') setDraft(read);
      }}>
        {say('findings.readTrial')}
      </FileButton>
      {why && <p role="alert">{say(notRead(why))}</p>}
      <Choice legend={say('findings.whatChanges')} options={trialKinds.map((value) => ({ value, label: trialKindNames[value] }))} value={draft.kind} onChange={(kind) => setDraft({ ...draft, ...begins[kind] })} />
      <Ways draft={draft} onChange={change} />
      <div className="grid gap-4 sm:grid-cols-2">
        <SelectField label={say('findings.onlyMould')} value={draft.mouldId ?? ''} options={[{ value: '', label: say('findings.anyMould') }, ...moulds.map(({ id: value, name: label }) => ({ value, label }))]} onChange={(mouldId) => setDraft(without(draft, 'mouldId', mouldId))} />
        <SelectField label={say('findings.onlyMix')} value={draft.mixId ?? ''} options={[{ value: '', label: say('findings.anyMix') }, ...mixes.map(({ id: value, name: label }) => ({ value, label }))]} onChange={(mixId) => setDraft(without(draft, 'mixId', mixId))} />
        <SelectField<Fault | ''> label={say('findings.whatWatched')} value={draft.watched ?? ''} options={[{ value: '', label: say('findings.anythingWrong') }, ...faults.map((value) => ({ value, label: faultName(value) }))]} onChange={(watched) => setDraft(without(draft, 'watched', watched))} />
        <TextField label={say('findings.trialName')} maxLength={80} value={name} onChange={({ target }) => change({ name: target.value })} />
      </div>
      <Expected draft={draft} onChange={change} />
      <Failure error={save.error} />
      <Button needs="caster" type="submit" look="main" size="tall" className="w-full text-lg" disabled={save.isPending || name === ''}>
        {say('findings.beginTrial')}
      </Button>
    </form>
  );
} // prettier-ignore

/** A draft with a choice, or without it where nothing is chosen. */
function without(draft: Draft, key: 'mouldId' | 'mixId' | 'watched', value: string): Draft {
  const { [key]: _, ...rest } = draft;
  return value === '' ? rest : { ...rest, [key]: value };
}

interface PartProps {
  readonly draft: Draft;
  readonly onChange: (part: Partial<Draft>) => void;
}

/** How it is done now, and what is expected to be better. */
function Ways({ draft: { kind, a, b }, onChange }: PartProps) {
  const say = useSay();
  const sides = [
    { side: 'a', label: say('findings.doneNow'), value: a },
    { side: 'b', label: say('findings.triedInstead'), value: b },
  ] as const;
  const names: Readonly<Record<string, Phrase>> = kind === 'release' ? releaseNames : coverNames;
  const options = Object.entries(names).map(([value, label]) => ({ value, label }));
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      {sides.map(({ side, label, value }) =>
        kind === 'other' ? (
          <TextField key={side} label={label} maxLength={60} value={value} onChange={({ target }) => onChange({ [side]: target.value })} />
        ) : (
          <SelectField key={side} label={label} value={value} options={options} onChange={(way) => onChange({ [side]: way })} />
        ),
      )}
    </div>
  );
} // prettier-ignore

/** Shares of good casts that are expected, and how many casts it takes to tell them apart. */
function Expected({ draft: { worse, better }, onChange }: PartProps) {
  const say = useSay();
  const size = useQuery(trialSizeQuery(worse, better));
  const options = SHARES.map((value) => ({ value, label: say.quantity(value * 100, '%', 0) }));
  return (
    <div className="space-y-2">
      <div className="grid gap-4 sm:grid-cols-2">
        <SelectField label={say('findings.goodNow')} value={worse} options={options} onChange={(next) => onChange({ worse: next })} />
        <SelectField label={say('findings.goodThen')} value={better} options={options} onChange={(next) => onChange({ better: next })} />
      </div>
      {better <= worse && <p className="border-error border-l-4 pl-3" role="alert">{say('findings.expectBetter')}</p>}
      {size.data && (
        <p role="status" className="pt-2">
          <span className="numeral text-3xl">{say('findings.aSideCasts', { aSide: size.data.aSide })}</span>{' '}
          {say(size.data.enough ? 'findings.aSideWhy' : 'findings.aSideTooMany', { chance: quantity(size.data.chance * 100, '%', 0) })}
        </p>
      )}
      <p className="quiet text-sm">{say('findings.trialHow')}</p>
    </div>
  );
} // prettier-ignore
