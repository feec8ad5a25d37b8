import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { ArticleInput, CastDetail, OverridesView, TileInput, TileView } from '@dewpot/contract';
import { castQuery } from './casts';
import { ask } from './client';
import { refresh } from './refresh';

export const overridesQuery = queryOptions({
  queryKey: ['overrides'],
  queryFn: ({ signal }) => ask<OverridesView>('GET', 'overrides', undefined, signal),
});

export const tilesQuery = (mixId: string) =>
  queryOptions({
    queryKey: ['tiles', mixId],
    queryFn: ({ signal }) => ask<TileView[]>('GET', `tiles?mix=${mixId}`, undefined, signal),
  });

/** Keeps a trial tile. */
export function useKeepTile() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, tile }: { id: string; tile: TileInput }) => ask<void>('PUT', `tiles/${id}`, tile),
    onSuccess: () => refresh(client, ['tiles']),
  });
}

export function useRemoveTile() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `tiles/${id}`),
    onSuccess: () => refresh(client, ['tiles']),
  });
}

/** Joins casts into one thing. */
export function useJoin() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (article: ArticleInput) => ask<CastDetail>('POST', 'articles', article),
    onSuccess: async (article) => {
      client.setQueryData(castQuery(article.id).queryKey, article);
      await refresh(client, ['casts']);
    },
  });
}

/** Takes an article apart again. */
export function useTakeApart() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `articles/${id}`),
    onSuccess: () => refresh(client, ['casts']),
  });
}
