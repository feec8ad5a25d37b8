import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { PhotoRoom, PhotoSize, PictureView } from '@dewpot/contract';
import { ask, send } from './client';
import { refresh } from './refresh';

/** Sends a picture of a mould; the moulds are read again. */
export function useAddPicture(mouldId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ file, caption }: { file: File; caption: string }) => {
      const form = new FormData();
      form.set('caption', caption);
      form.set('picture', file);
      return send<PictureView>(`moulds/${mouldId}/pictures`, form);
    },
    onSuccess: () => refresh(client, ['moulds'], ['photos']),
  });
}

export function useRemovePicture() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `pictures/${id}`),
    onSuccess: () => refresh(client, ['moulds'], ['photos']),
  });
}

export function useRemoveCastPicture(castId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `cast-pictures/${id}`),
    onSuccess: () => refresh(client, ['casts', 'one', castId], ['photos']),
  });
}

/** What the photos of the workshop take, and what they may. */
export const photoRoomQuery = queryOptions({
  queryKey: ['photos'],
  queryFn: ({ signal }) => ask<PhotoRoom>('GET', 'photos/room', undefined, signal),
});

const addressIn = (list: string) => (id: string, size: PhotoSize) => `/api/${list}/${id}?size=${size}`;
export const castPictureAddress = addressIn('cast-pictures');
export const pictureAddress = addressIn('pictures');
