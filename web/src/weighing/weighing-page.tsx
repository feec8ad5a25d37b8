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

/** A round of weighing: one piece fills the screen, the scale's reading stands in it, and one control goes to the next. */
export function WeighingPage() {
  const { data, error, isPending } = useQuery(shelfQuery);
  const { scaleStep } = useSession().workshop;
  // The list stands as it was when the round began: what was weighed does not make it jump.
  const [list, setList] = useState<readonly ToWeigh[]>();
  const [at, setAt] = useState(0);
  const now = useNow();
  if (isPending) return <Busy what="what is due to be weighed" />;
  if (!data) return <Failure error={error} />;
  const round = list ?? weighRound(data, placeOf, now, scaleStep);
  const here = round[at];
  if (!here) return <Done weighed={at} />;
  return (
    <WeighOne
      key={here.key}
      here={here}
      count={`${at + 1} of ${round.length}`}
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
  return (
    <div className="mx-auto max-w-xl p-4">
      <PageHead title="Weigh what is due" />
      <Empty title={weighed > 0 ? 'All weighed' : 'Nothing is due to be weighed'}>
        <p>
          {weighed > 0
            ? 'Open a piece to see when you can seal it.'
            : 'Pieces that dry are weighed once a day; of like ones of a pour a sample is enough.'}
        </p>
        <p>
          <Link to="/" className={buttonClass({ look: 'main', size: 'own' })}>
            To the shelf
          </Link>
        </p>
      </Empty>
    </div>
  );
}
