import { useEffect, useMemo, useState } from 'react';
import { runOf, type Run, type RunEvent, type RunEventBody } from '@dewpot/core/bench';
import type { RunView } from '@dewpot/contract';
import {
  useMutationState,
  useQuery,
  useQueryClient,
  type MutationState,
  type QueryClient,
} from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { forgetRefused, keepRun, runKey, runQuery, sendSteps, type RunEventsSent } from './run-writes';
import { hear } from './stream';

/** How often another device's steps are looked for while there is no stream of them, ms. */
const LOOK = 2500;

/** Hears a run as it goes; answers whether the stream is up. */
function useRunStream(pourId: string, client: QueryClient): boolean {
  const [up, setUp] = useState(false);
  useEffect(() => {
    const message = (data: string) => {
      setUp(true);
      keepRun(client, pourId, JSON.parse(data) as RunView);
    };
    return hear(`pours/${pourId}/run/stream`, { message, down: () => setUp(false) });
  }, [pourId, client]);
  return up;
}

/** The steps of a run that this device has sent and not got rid of. */
function useSentSteps(pourId: string) {
  const sent = useMutationState({
    filters: { mutationKey: runKey(pourId) },
    select: ({ state }) => state as MutationState<RunView, Error, RunEventsSent>,
  });
  const pending = useMemo(() => sent.filter(({ status }) => status === 'pending'), [sent]);
  const waiting = useMemo(() => pending.flatMap(({ variables }) => variables?.events ?? []), [pending]);
  return {
    waiting,
    refused: sent.find(({ status }) => status === 'error')?.error ?? undefined,
    away: pending.some(({ failureCount, isPaused }) => failureCount > 0 || isPaused),
  };
}

/** Whether the server was away since all was sent last: until then none of what waits counts as sent. */
function useBehind(away: boolean, waiting: number): boolean {
  const [behind, setBehind] = useState(false);
  const now = waiting > 0 && (away || behind);
  if (now !== behind) setBehind(now);
  return now;
}

/** A pour's run as this device knows it: what the server has, and what is still to be sent. */
export interface RunAtHand {
  /** Undefined until it was read once. */
  readonly run: Run | undefined;
  /** Events that wait for the server to answer again. */
  readonly waiting: number;
  /** Why the server will not have them. */
  readonly refused: Error | undefined;
  readonly error: Error | null;
  readonly record: (...eventBodies: readonly RunEventBody[]) => void;
  readonly forget: () => void;
}

/** A run of what the server has and what waits; the server may have some of that already. */
function runOfAll(known: readonly RunEvent[] | undefined, waiting: readonly RunEvent[]): Run | undefined {
  if (!known && waiting.length === 0) return undefined;
  const ids = new Set(known?.map(({ id }) => id));
  return runOf([...(known ?? []), ...waiting.filter(({ id }) => !ids.has(id))]);
}

/** A pour's run: heard as it goes, for another device may be at it too. */
export function useRun(pourId: string): RunAtHand {
  const client = useQueryClient();
  const { waiting, refused, away } = useSentSteps(pourId);
  const behind = useBehind(away, waiting.length);
  const heard = useRunStream(pourId, client);
  const { data, error } = useQuery({ ...runQuery(pourId), refetchInterval: heard ? false : LOOK });
  const run = useMemo(() => runOfAll(data?.events, waiting), [data, waiting]);
  useEffect(() => {
    // What is waiting must not be lost with the tab unseen.
    const warn = (event: BeforeUnloadEvent) => refused && event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [refused]);
  return {
    run,
    waiting: behind ? waiting.length : 0,
    refused,
    error,
    record: (...eventBodies) => {
      const at = Date.now();
      sendSteps(client, { pourId, events: eventBodies.map((eventBody) => ({ ...eventBody, id: uuid(), at })) });
    },
    forget: () => forgetRefused(client, pourId),
  };
}
