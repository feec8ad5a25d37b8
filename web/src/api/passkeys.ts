import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type {
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import type { NewPasskey, PasskeyOptions, PasskeySignIn, PasskeyView } from '@dewpot/contract';
import { ask } from './client';
import { refresh } from './refresh';
import { useEnter } from './session';

/** Few come in by a passkey: the first load does without. */
const webAuthn = () => import('@simplewebauthn/browser');

export const passkeysQuery = queryOptions({
  queryKey: ['account', 'passkeys'],
  queryFn: ({ signal }) => ask<PasskeyView[]>('GET', 'account/passkeys', undefined, signal),
});

/** Lets the browser make a passkey, and keeps it. */
async function addPasskey(label: string): Promise<PasskeyView[]> {
  // WebAuthn's own JSON, which the server's library made.
  const optionsJSON = (await ask<PasskeyOptions>('POST', 'session/passkey/offer')) as unknown as PublicKeyCredentialCreationOptionsJSON; // prettier-ignore
  const { startRegistration } = await webAuthn();
  const { id, response } = await startRegistration({ optionsJSON });
  const { clientDataJSON: clientData, attestationObject: attestation, transports } = response;
  const made: NewPasskey = { credential: id, label, clientData, attestation, ...(transports && { transports }) };
  return ask<PasskeyView[]>('POST', 'account/passkeys', made);
}

/** Asks the browser for a passkey, and comes in by it. */
async function enterByPasskey(): Promise<void> {
  const optionsJSON = (await ask<PasskeyOptions>('POST', 'session/passkey/options')) as unknown as PublicKeyCredentialRequestOptionsJSON; // prettier-ignore
  const { startAuthentication } = await webAuthn();
  const { id, response } = await startAuthentication({ optionsJSON });
  const { clientDataJSON: clientData, authenticatorData, signature } = response;
  const answer: PasskeySignIn = { credential: id, clientData, authenticatorData, signature };
  return ask<void>('POST', 'session/passkey', answer);
}

export function useAddPasskey() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: addPasskey,
    retry: false,
    onSuccess: (all) => client.setQueryData(passkeysQuery.queryKey, all),
  });
}

export function useRemovePasskey() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `account/passkeys/${id}`),
    retry: false,
    onSuccess: () => refresh(client, [...passkeysQuery.queryKey]),
  });
}

export const useEnterByPasskey = () => useEnter(enterByPasskey);
