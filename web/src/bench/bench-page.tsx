import { useMemo } from 'react';
import { benchOf } from '@dewpot/contract';
import { InputError } from '@dewpot/core';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { useRun } from '../api/run';
import { poursQuery } from '../api/work';
import { Nowhere } from '../ui/nowhere';
import { Busy, Empty, Failure } from '../ui/states';
import { BenchRun } from './bench-run';

/** A pour at the bench, one step at a time. */
export function BenchPage() {
  const { id = '' } = useParams();
  const { data, isFetching, error } = useQuery(poursQuery);
  const pour = data?.find((one) => one.id === id);
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
  // What was read before may be older than a pour that another device began.
  if (!pour && isFetching) return <Busy what="the pour" />;
  if (!data) return <Failure error={error} />;
  if (!pour || !bench) return <Nowhere />;
  if (bench instanceof InputError) return <Failure error={bench} />;
  if (pour.status === 'planned')
    return (
      <Empty level="h1" title="This pour is only planned">
        <p>Look over its sheet, and start it when the moulds are ready.</p>
        <p>
          <Link to={`/pours/${id}`} className="btn btn-primary">
            To the plan
          </Link>
        </p>
      </Empty>
    );
  if (!atHand.run) return atHand.error ? <Failure error={atHand.error} /> : <Busy what="the bench" />;
  return <BenchRun pour={pour} bench={bench} atHand={atHand} run={atHand.run} />;
}
