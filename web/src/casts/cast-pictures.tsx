import { useSendCastPicture } from '../api/cast-writes';
import { Camera } from 'lucide-react';
import type { CastPictureView } from '@dewpot/contract';
import { castPictureAddress, useRemoveCastPicture } from '../api/pictures';
import { FileButton } from '../ui/file-button';
import { PhotoThumb } from '../ui/photo-thumb';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';

/** A button that takes a photo of what happened. */
export function PhotoButton({ castId, eventId, of }: { castId: string; eventId: string; of: string }) {
  const say = useSay();
  const add = useSendCastPicture();
  return (
    <>
      <FileButton
        needs="helper"
        accept="image/*"
        label={say('casts.photoOf', { of })}
        look="plain"
        size="low"
        className="w-11 p-0"
        onFile={async (file) => void (await add.mutateAsync({ castId, file, eventId }).catch(() => undefined))}
      >
        <Camera size={18} aria-hidden="true" />
        <span className="sr-only">{say('casts.photoTitled', { of })}</span>
      </FileButton>
      <Failure error={add.error} />
    </>
  );
}

/** Photos that belong to an event. */
export function EventPictures({ castId, pictures }: { castId: string; pictures: readonly CastPictureView[] }) {
  const say = useSay();
  const remove = useRemoveCastPicture(castId);
  if (pictures.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-2">
      {pictures.map(({ id, width, height }) => (
        <PhotoThumb
          key={id}
          address={(size) => castPictureAddress(id, size)}
          alt={say('casts.photoOfCast')}
          {...{ width, height }}
          needs="helper"
          remove={say('casts.deletePhoto')}
          ask={say('casts.deletePhotoAsk')}
          onRemove={() => remove.mutate(id)}
        />
      ))}
    </ul>
  );
}
