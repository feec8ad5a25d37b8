import { useQuery } from '@tanstack/react-query';
import { Navigate } from 'react-router';
import { atBenchQuery } from '../api/pours';
import { useSay } from '../ui/say';
import { Busy } from '../ui/states';

/** The way to the bench from outside: to the pour that is at it, or to the pours that could be. */
export function BenchNowPage() {
  const say = useSay();
  const { data, isError } = useQuery(atBenchQuery);
  const pour = data?.rows[0];
  if (pour) return <Navigate to={`/pours/${pour.id}/bench`} replace />;
  return data || isError ? <Navigate to="/pours" replace /> : <Busy what={say('pours.busyPours')} />;
}
