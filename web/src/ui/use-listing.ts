import { useMemo } from 'react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { pageQuery, type Asked } from '../api/pages';

const TURNS = ['after', 'before'] as const;

/**
 * A list of the server as its address has it: `choices` are what it can be chosen and ordered by, beside its words. Whoever shares the
 * address shares what is seen.
 */
export function useListing<Row>(list: string, choices: readonly string[]) {
  const [search, setSearch] = useSearchParams();
  const address = search.toString();
  const asked = useMemo((): Asked => {
    const there = new URLSearchParams(address);
    return Object.fromEntries(
      ['q', ...choices, ...TURNS].flatMap((key) => {
        const value = there.get(key);
        return value ? [[key, value]] : [];
      }),
    );
    // The names of a list's choices do not change.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [address]);
  const {
    data: page,
    error,
    isPending,
    isPlaceholderData,
  } = useQuery({
    ...pageQuery<Row>(list, asked),
    // The last page stays in view until the next one is there.
    placeholderData: keepPreviousData,
  });
  /** Asks for something else: from the first page on. What is undefined or empty is no longer asked. */
  const choose = (part: Readonly<Record<string, string | undefined>>) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        TURNS.forEach((turn) => next.delete(turn));
        for (const [key, value] of Object.entries(part)) {
          if (value) next.set(key, value);
          else next.delete(key);
        }
        return next;
      },
      { replace: true },
    );
  /** The address of the page that begins after, or ends before, a place in the list. */
  const turn = (way: (typeof TURNS)[number], at: string) => {
    const next = new URLSearchParams(address);
    TURNS.forEach((one) => next.delete(one));
    next.set(way, at);
    return `?${next.toString()}`;
  };
  const chosen = Object.keys(asked).some((key) => key !== 'order');
  const clear = () => setSearch({}, { replace: true });
  return { page, error, isPending, isStale: isPlaceholderData, asked, chosen, choose, clear, turn };
}

export type Listing<Row> = ReturnType<typeof useListing<Row>>;
