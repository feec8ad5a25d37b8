import { Link, useNavigate } from 'react-router';
import { quantity } from '@dewpot/core/units';
import { faultName } from '@dewpot/core/findings';
import type { MixView, MouldView, TrialKeep, TrialView } from '@dewpot/contract';
import { useCloseTrial, useRemoveTrial } from '../api/trials';
import { Button, buttonClass } from '../ui/button';
import { saveFile } from '../ui/save-file';
import { PageHead } from '../ui/page-head';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { trialWay } from '../ui/trial-words';
import { trialFile } from './trial-file';
import { TrialShares } from './trial-shares';
import { trialSays } from './trial-words';

/** How far a trial has come, what it says, and its end. */
export function TrialStandingView({ trial, moulds, mixes }: { trial: TrialView; moulds: readonly MouldView[]; mixes: readonly MixView[] }) {
  const say = useSay();
  const { name, watched, mouldId, mixId, standing, closed, gone } = trial;
  const { a, b, waiting, judged, aSide, chance, enough } = standing;
  const nameOf = (all: readonly { id: string; name: string }[], id: string | undefined) => all.find((one) => one.id === id)?.name;
  return (
    <>
      <PageHead title={name}>
        <Button look="plain" onClick={() => saveFile(`${name}.json`, trialFile(trial), 'application/json')}>
          {say('findings.toShare')}
        </Button>
      </PageHead>
      <section className="card-slab space-y-3" aria-label={say('findings.whatItSays')}>
        <p className="text-2xl" role="status">{say(trialSays(trial))}</p>
        <TrialShares trial={trial} />
        <p>
          {judged.complete ? say('findings.trialComplete') : say('findings.trialGoesOn', { left: Math.max(0, aSide - a.casts) + Math.max(0, aSide - b.casts) })}{' '}
          {waiting > 0 && say('findings.trialWaiting', { waiting })}
        </p>
        {!judged.complete && <p className="quiet text-sm">{say('findings.trialEarly')}</p>}
        <p className="quiet text-sm">
          {say('findings.trialOf', { watched: watched ? faultName(watched) : say.inline(say('findings.anythingWrong')), mould: nameOf(moulds, mouldId) ?? 'none', mix: nameOf(mixes, mixId) ?? 'none' })}{' '}
          {say(enough ? 'findings.aSideWhy' : 'findings.aSideTooMany', { chance: quantity(chance * 100, '%', 0) })}
        </p>
        {gone && <p className="border-warning border-l-4 pl-3">{say('findings.trialLost')}</p>}
      </section>
      {closed ? <Closed trial={trial} at={closed.at} keep={closed.keep} /> : <Ending trial={trial} />}
    </>
  );
} // prettier-ignore

function Closed({ trial: { kind, a, b }, at, keep }: { trial: TrialView; at: number; keep: TrialKeep }) {
  const say = useSay();
  return (
    <p className="mt-4">
      {say('findings.closedOn', { at: { at, as: 'day' } })}{' '}
      {keep === 'neither' ? say('findings.keptNeither') : say('findings.keptWay', { way: trialWay(kind, keep === 'a' ? a : b) })}
    </p>
  );
} // prettier-ignore

/** A pour in the trial, or its end: one of its ways is how things are done from then on, or neither. */
function Ending({ trial: { id, version, kind, a, b, mouldId, mixId, standing, gone } }: { trial: TrialView }) {
  const say = useSay();
  const navigate = useNavigate();
  const close = useCloseTrial();
  const remove = useRemoveTrial();
  const end = (keep: TrialKeep) => close.mutate({ id, input: { keep, version } });
  const named = { ...(mouldId && { mould: mouldId }), ...(mixId && { mix: mixId }), trial: id };
  const untouched = standing.a.casts + standing.b.casts + standing.waiting === 0;
  return (
    <section className="card-slab mt-4 space-y-3" aria-label={say('findings.endTrial')}>
      {!gone && (
        <Link to={`/pours/new?${new URLSearchParams(named).toString()}`} className={buttonClass({ look: 'main', size: 'tall', className: 'w-full text-lg' })}>
          {say('findings.pourForTrial')}
        </Link>
      )}
      <h2 className="text-xl">{say('findings.endTrial')}</h2>
      <p className="quiet text-sm">{say('findings.endTrialHow')}</p>
      <div className="flex flex-wrap gap-2">
        <Button needs="caster" disabled={close.isPending} onClick={() => end('b')}>{say('findings.keepWay', { way: trialWay(kind, b) })}</Button>
        <Button needs="caster" disabled={close.isPending} onClick={() => end('a')}>{say('findings.keepWay', { way: trialWay(kind, a) })}</Button>
        <Button needs="caster" disabled={close.isPending} onClick={() => end('neither')}>{say('findings.keepNeither')}</Button>
        {untouched && (
          <Button needs="caster" look="plain" onClick={() => remove.mutate(id, { onSuccess: () => void navigate('/findings') })}>{say('findings.removeTrial')}</Button>
        )}
      </div>
      <Failure error={close.error ?? remove.error} />
    </section>
  );
} // prettier-ignore
