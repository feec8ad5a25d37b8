import { Camera, X } from 'lucide-react';
import type { CastPictureView } from '@dewpot/contract';
import { castPictureAddress, useSendCastPicture, useRemoveCastPicture } from '../api/pictures';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';

/** A button that takes a photo of what happened. */
export function PhotoButton({ castId, eventId, of }: { castId: string; eventId: string; of: string }) {
  const say = useSay();
  const add = useSendCastPicture();
  return (
    <>
      <FileButton
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
        <li key={id} className="relative">
          <a href={castPictureAddress(id)} target="_blank" rel="noreferrer">
            <img
              src={castPictureAddress(id)}
              alt={say('casts.photoOfCast')}
              width={width}
              height={height}
              loading="lazy"
              className="h-24 w-auto"
            />
          </a>
          <Button
            look="plain"
            size="low"
            className="bg-base-100/80 absolute top-0 right-0 w-11 p-0"
            aria-label={say('casts.deletePhoto')}
            onClick={() => window.confirm(say('casts.deletePhotoAsk')) && remove.mutate(id)}
          >
            <X size={16} aria-hidden="true" />
          </Button>
        </li>
      ))}
    </ul>
  );
}
