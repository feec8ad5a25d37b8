import { useMemo, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import type { AirView, AirReading, CastDetail } from '@dewpot/contract';
import { useParams } from 'react-router';
import { castQuery } from '../api/casts';
import { ProblemFailure } from '../api/client';
import { useAir, useAirBetween } from '../api/session';
import { Nowhere } from '../ui/nowhere';
import { isDue, lookToday, nextOf, readingsSince } from './reading';
import { PieceThumb } from '../ui/piece-thumb';
import { Busy, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { WindowBand, windowInWords } from '../ui/window-band';
import { CastActions, type CastAction } from './cast-actions';
import { CastFigures, CastGrounds } from './cast-grounds';
import { CastRecord } from './cast-record';
import { LifeChart } from './life-chart';
import { stageWords } from './words';

const DAY = 24 * 3_600_000;

/** One cast's life. */
export function CastPage() {
  const { id = '' } = useParams();
  const { data, error, isPending } = useQuery(castQuery(id));
  if (isPending) return <Busy what="the cast" />;
  if (data) return <CastLife cast={data} />;
  return error instanceof ProblemFailure && error.problem.status === 404 ? <Nowhere /> : <Failure error={error} />;
}

function CastLife({ cast }: { cast: CastDetail }) {
  const now = useNow();
  const air = useAir().data;
  const past = useAirBetween(cast.life.pouredAt, Math.min(now, cast.life.pouredAt + 90 * DAY)).data;
  const [doing, setDoing] = useState<CastAction>();
  const temperatures = useMemo(() => readingsSince(cast.life.pouredAt, joined(past, air)), [cast, past, air]);
  const { code, snapshot, stage } = cast;
  return (
    <div className="mx-auto grid max-w-7xl gap-4 p-4 lg:grid-cols-[20rem_minmax(0,1fr)]">
      <div className="space-y-4">
        <section className="card-slab" aria-label="The piece">
          <div className="grid place-items-center">
            <PieceThumb shape={snapshot.shape} {...lookToday(cast, now)} size={230} stage={stage} />
          </div>
          <h1 className="text-3xl">
            {code} <span className="text-2xl">{snapshot.mouldName}</span>
          </h1>
          <p className="quiet">
            {snapshot.mixName}, {stageWords[stage]}
          </p>
          <Next cast={cast} air={air} now={now} onDo={setDoing} />
        </section>
        <CastGrounds cast={cast} />
      </div>
      <div className="min-w-0 space-y-4">
        <section className="card-slab">
          <LifeChart cast={cast} temperatures={temperatures} now={now} />
        </section>
        <div className="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_22.5rem]">
          <CastRecord cast={cast} now={now} />
          <CastFigures cast={cast} temperatures={temperatures} now={now} />
        </div>
      </div>
      {doing && <CastActions casts={[cast]} stroke={doing} onClose={() => setDoing(undefined)} />}
    </div>
  );
}

/** Air that was recorded, and the forecast after it. */
const joined = (past: readonly AirReading[] | undefined, air: AirView | undefined): AirReading[] => [
  ...(past ?? []),
  ...(air?.ahead ?? []),
];

/** What to do next, in one sentence, and the way to do it. */
function Next({
  cast,
  air,
  now,
  onDo,
}: {
  cast: CastDetail;
  air: AirView | undefined;
  now: number;
  onDo: (action: CastAction) => void;
}) {
  const window = nextOf(cast, air);
  if (!window) return <p className="mt-3">Its work is done; its record stays.</p>;
  const missing = cast.stage === 'drying' && cast.life.weighings.length > 0 ? cast.dry.missing : [];
  return (
    <div className="mt-4 space-y-2">
      <WindowBand window={window} now={now} />
      <p>
        <strong>{window.stroke}</strong>: {windowInWords(window, now)}. {missing.join(' ')}
      </p>
      <button
        type="button"
        className={`btn h-14 w-full text-lg ${isDue(window, now) ? 'btn-primary' : 'btn-neutral'}`}
        onClick={() => onDo(window.stroke)}
      >
        {window.stroke}
      </button>
      <button type="button" className="btn btn-ghost bg-base-300/60 h-12 w-full" onClick={() => onDo('Look over')}>
        Bubbles, broken, or something else
      </button>
    </div>
  );
}
