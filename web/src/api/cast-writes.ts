import { useMutation, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { CastDetail, CastEventTold, CastPictureView } from '@dewpot/contract';
import { castQuery } from './casts';
import { ask, send } from './client';
import { dropPhoto, keepPhoto, keptPhoto } from './kept-photos';
import { refresh } from './refresh';
import { v7 as uuid } from 'uuid';
import { sendOrWait, useForget, useWaitingWrites, waitingWays, type OwnWrite } from './waiting';

const CAST_EVENT = 'cast-event';
const CAST_PHOTO = 'cast-photo';

export interface CastEventSent {
  readonly castId: string;
  readonly event: CastEventTold;
}

/** A photo as it is sent: the browser keeps it under its key until then. */
export interface CastPhotoSent {
  readonly castId: string;
  readonly eventId: string;
  readonly photoId: string;
  /** When it was taken, ms. */
  readonly at: number;
}

async function sendPhoto({ castId, eventId, photoId, at }: CastPhotoSent): Promise<CastPictureView> {
  const form = new FormData();
  form.set('picture', await keptPhoto(photoId), 'photo');
  const picture = await send<CastPictureView>(`casts/${castId}/pictures?event=${eventId}&id=${photoId}&at=${at}`, form);
  await dropPhoto(photoId);
  return picture;
}

/** Names the writes of a cast's events and photos, so that those left waiting can go on after the page was closed. */
export function nameCastWrites(client: QueryClient): void {
  client.setMutationDefaults([CAST_EVENT], {
    mutationFn: ({ castId, event }: CastEventSent) => ask<CastDetail>('POST', `casts/${castId}/events`, event),
    onSuccess: async (detail: CastDetail) => {
      client.setQueryData(castQuery(detail.id).queryKey, detail);
      await refresh(client, ['casts', 'shelf'], ['casts', 'page']);
    },
    ...waitingWays,
  });
  client.setMutationDefaults([CAST_PHOTO], {
    mutationFn: sendPhoto,
    onSuccess: (_: CastPictureView, { castId }: CastPhotoSent) => refresh(client, ['casts', 'one', castId], ['photos']),
    ...waitingWays,
  });
}

/** Appends an event to a cast's life; answers the cast, or nothing where the event waits for the server. @throws ProblemFailure */
export const appendEvent = (client: QueryClient, sent: CastEventSent): Promise<CastDetail | undefined> =>
  sendOrWait<CastDetail, CastEventSent>(client, [CAST_EVENT], sent);

/** Sends a photo of a cast with the event that it shows, after that one. @throws ProblemFailure */
export async function appendPhoto(client: QueryClient, { file, ...shown }: { castId: string; eventId: string; file: Blob }): Promise<CastPictureView | undefined> {
  const sent = { ...shown, photoId: await keepPhoto(file), at: Date.now() };
  try {
    return await sendOrWait<CastPictureView, CastPhotoSent>(client, [CAST_PHOTO], sent);
  } catch (error) {
    await dropPhoto(sent.photoId);
    throw error;
  }
} // prettier-ignore

/** Appends an event to a cast's life. It is through once it is sent, or waits. */
export function useCastEvent() {
  const client = useQueryClient();
  return useMutation({ mutationFn: (sent: CastEventSent) => appendEvent(client, sent) });
}

/** Sends a photo of a cast, with the event that it shows. It is through once it is sent, or waits. */
export function useSendCastPicture() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (sent: { castId: string; file: File; eventId: string }) => appendPhoto(client, sent),
  });
}

export const isEvent = (write: OwnWrite): write is OwnWrite & { readonly sent: CastEventSent } => write.kind === CAST_EVENT; // prettier-ignore
export const isPhoto = (write: OwnWrite): write is OwnWrite & { readonly sent: CastPhotoSent } => write.kind === CAST_PHOTO; // prettier-ignore

/** Tells what was recorded of casts here and waits to be sent. */
export function useWaitingEvents(): (castIds: readonly string[]) => readonly CastEventTold[] {
  const events = useWaitingWrites().filter(isEvent);
  return (castIds) => events.filter(({ sent }) => castIds.includes(sent.castId)).map(({ sent }) => sent.event);
}

/** Ways to settle what the server refused after it had waited. */
export function useSettle() {
  const client = useQueryClient();
  const forget = useForget();
  const send = ({ sent, kind }: OwnWrite) => sendOrWait(client, [kind], sent);
  return {
    /** Sends writes again, in their order; `before`: an event that is undone first. @throws ProblemFailure */
    again: async (writes: readonly OwnWrite[], before?: { readonly castId: string; readonly event: string }) => {
      if (before) await appendEvent(client, { castId: before.castId, event: { id: uuid(), at: Date.now(), type: 'voided', event: before.event } });
      for (const write of writes) {
        await send(write);
        forget([write.id]);
      }
    },
    /** Lets writes go. */
    drop: async (writes: readonly OwnWrite[]) => {
      forget(writes.map(({ id }) => id));
      for (const write of writes) if (isPhoto(write)) await dropPhoto(write.sent.photoId);
    },
  }; // prettier-ignore
}
