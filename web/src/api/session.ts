import { queryOptions, useMutation, useQuery, useQueryClient, useSuspenseQuery } from '@tanstack/react-query';
import type {
  AmbientView,
  DoorView,
  Recovery,
  Registration,
  SessionView,
  SignIn,
  WorkshopSettings,
} from '@dewpot/contract';
import { ask } from './client';
import { persistOptions } from './query-client';

/** The key of what an invitation offers. */
export const OFFER = 'offer';

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: ({ signal }) => ask<SessionView>('GET', 'session', undefined, signal),
  staleTime: 60_000,
});
const ambientQuery = queryOptions({
  queryKey: ['ambient'],
  queryFn: ({ signal }) => ask<AmbientView>('GET', 'ambient', undefined, signal),
  staleTime: 600_000,
});

/** Who is signed in and where; only below the door. */
export function useSession(): SessionView {
  return useSuspenseQuery(sessionQuery).data;
}

/** The settings of the workshop, with the version that they were read at. */
export function useSettings(): WorkshopSettings {
  const { id: _, demo: __, goneAt: ___, ...settings } = useSession().workshop;
  return settings;
}

export function useAmbient() {
  return useQuery(ambientQuery);
}

export function useDoor() {
  return useQuery({ queryKey: ['door'], queryFn: () => ask<DoorView>('GET', 'door') });
}

/** Comes into a workshop: nothing that was known of another one is shown. What an invitation offered stays until its page is left. */
export function useEnter<T>(enter: (given: T) => Promise<void>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: enter,
    retry: false,
    onSuccess: () => client.resetQueries({ predicate: ({ queryKey }) => queryKey[0] !== OFFER }),
  });
}

const signIn = (given: SignIn) => ask<void>('POST', 'session', given);

export const useSignIn = () => useEnter(signIn);
export const useEnterDemo = () => useEnter(() => ask<void>('POST', 'session/demo'));
/** Chooses a new passphrase by a recovery code, and comes in. */
export const useRecover = () => useEnter((given: Recovery) => ask<void>('POST', 'session/recover', given));
/**
 * Registers and signs in. The server does not tell whether an address had an account before; signing in does. Whoever has one, and
 * types its passphrase, comes into the workshop that they were in last: the new one is founded from there.
 */
export const useRegister = () =>
  useEnter(async (given: Registration) => {
    await ask<void>('POST', 'workshops', given);
    await signIn({ email: given.email, passphrase: given.passphrase });
    const { workshop } = await ask<SessionView>('GET', 'session');
    if (workshop.name !== given.workshop) await ask<void>('POST', 'session/workshops', { workshop: given.workshop });
  });

/** Goes out of a workshop: nothing of it stays in the browser, and the door is next. */
function useGo(path: 'session' | 'people') {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => ask<void>('DELETE', path),
    retry: false,
    onSuccess: async () => {
      client.clear();
      await persistOptions.persister.removeClient();
      window.location.assign('/');
    },
  });
}

export const useSignOut = () => useGo('session');
/** Leaves the workshop for good. */
export const useLeave = () => useGo('people');

export function useSaveSettings() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (settings: WorkshopSettings) => ask<SessionView>('PUT', 'workshop', settings),
    onSuccess: (session) => client.setQueryData(sessionQuery.queryKey, session),
  });
}
