import { del, delMany, get, keys, set } from 'idb-keyval';
import { v7 as uuid } from 'uuid';

/** Longest side of a photo as it is sent, px: the server keeps no larger ones. */
const LONGEST = 1600;
const QUALITY = 0.85;

const nameOf = (id: string) => `photo ${id}`;

/** Where the browser keeps nothing, as in a private window, photos wait in this page alone. */
const here = new Map<string, Blob>();

/** A photo no larger than it is kept in the end, upright. A file that this browser cannot draw goes as it is: the server may know it. */
async function smaller(file: Blob): Promise<Blob> {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale));
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const drawn = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
    return drawn.size < file.size ? drawn : file;
  } catch {
    // What it is, and whether it is one at all, the server tells.
    return file;
  }
}

/** Keeps a photo until it is sent; answers under which key. */
export async function keepPhoto(file: Blob): Promise<string> {
  const id = uuid();
  const photo = await smaller(file);
  await set(nameOf(id), photo).catch(() => here.set(id, photo));
  return id;
}

/** A photo that waits. @throws Error where the browser lost it */
export async function keptPhoto(id: string): Promise<Blob> {
  const photo = here.get(id) ?? (await get<Blob>(nameOf(id)));
  if (!photo) throw new Error(`The browser kept no photo ${id}.`);
  return photo;
}

/** Deletes a photo that was sent, or is not to be. */
export async function dropPhoto(id: string): Promise<void> {
  here.delete(id);
  await del(nameOf(id)).catch(() => undefined);
}

/** Where the application shell keeps small photos for a time without connection. */
const SHOWN = 'photos';

/** Deletes all photos that this browser keeps: those that wait, and those that were shown. */
export async function dropPhotos(): Promise<void> {
  here.clear();
  await delMany((await keys<string>()).filter((key) => key.startsWith(nameOf(''))));
  if ('caches' in window) await caches.delete(SHOWN);
}
