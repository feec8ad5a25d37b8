import { useState } from 'react';
import { nextWeighings, weighRound } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { shelfQuery } from '../api/casts';
import { useSession } from '../api/session';
import { buttonClass } from '../ui/button';
import { lookToday } from '../ui/casts/look-today';
import { placeOf } from '../ui/casts/reading';
import { PageHead } from '../ui/page-head';
import { PieceThumb } from '../ui/piece-thumb';
import { Busy, Empty, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { windowInWords } from '../ui/window-band';
import type { ToWeigh } from './use-weighing';
import { WeighOne } from './weigh-one';
import { useSay } from '../ui/say';

/** A round of weighing: one piece fills the screen, the scale's reading stands in it, and one control goes to the next. */
export function WeighingPage() {
  const say = useSay();
  const { data, error, isPending } = useQuery(shelfQuery);
  const { scaleStep } = useSession().workshop;
  // The list stands as it was when the round began: what was weighed does not make it jump.
  const [list, setList] = useState<readonly ToWeigh[]>();
  const [at, setAt] = useState(0);
  const now = useNow();
  if (isPending) return <Busy what={say('weighing.whatDueWeighing')} />;
  if (!data) return <Failure error={error} />;
  const round = list ?? weighRound(data, placeOf, now, scaleStep);
  const here = round[at];
  if (!here) return <Done weighed={at} casts={data} now={now} />;
  return (
    <WeighOne
      key={here.key}
      here={here}
      count={say('weighing.atOfRound', { at: at + 1, round: round.length })}
      now={now}
      onNext={() => {
        setList(round);
        setAt(at + 1);
      }}
      {...(at > 0 && { onBack: () => setAt(at - 1) })}
    />
  );
}

/** So many of the next weighings are told. */
const NEXT = 8;

function Done({ weighed, casts, now }: { weighed: number; casts: readonly CastView[]; now: number }) {
  const say = useSay();
  const next = nextWeighings(casts, now).slice(0, NEXT);
  return (
    <div className="mx-auto max-w-3xl p-4">
      <PageHead title={say('weighing.weighDue')} />
      <Empty title={weighed > 0 ? say('weighing.allWeighed') : say('weighing.nothingToWeigh')}>
        <p>{weighed > 0 ? say('weighing.openPiece') : say('weighing.dryWeighed')}</p>
        <p>
          <Link to="/" className={buttonClass({ look: 'main', size: 'own' })}>
            {say('weighing.toShelf')}
          </Link>
        </p>
      </Empty>
      {next.length > 0 && (
        <section className="card-slab" aria-label={say('weighing.next')}>
          <h2 className="text-xl">{say('weighing.next')}</h2>
          <ul className="divide-base-300 divide-y">
            {next.map(({ cast, due }) => (
              <li key={cast.id}>
                <Link to={`/casts/${cast.id}`} className="hover:bg-base-200 flex items-center gap-4 py-2">
                  <PieceThumb shape={cast.snapshot.shape} {...lookToday(cast, now)} size={48} stage={cast.stage} />
                  <span className="numeral w-14 text-xl">{cast.code}</span>
                  <span className="min-w-0 flex-1">{cast.snapshot.mouldName}</span>
                  <span className="quiet">{say(windowInWords(due, now))}</span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
