import { useState } from 'react';
import type { OutlineReading } from '@dewpot/core/meshes';
import { v7 as uuid } from 'uuid';
import type { FirstReading } from '../workers/files.worker';
import { useFileWork, type Work } from '../workers/use-file-work';

/** What was read of a file, waiting for what only a person knows. */
type FileQuestion = { readonly id: string; readonly name: string } & (
  | { readonly kind: 'mesh'; readonly first: FirstReading }
  | { readonly kind: 'outline'; readonly reading: OutlineReading }
  | { readonly kind: 'photo'; readonly file: File }
);

/** A file on its way to a mould. */
export interface FileReading {
  readonly asked: FileQuestion | undefined;
  readonly work: Work;
  readonly open: (file: File) => Promise<void>;
  /** Lets go of the file and of what was read of it. */
  readonly close: () => void;
}

const bare = (name: string) => name.replace(/\.[^.]*$/, '');

/** Reads a mesh, an outline or a photo, told apart by its name and type. */
export function useFileReading(): FileReading {
  const [asked, setAsked] = useState<FileQuestion>();
  const work = useFileWork();
  const close = () => {
    work.stop();
    setAsked(undefined);
  };
  const open = async (file: File) => {
    close();
    const own = { id: uuid(), name: bare(file.name) };
    if (file.type.startsWith('image/') && !file.type.includes('svg')) return setAsked({ kind: 'photo', ...own, file });
    if (/\.(svg|dxf)$/i.test(file.name)) {
      const text = await file.text();
      const reading = await work.run<OutlineReading>((files) => files.outlines(text));
      if (reading) setAsked({ kind: 'outline', ...own, reading });
      return;
    }
    const first = await work.run<FirstReading>((files, progress) => files.read(file, progress));
    if (first) setAsked({ kind: 'mesh', ...own, first });
  };
  return { asked, work, open, close };
}
