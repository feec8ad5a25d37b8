import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type {
  InvitationInput,
  InvitationOffer,
  InvitationTaken,
  InvitationView,
  NewInvitation,
  PassphraseRenewed,
  PersonView,
  Role,
} from '@dewpot/contract';
import { ask } from './client';
import { refresh } from './refresh';
import { OFFER, useEnter } from './session';

export const peopleQuery = queryOptions({
  queryKey: ['people'],
  queryFn: ({ signal }) => ask<PersonView[]>('GET', 'people', undefined, signal),
});

export const invitationsQuery = queryOptions({
  queryKey: ['invitations'],
  queryFn: ({ signal }) => ask<InvitationView[]>('GET', 'invitations', undefined, signal),
});

/** What an invitation offers to whoever has its token. */
export const offerQuery = (token: string) =>
  queryOptions({
    queryKey: [OFFER, token],
    queryFn: ({ signal }) => ask<InvitationOffer>('POST', 'invitations/offer', { token }, signal),
    retry: false,
  });

function useChange<Given, Answer>(change: (given: Given) => Promise<Answer>, ...keys: readonly string[]) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    retry: false,
    onSuccess: () => refresh(client, ...keys.map((key) => [key])),
  });
}

export const useChangeRole = () =>
  useChange(
    ({ id, role }: { id: string; role: Role }) => ask<PersonView>('PUT', `people/${id}`, { role }),
    'people',
    'session',
  );
export const useRemovePerson = () => useChange((id: string) => ask<void>('DELETE', `people/${id}`), 'people');
export const useInvite = () =>
  useChange((given: InvitationInput) => ask<NewInvitation>('POST', 'invitations', given), 'invitations', 'mails');
/** Makes a link with which a person chooses a new passphrase. */
export const useLetRenew = () =>
  useChange((id: string) => ask<NewInvitation>('POST', `people/${id}/renewal`), 'invitations', 'mails');
export const useTakeBack = () => useChange((id: string) => ask<void>('DELETE', `invitations/${id}`), 'invitations');

/** Takes up an invitation, and comes in. */
export const useTakeInvitation = () =>
  useEnter((given: InvitationTaken) => ask<void>('POST', 'invitations/take', given));
/** Has a new passphrase in place of one that is lost, and comes in. */
export const useRenewPassphrase = () =>
  useEnter((given: PassphraseRenewed) => ask<void>('POST', 'invitations/renew', given));
