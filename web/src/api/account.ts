import type { Language } from '@dewpot/core/units';
import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type {
  OwnSessionView,
  PassphraseInput,
  RecoveryCodes,
  RecoveryCodesLeft,
  ScriptToken,
  ScriptTokenInput,
} from '@dewpot/contract';
import { ask } from './client';
import { refresh } from './refresh';
import { sessionQuery } from './session';

export const ownSessionsQuery = queryOptions({
  queryKey: ['account', 'sessions'],
  queryFn: ({ signal }) => ask<OwnSessionView[]>('GET', 'account/sessions', undefined, signal),
});

/** A change of one's own account, after which its sessions are asked for again. */
function useAccountChange<T, R>(change: (given: T) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    retry: false,
    onSuccess: () => refresh(client, ['account']),
  });
}

export const useChangePassphrase = () =>
  useAccountChange((given: PassphraseInput) => ask<void>('PUT', 'account/passphrase', given));

/** Chooses the language that one reads in: here, and wherever one is signed in. */
export function useReadIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (language: Language) => ask<void>('PUT', 'account/language', { language }),
    retry: false,
    onSuccess: () => client.invalidateQueries({ queryKey: sessionQuery.queryKey }),
  });
}

export const useEndSession = () => useAccountChange((id: string) => ask<void>('DELETE', `account/sessions/${id}`));

export const useMakeToken = () =>
  useAccountChange((given: ScriptTokenInput) => ask<ScriptToken>('POST', 'account/tokens', given));

/** How many recovery codes are left. */
export const recoveryQuery = queryOptions({
  queryKey: ['account', 'recovery'],
  queryFn: ({ signal }) => ask<RecoveryCodesLeft>('GET', 'account/recovery', undefined, signal),
});

export const useMakeCodes = () => useAccountChange(() => ask<RecoveryCodes>('POST', 'account/recovery'));
