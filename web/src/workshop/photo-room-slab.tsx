import { PhotoRoomNote, usePhotoRoom } from '../ui/photo-room';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';

/** How much of its room the photos of the workshop take. */
export function PhotoRoomSlab() {
  const say = useSay();
  const { told, share, error, known } = usePhotoRoom();
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.photoRoom')}>
      <h2 className="text-2xl">{say('workshop.photoRoom')}</h2>
      {known && (
        <>
          <p>{say('workshop.photosTaken', told)}</p>
          <progress className="progress w-full" value={share} max={1} aria-label={say('workshop.photosShare')} />
        </>
      )}
      <PhotoRoomNote />
      <p className="quiet text-sm">{say('workshop.photosHow')}</p>
      <Failure error={error} />
    </section>
  );
}
