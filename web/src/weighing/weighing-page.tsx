import { useState } from 'react';
import { weighRound } from '@dewpot/core/casts';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { shelfQuery } from '../api/casts';
import { useSession } from '../api/session';
import { buttonClass } from '../ui/button';
import { placeOf } from '../ui/casts/reading';
import { PageHead } from '../ui/page-head';
import { Busy, Empty, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
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
  if (!here) return <Done weighed={at} />;
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

function Done({ weighed }: { weighed: number }) {
  const say = useSay();
  return (
    <div className="mx-auto max-w-xl p-4">
      <PageHead title={say('weighing.weighDue')} />
      <Empty title={weighed > 0 ? say('weighing.allWeighed') : say('weighing.nothingToWeigh')}>
        <p>{weighed > 0 ? say('weighing.openPiece') : say('weighing.dryWeighed')}</p>
        <p>
          <Link to="/" className={buttonClass({ look: 'main', size: 'own' })}>
            {say('weighing.toShelf')}
          </Link>
        </p>
      </Empty>
    </div>
  );
}
