import { useEffect, useState, type ReactNode } from 'react';
import { useQuery, type QueryKey, type UseQueryOptions } from '@tanstack/react-query';
import { ProblemFailure } from '../api/client';
import { Nowhere } from './not-found';
import { Busy, Failure } from './states';

interface Named {
  readonly id: string;
}

const named = <T,>(answer: T, pick?: (answer: T) => readonly Named[]) =>
  pick ? pick(answer) : (answer as readonly Named[]);

/**
 * Shows what stands on things that an address names. A list that the browser kept may be older than what another device made:
 * where one is not in it, the list is asked for again first. What is unknown after that is said; nothing is taken in its place.
 */
export function Known<T, K extends QueryKey>({
  list,
  pick,
  ids,
  what,
  children,
}: {
  list: UseQueryOptions<T, Error, T, K>;
  /** The things of the answer, where it is not they alone. */
  pick?: (answer: T) => readonly Named[];
  /** Keys that the address names; those that it leaves out are null. */
  ids: readonly (string | null | undefined)[];
  what: string;
  children: ReactNode;
}) {
  const { data, error, isPending, isFetching, refetch } = useQuery(list);
  const lacking = ids.filter((id) => id && data && !named(data, pick).some((one) => one.id === id)).join();
  const [askedFor, setAskedFor] = useState('');
  const stale = lacking !== '' && askedFor !== lacking;
  useEffect(() => {
    if (stale && !isFetching) void refetch().then(() => setAskedFor(lacking));
  }, [stale, isFetching, refetch, lacking]);
  if (isPending || stale) return <Busy what={what} />;
  if (!data || (lacking !== '' && error)) return <Failure error={error} />;
  return lacking === '' ? children : <Nowhere />;
}

/** Shows what stands on one thing that an address names; what the server does not know is said. */
export function KnownOne<T, K extends QueryKey>({
  one,
  what,
  children,
}: {
  one: UseQueryOptions<T, Error, T, K>;
  what: string;
  children: (thing: T) => ReactNode;
}) {
  const { data, error, isPending } = useQuery(one);
  if (isPending) return <Busy what={what} />;
  if (data !== undefined) return children(data);
  return error instanceof ProblemFailure && error.problem.status === 404 ? <Nowhere /> : <Failure error={error} />;
}
