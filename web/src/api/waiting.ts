import {
  useMutationState,
  useQueryClient,
  type Mutation,
  type MutationCache,
  type MutationKey,
  type MutationState,
  type QueryClient,
} from '@tanstack/react-query';
import type { Problem } from '@dewpot/contract';
import { DAY, SECOND } from '@dewpot/core/units';
import { ProblemFailure, Unreachable } from './client';

/** What is recorded of casts is sent one after another, in the order in which it was recorded. */
const SCOPE = { id: 'casts' };

const isSignedOut = (error: Error) => error instanceof ProblemFailure && error.problem.status === 401;

/** How a write that is kept waits: for the server, and for whoever has to sign in again, as long as it takes. Its own key makes sending it again safe. */
export const waitingWays = {
  retry: (_: number, error: Error): boolean => error instanceof Unreachable || isSignedOut(error),
  retryDelay: (_: number, error: Error): number => (isSignedOut(error) ? 15 : 2) * SECOND,
  // What was refused stands so long in a page that is not left.
  gcTime: 20 * DAY,
};

const isOfCasts = ({ options }: Pick<Mutation, 'options'>) => options.scope?.id === SCOPE.id;

/** Whether the first of the writes that are on their way found no server. */
const isHeldUp = (cache: MutationCache) =>
  cache.findAll({ status: 'pending', predicate: isOfCasts }).some(({ state }) => state.failureCount > 0);

/**
 * Sends a write after those that wait already. Answers what the server says, or nothing once the write waits: then it is kept in
 * the browser and goes by itself as soon as the server is there.
 * @throws ProblemFailure where the server refuses it at once
 */
export function sendOrWait<Answer, Sent>(client: QueryClient, mutationKey: MutationKey, sent: Sent): Promise<Answer | undefined> {
  const cache = client.getMutationCache();
  const write = cache.build<Answer, Error, Sent, unknown>(client, { mutationKey, scope: SCOPE });
  return new Promise((done, refuse) => {
    let waits = false;
    const stop = cache.subscribe(() => {
      if (waits || write.state.status !== 'pending' || !isHeldUp(cache)) return;
      waits = true;
      done(undefined);
    });
    write
      .execute(sent)
      .then(done, (error: Error) => {
        // Whoever sent it is told. What was refused after it had waited stands until somebody settles it.
        if (!waits) cache.remove(write);
        refuse(error);
      })
      .finally(stop);
  });
} // prettier-ignore

/** Whether a write is kept in the browser: while it waits, and after a refusal until that is settled. */
export const isKept = (write: Mutation): boolean =>
  write.options.mutationKey !== undefined &&
  (write.state.status === 'pending' || (write.state.status === 'error' && isOfCasts(write)));

/** A write that was recorded here. */
export interface OwnWrite {
  /** Its number in this page. */
  readonly id: number;
  readonly kind: string;
  readonly sent: unknown;
  readonly error: unknown;
}

const told = ({ mutationId: id, options, state }: Mutation): OwnWrite & { state: MutationState } => ({
  id,
  kind: String(options.mutationKey?.[0]),
  sent: state.variables,
  error: state.error,
  state,
});

/** What waits for the server to be there again, in order; nothing while all goes through. */
export function useWaitingWrites(): readonly OwnWrite[] {
  const pending = useMutationState({ filters: { status: 'pending', predicate: isOfCasts }, select: told });
  return pending.some(({ state }) => state.failureCount > 0) ? pending : NONE;
}
const NONE: readonly OwnWrite[] = [];

/** How many writes wait to be sent. */
export const useWaiting = (): number => useWaitingWrites().length;

/** What the server refused after it had waited. */
export const useRefusedWrites = (): readonly OwnWrite[] =>
  useMutationState({ filters: { status: 'error', predicate: isOfCasts }, select: told });

/** Why a write was refused. One that was read from the browser's memory is no error object any more. */
export const refusalOf = ({ error }: OwnWrite): Problem | undefined =>
  (error as { readonly problem?: Problem } | null)?.problem;

/** Deletes writes that were refused: they are settled. */
export function useForget(): (ids: readonly number[]) => void {
  const cache = useQueryClient().getMutationCache();
  return (ids) =>
    cache
      .findAll({ status: 'error', predicate: ({ mutationId }) => ids.includes(mutationId) })
      .forEach((write) => cache.remove(write));
}
