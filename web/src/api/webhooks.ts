import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { WebhookInput, WebhookMade, WebhookView } from '@dewpot/contract';
import { ask } from './client';

/** What was sent is looked at again so often while it is in view, ms. */
const AGAIN = 10_000;

export const webhooksQuery = queryOptions({
  queryKey: ['webhooks'],
  queryFn: ({ signal }) => ask<WebhookView[]>('GET', 'webhooks', undefined, signal),
  refetchInterval: AGAIN,
});

function useWebhookWrite<Given, Answer>(write: (given: Given) => Promise<Answer>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: write,
    retry: false,
    onSuccess: () => client.invalidateQueries({ queryKey: webhooksQuery.queryKey }),
  });
}

export const useMakeWebhook = () =>
  useWebhookWrite((given: WebhookInput) => ask<WebhookMade>('POST', 'webhooks', given));
export const useTryWebhook = () => useWebhookWrite((id: string) => ask<void>('POST', `webhooks/${id}/try`));
export const useRemoveWebhook = () => useWebhookWrite((id: string) => ask<void>('DELETE', `webhooks/${id}`));
