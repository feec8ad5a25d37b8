import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { CastPictureView, PictureView } from '@dewpot/contract';
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
    onSuccess: () => refresh(client, ['moulds']),
  });
}

export function useRemovePicture() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `pictures/${id}`),
    onSuccess: () => refresh(client, ['moulds']),
  });
}

/** Sends a photo of a cast, with the event that it shows. */
export function useSendCastPicture() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ castId, file, eventId }: { castId: string; file: File; eventId: string }) => {
      const form = new FormData();
      form.set('picture', file);
      return send<CastPictureView>(`casts/${castId}/pictures?event=${eventId}`, form);
    },
    onSuccess: (_, { castId }) => refresh(client, ['casts', 'one', castId]),
  });
}

export function useRemoveCastPicture(castId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `cast-pictures/${id}`),
    onSuccess: () => refresh(client, ['casts', 'one', castId]),
  });
}

export const castPictureAddress = (id: string) => `/api/cast-pictures/${id}`;
export const pictureAddress = (id: string) => `/api/pictures/${id}`;
