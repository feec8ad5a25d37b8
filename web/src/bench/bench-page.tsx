import { useMemo } from 'react';
import { InputError } from '@dewpot/core/units';
import { benchOf } from '@dewpot/core/planning';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { useRun } from '../api/run';
import { poursQuery } from '../api/pours';
import { buttonClass } from '../ui/button';
import { Known } from '../ui/known';
import { Busy, Empty, Failure } from '../ui/states';
import { BenchRun } from './bench-run';
import { useSay } from '../ui/say';

/** A pour at the bench, one step at a time. */
export function BenchPage() {
  const say = useSay();
  const { id = '' } = useParams();
  return (
    <Known list={poursQuery} ids={[id]} what={say('pours.busyPour')}>
      <KnownBench id={id} />
    </Known>
  );
}

function KnownBench({ id }: { id: string }) {
  const say = useSay();
  const pour = useQuery(poursQuery).data?.find((one) => one.id === id);
  const atHand = useRun(id);
  const bench = useMemo(() => {
    if (!pour) return undefined;
    try {
      return benchOf(pour);
    } catch (wrong) {
      if (wrong instanceof InputError) return wrong;
      throw wrong;
    }
  }, [pour]);
  if (!pour || !bench) return null;
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
