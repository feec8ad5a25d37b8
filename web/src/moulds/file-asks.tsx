import type { DragEvent } from 'react';
import { identity } from '@dewpot/core/units';
import { MeshAsk } from './mesh-ask';
import { OutlineAsk } from './outline-ask';
import { PhotoAsk } from './photo-ask';
import type { Start } from './starts';
import type { FileReading } from './use-file-reading';
import { Button } from '../ui/button';
import { useSay } from '../ui/say';

/** What makes an element take a file that is dropped on it. */
export const takesDrop = (open: (file: File) => Promise<void>) => ({
  onDragOver: (event: DragEvent) => event.preventDefault(),
  onDrop: (event: DragEvent) => {
    event.preventDefault();
    const [file] = event.dataTransfer.files;
    if (file) void open(file);
  },
});

/** How far the reading of a file is, what is wrong with it, and what is asked of it. */
export function FileAsks({
  reading: { asked, work, close },
  onStart,
}: {
  reading: FileReading;
  onStart: (start: Start) => void;
}) {
  const say = useSay();
  return (
    <>
      {work.done !== undefined && (
        <div className="mx-auto mt-3 flex w-full max-w-md items-center gap-3">
          <progress className="progress flex-1" value={work.done} max={1} aria-label={say('moulds.readingFile')} />
          <Button look="plain" size="low" onClick={work.stop}>
            {say('moulds.stop')}
          </Button>
        </div>
      )}
      {work.issues.length > 0 && (
        <ul role="alert" className="border-error bg-base-100 mt-3 border-l-4 p-3">
          {work.issues.map(({ message, remedy }) => (
            <li key={identity(message)}>
              {say(message)} <span className="quiet">{say(remedy)}</span>
            </li>
          ))}
        </ul>
      )}
      {asked?.kind === 'mesh' && (
        <MeshAsk key={asked.id} name={asked.name} first={asked.first} work={work} onStart={onStart} />
      )}
      {asked?.kind === 'outline' && (
        <OutlineAsk key={asked.id} name={asked.name} reading={asked.reading} onStart={onStart} />
      )}
      {asked?.kind === 'photo' && (
        <PhotoAsk key={asked.id} name={asked.name} file={asked.file} work={work} onStart={onStart} />
      )}
      {(asked !== undefined || work.issues.length > 0) && (
        <Button look="plain" size="low" className="mt-2" onClick={close}>
          {say('moulds.putFileAway')}
        </Button>
      )}
    </>
  );
}
