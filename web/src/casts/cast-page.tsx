import { useState } from 'react';
import { taskInWords, type Due } from '@dewpot/core/casts';
import type { CastDetail } from '@dewpot/contract';
import { Link, useParams } from 'react-router';
import { castQuery } from '../api/casts';
import { useMay } from '../ui/for-role';
import { Button } from '../ui/button';
import { KnownOne } from '../ui/known';
import { lookToday } from '../ui/casts/look-today';
import { isDue, nextOf } from '../ui/casts/reading';
import { WhoDidWhat } from '../ui/who-did-what';
import { PieceThumb } from '../ui/piece-thumb';
import { whenOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { WindowBand, windowInWords } from '../ui/window-band';
import { AmbientSlab, DemouldSlab } from '../curing';
import { ArticleSlab } from '../assembly';
import { CastActions, type CastAction } from './cast-actions';
import { CastFigures, CastGrounds } from './cast-grounds';
import { CastRecord } from './cast-record';
import { DrynessSlab, LeachingSlab, SealedSlab } from '../sealing';
import { WhySlab } from '../findings';
import { LifeChart } from './life-chart';
import { ShareSlab } from '../care';
import { stageOf } from '../ui/casts/stage-words';
import { trialWay } from '../ui/trial-words';
import { useSay } from '../ui/say';

/** One cast's life. */
export function CastPage() {
  const say = useSay();
  const { id = '' } = useParams();
  return (
    <KnownOne one={castQuery(id)} what={say('casts.busyCast')}>
      {(cast) => <CastLife cast={cast} />}
    </KnownOne>
  );
}

function CastLife({ cast }: { cast: CastDetail }) {
  const say = useSay();
  const now = useNow();
  const [doing, setDoing] = useState<{ action: CastAction; due?: Due; postpone?: boolean }>();
  const { code, snapshot, stage } = cast;
  const setting = stage === 'setting';
  const damp = setting || stage === 'curing';
  const faulty = cast.life.damage.length + (cast.life.faults?.length ?? 0) > 0;
  const why = <WhySlab cast={cast} onLookOver={() => setDoing({ action: 'look-over' })} />;
  return (
    <div className="mx-auto grid max-w-7xl gap-4 p-4 lg:grid-cols-[20rem_minmax(0,1fr)]">
      <div className="space-y-4">
        <section className="card-slab" aria-label={say('casts.thePiece')}>
          <div className="grid place-items-center">
            <PieceThumb shape={snapshot.shape} {...lookToday(cast, now)} size={230} stage={stage} />
          </div>
          <h1 className="text-3xl">
            {code} <span className="text-2xl">{snapshot.mouldName}</span>
          </h1>
          <p className="quiet">
            {snapshot.mixName}, {say(stageOf(cast))}{' '}
            <WhoDidWhat record={cast.id} className="h-8 w-8 p-0 align-middle" />
          </p>
          <TrialLine cast={cast} />
          <Next
            cast={cast}
            now={now}
            onDo={(action, due, postpone) => setDoing({ action, ...(due && { due }), ...(postpone && { postpone }) })}
          />
        </section>
        <ArticleSlab cast={cast} />
        <CastGrounds cast={cast} />
        <ShareSlab cast={cast} />
      </div>
      <div className="min-w-0 space-y-4">
        <section className="card-slab">
          <LifeChart cast={cast} now={now} />
        </section>
        <div className="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_22.5rem]">
          <div className="space-y-4">
            {damp && !snapshot.article && <AmbientSlab cast={cast} now={now} />}
            {faulty && why}
            <DrynessSlab cast={cast} now={now} />
            <SealedSlab cast={cast} now={now} />
            <LeachingSlab cast={cast} />
            {!faulty && why}
            <CastRecord cast={cast} now={now} />
          </div>
          <div className="space-y-4">
            <CastFigures cast={cast} now={now} />
            {!snapshot.article && <DemouldSlab cast={cast} now={now} />}
          </div>
        </div>
      </div>
      {doing && (
        <CastActions
          casts={[cast]}
          task={doing.action}
          due={doing.due}
          postpone={doing.postpone}
          onClose={() => setDoing(undefined)}
        />
      )}
    </div>
  );
}

/** The trial that it was dealt to, and the way that it got. */
function TrialLine({ cast: { snapshot } }: { cast: CastDetail }) {
  const say = useSay();
  const { trial } = snapshot;
  if (!trial) return null;
  return (
    <Link className="link text-sm" to={`/findings/trials/${trial.id}`}>
      {say('findings.trialOfCast', { name: trial.name, way: trialWay(trial.kind, trial.way) })}
    </Link>
  );
}

/** What to do next, in one sentence, and the way to do it; what comes after it beneath. */
function Next({
  cast,
  now,
  onDo,
}: {
  cast: CastDetail;
  now: number;
  onDo: (action: CastAction, due?: Due, postpone?: boolean) => void;
}) {
  const say = useSay();
  const next = nextOf(cast);
  const { joinedInto } = cast.life;
  if (joinedInto)
    return (
      <p className="mt-3">
        <Link className="link" to={`/casts/${joinedInto.id}`}>
          {say('casts.partOf', { code: joinedInto.code })}
        </Link>
      </p>
    );
  if (!next)
    return (
      <div className="mt-3 space-y-2">
        <p>{cast.stage === 'drying' ? say('casts.likeWeighed') : say('casts.workDone')}</p>
        {cast.stage === 'finished' && (
          <Button needs="helper" className="w-full" onClick={() => onDo('record-condition')}>
            {say('casts.tellLasted')}
          </Button>
        )}
        {cast.stage === 'drying' && (
          <Button needs="helper" className="w-full" onClick={() => onDo('weigh')}>
            {say('casts.weighOrElse')}
          </Button>
        )}
      </div>
    );
  const missing = cast.stage === 'drying' && cast.life.weighings.length > 0 ? cast.dry.missing : [];
  return (
    <div className="mt-4 space-y-2">
      <WindowBand window={next} now={now} />
      <p>
        <strong>{say(taskInWords(next))}</strong>: {say(windowInWords(next, now))}.{' '}
        {next.told && `${sentence(say(next.told))} `}
        {missing.map((one) => say(one)).join(' ')}
      </p>
      <Button
        needs="helper"
        look={isDue(next, now) ? 'main' : 'strong'}
        size="tall"
        className="w-full text-lg"
        onClick={() => onDo(next.task, next)}
      >
        {say(taskInWords(next))}
      </Button>
      <Then dues={cast.dues.filter((due) => due !== next)} now={now} onDo={onDo} />
      <div className="grid grid-cols-2 gap-2">
        <Button needs="helper" onClick={() => onDo(next.task, next, true)}>
          {say('casts.postpone')}
        </Button>
        <Button needs="helper" onClick={() => onDo('inspect')}>
          {say('casts.somethingElse')}
        </Button>
      </div>
    </div>
  );
}

/** What comes after the next thing. */
function Then({
  dues,
  now,
  onDo,
}: {
  dues: readonly Due[];
  now: number;
  onDo: (action: CastAction, due: Due) => void;
}) {
  const say = useSay();
  const may = useMay('helper');
  if (dues.length === 0) return null;
  return (
    <ul className="divide-base-300 divide-y text-sm">
      {dues.map((due) => (
        <li key={`${due.task}${due.core ?? ''}`} className="flex items-center justify-between gap-2 py-1">
          {may ? (
            <button type="button" className="link min-h-11 text-left" onClick={() => onDo(due.task, due)}>
              {say(taskInWords(due))}
            </button>
          ) : (
            say(taskInWords(due))
          )}
          <span className="quiet text-right">
            {due.postponedUntil === undefined
              ? say(windowInWords(due, now))
              : say('casts.postponedUntil', { postponedUntil: say(whenOf(due.postponedUntil, now)) })}
          </span>
        </li>
      ))}
    </ul>
  );
}

const sentence = (told: string) => `${told.replace(/^./, (letter) => letter.toUpperCase())}.`;
