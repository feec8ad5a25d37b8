import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { OwnSessionView, PassphraseInput, ScriptToken, ScriptTokenInput } from '@dewpot/contract';
import { ask } from './client';
import { refresh } from './refresh';

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

export const useEndSession = () => useAccountChange((id: string) => ask<void>('DELETE', `account/sessions/${id}`));

export const useMakeToken = () =>
  useAccountChange((given: ScriptTokenInput) => ask<ScriptToken>('POST', 'account/tokens', given));
