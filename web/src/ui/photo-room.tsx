import { fixed } from '@dewpot/core/units';
import { useQuery } from '@tanstack/react-query';
import { photoRoomQuery } from '../api/pictures';
import { useSay } from './say';

const MB = 2 ** 20;
/** The share from which on a workshop is told that its room runs out. */
const NEARLY = 0.8;

/** What photos take and may take, MB as they are told, and whether that is nearly all. */
export function usePhotoRoom() {
  const { data, error } = useQuery(photoRoomQuery);
  const { photos = 0, bytes = 0, most = 1 } = data ?? {};
  return { told: { photos, mb: fixed(bytes / MB, 0), most: fixed(most / MB, 0) }, share: bytes / most, nearly: bytes >= most * NEARLY, error, known: data !== undefined }; // prettier-ignore
}

/** Says that the room for photos runs out, while there still is some. */
export function PhotoRoomNote() {
  const say = useSay();
  const { nearly, told } = usePhotoRoom();
  return nearly && <p className="border-warning border-l-4 pl-3 text-sm">{say('casts.photosNearlyFull', told)}</p>;
}
