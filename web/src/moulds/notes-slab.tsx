import { useId, useRef } from 'react';
import type { PictureView } from '@dewpot/contract';
import { ImagePlus } from 'lucide-react';
import { pictureAddress, useAddPicture, useRemovePicture } from '../api/pictures';
import { Button } from '../ui/button';
import { PhotoThumb } from '../ui/photo-thumb';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';

/** Notes and pictures of a mould. Pictures belong to a mould that is kept. */
export function NotesSlab({
  id,
  notes,
  pictures,
  onNotes,
}: {
  /** Key of the mould once it is kept. */
  id: string | undefined;
  notes: string;
  pictures: readonly PictureView[];
  onNotes: (notes: string) => void;
}) {
  const say = useSay();
  const field = useId();
  return (
    <section className="card-slab" aria-label={say('moulds.notesPictures')}>
      <label htmlFor={field} className="mb-1 block text-xl">
        {say('moulds.notes')}
      </label>
      <textarea
        id={field}
        className="textarea textarea-bordered w-full"
        rows={3}
        maxLength={4000}
        value={notes}
        onChange={(event) => onNotes(event.target.value)}
      />
      {id ? <Pictures id={id} pictures={pictures} /> : <p className="quiet mt-2 text-sm">{say('moulds.saveFirst')}</p>}
    </section>
  );
}

function Pictures({ id, pictures }: { id: string; pictures: readonly PictureView[] }) {
  const say = useSay();
  const input = useRef<HTMLInputElement>(null);
  const add = useAddPicture(id);
  const remove = useRemovePicture();
  return (
    <div className="mt-3">
      <ul className="flex flex-wrap gap-2">
        {pictures.map(({ id: picture, caption, width, height }) => (
          <PhotoThumb
            key={picture}
            address={(size) => pictureAddress(picture, size)}
            alt={caption || say('moulds.pictureOfMould')}
            {...{ width, height }}
            needs="caster"
            remove={say('moulds.deletePicture', { caption })}
            ask={say('moulds.deletePictureAsk')}
            onRemove={() => remove.mutate(picture)}
          />
        ))}
      </ul>
      <input
        ref={input}
        type="file"
        accept="image/*"
        className="sr-only"
        aria-label={say('moulds.pictureOfMould')}
        tabIndex={-1}
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) add.mutate({ file, caption: file.name.replace(/\.[^.]*$/, '') });
        }}
      />
      <Button
        needs="caster"
        size="low"
        className="mt-2"
        disabled={add.isPending}
        onClick={() => input.current?.click()}
      >
        <ImagePlus size={16} aria-hidden="true" /> {add.isPending ? say('moulds.sending') : say('moulds.addPicture')}
      </Button>
      <Failure error={add.error ?? remove.error} />
    </div>
  );
}
