import { useMemo } from 'react';
import { InputError } from '@dewpot/core/units';
import { benchOf } from '@dewpot/core/planning';
import type { PourView } from '@dewpot/contract';
import { Link, useParams } from 'react-router';
import { useRun } from '../api/run';
import { pourQuery } from '../api/pours';
import { buttonClass } from '../ui/button';
import { KnownOne } from '../ui/known';
import { Busy, Empty, Failure } from '../ui/states';
import { BenchRun } from './bench-run';
import { useSay } from '../ui/say';

/** A pour at the bench, one step at a time. */
export function BenchPage() {
  const say = useSay();
  const { id = '' } = useParams();
  return (
    <KnownOne one={pourQuery(id)} what={say('pours.busyPour')}>
      {(pour) => <KnownBench pour={pour} />}
    </KnownOne>
  );
}

function KnownBench({ pour }: { pour: PourView }) {
  const say = useSay();
  const { id } = pour;
  const atHand = useRun(id);
  const bench = useMemo(() => {
    try {
      return benchOf(pour);
    } catch (wrong) {
      if (wrong instanceof InputError) return wrong;
      throw wrong;
    }
  }, [pour]);
  if (bench instanceof InputError) return <Failure error={bench} />;
  if (pour.status === 'planned')
    return (
      <Empty level="h1" title={say('bench.onlyPlanned')}>
        <p>{say('bench.onlyPlannedHow')}</p>
        <p>
          <Link to={`/pours/${id}`} className={buttonClass({ look: 'main', size: 'own' })}>
            {say('bench.toPlan')}
          </Link>
        </p>
      </Empty>
    );
  if (!atHand.run) return atHand.error ? <Failure error={atHand.error} /> : <Busy what={say('pours.busyBench')} />;
  return <BenchRun pour={pour} bench={bench} atHand={atHand} run={atHand.run} />;
}
