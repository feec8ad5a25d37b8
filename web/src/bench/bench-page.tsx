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

/** A pour at the bench, one step at a time. */
export function BenchPage() {
  const { id = '' } = useParams();
  return (
    <Known list={poursQuery} ids={[id]} what="the pour">
      <KnownBench id={id} />
    </Known>
  );
}

function KnownBench({ id }: { id: string }) {
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
      <Empty level="h1" title="This pour is only planned">
        <p>Look over its sheet, and start it when the moulds are ready.</p>
        <p>
          <Link to={`/pours/${id}`} className={buttonClass({ look: 'main', size: 'own' })}>
            To the plan
          </Link>
        </p>
      </Empty>
    );
  if (!atHand.run) return atHand.error ? <Failure error={atHand.error} /> : <Busy what="the bench" />;
  return <BenchRun pour={pour} bench={bench} atHand={atHand} run={atHand.run} />;
}
