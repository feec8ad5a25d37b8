import { useId, useRef } from 'react';
import type { PictureView } from '@dewpot/contract';
import { ImagePlus, X } from 'lucide-react';
import { pictureAddress, useAddPicture, useRemovePicture } from '../api/pictures';
import { Button } from '../ui/button';
import { Failure } from '../ui/states';

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
  const field = useId();
  return (
    <section className="card-slab" aria-label="Notes and pictures">
      <label htmlFor={field} className="mb-1 block text-xl">
        Notes
      </label>
      <textarea
        id={field}
        className="textarea textarea-bordered w-full"
        rows={3}
        maxLength={4000}
        value={notes}
        onChange={(event) => onNotes(event.target.value)}
      />
      {id ? (
        <Pictures id={id} pictures={pictures} />
      ) : (
        <p className="quiet mt-2 text-sm">Save the mould first, then add pictures.</p>
      )}
    </section>
  );
}

function Pictures({ id, pictures }: { id: string; pictures: readonly PictureView[] }) {
  const input = useRef<HTMLInputElement>(null);
  const add = useAddPicture(id);
  const remove = useRemovePicture();
  return (
    <div className="mt-3">
      <ul className="flex flex-wrap gap-2">
        {pictures.map((picture) => (
          <li key={picture.id} className="relative">
            <a href={pictureAddress(picture.id)} target="_blank" rel="noreferrer">
              <img
                src={pictureAddress(picture.id)}
                alt={picture.caption || 'A picture of the mould'}
                width={picture.width}
                height={picture.height}
                loading="lazy"
                className="h-24 w-auto"
              />
            </a>
            <Button
              look="plain"
              size="low"
              className="bg-base-100/80 absolute top-0 right-0 w-11 p-0"
              aria-label={`Delete the picture ${picture.caption}`}
              onClick={() => window.confirm('Delete this picture?') && remove.mutate(picture.id)}
            >
              <X size={16} aria-hidden="true" />
            </Button>
          </li>
        ))}
      </ul>
      <input
        ref={input}
        type="file"
        accept="image/*"
        className="sr-only"
        aria-label="A picture of the mould"
        tabIndex={-1}
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) add.mutate({ file, caption: file.name.replace(/\.[^.]*$/, '') });
        }}
      />
      <Button size="low" className="mt-2" disabled={add.isPending} onClick={() => input.current?.click()}>
        <ImagePlus size={16} aria-hidden="true" /> {add.isPending ? 'Sending…' : 'Add a picture'}
      </Button>
      <Failure error={add.error ?? remove.error} />
    </div>
  );
}
