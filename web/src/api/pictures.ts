import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { PictureView } from '@dewpot/contract';
import { ask, send } from './client';

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
    onSuccess: () => client.invalidateQueries({ queryKey: ['moulds'] }),
  });
}

export function useRemovePicture() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `pictures/${id}`),
    onSuccess: () => client.invalidateQueries({ queryKey: ['moulds'] }),
  });
}

export const pictureAddress = (id: string) => `/api/pictures/${id}`;
