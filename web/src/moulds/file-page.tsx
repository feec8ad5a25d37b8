import { useRef, useState, type DragEvent } from 'react';
import type { OutlineReading } from '@dewpot/core';
import { transfer } from 'comlink';
import { FileUp } from 'lucide-react';
import { Link } from 'react-router';
import { PageHead } from '../ui/page-head';
import type { FirstReading } from '../workers/files.worker';
import { MeshAsk } from './mesh-ask';
import { OutlineAsk } from './outline-ask';
import { PhotoAsk } from './photo-ask';
import { useWorker } from './use-worker';

/** What was read of a file, waiting for what only a person knows. */
type Asked =
  | { readonly kind: 'mesh'; readonly name: string; readonly first: FirstReading }
  | { readonly kind: 'outline'; readonly name: string; readonly reading: OutlineReading }
  | { readonly kind: 'photo'; readonly name: string; readonly file: File };

const bare = (name: string) => name.replace(/\.[^.]*$/, '');

/** A mould from a file: a mesh, an outline, or the photo of a leaf. */
export function FilePage() {
  const input = useRef<HTMLInputElement>(null);
  const [asked, setAsked] = useState<Asked>();
  const work = useWorker();

  const open = async (file: File) => {
    work.stop();
    setAsked(undefined);
    const name = bare(file.name);
    if (file.type.startsWith('image/') && !file.type.includes('svg')) return setAsked({ kind: 'photo', name, file });
    if (/\.(svg|dxf)$/i.test(file.name)) {
      const text = await file.text();
      const reading = await work.run<OutlineReading>((files) => files.outlines(text));
      if (reading) setAsked({ kind: 'outline', name, reading });
      return;
    }
    const bytes = new Uint8Array(await file.arrayBuffer());
    const first = await work.run<FirstReading>((files, progress) =>
      files.read(transfer(bytes, [bytes.buffer]), file.name, progress),
    );
    if (first) setAsked({ kind: 'mesh', name, first });
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    const [file] = event.dataTransfer.files;
    if (file) void open(file);
  };
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title="A mould from a file">
        <Link to="/moulds/new" className="btn btn-ghost bg-base-300/60 h-12">
          By what it looks like
        </Link>
      </PageHead>
      <section
        className="card-slab grid place-items-center gap-3 border-dashed p-8 text-center"
        aria-label="Choose a file"
        onDragOver={(event) => event.preventDefault()}
        onDrop={drop}
      >
        <p>
          Drop a mesh (<strong>STL, OBJ, 3MF</strong>), an outline (<strong>SVG, DXF</strong>) or a photo of a leaf or a
          tray here. It stays on this machine.
        </p>
        <button type="button" className="btn btn-primary h-14" onClick={() => input.current?.click()}>
          <FileUp size={18} aria-hidden="true" /> Choose a file
        </button>
        <input
          ref={input}
          type="file"
          accept=".stl,.obj,.3mf,.svg,.dxf,image/*"
          className="sr-only"
          tabIndex={-1}
          aria-label="A mesh, an outline or a photo"
          onChange={({ target }) => {
            const file = target.files?.[0];
            target.value = '';
            if (file) void open(file);
          }}
        />
        {work.done !== undefined && (
          <div className="flex w-full max-w-md items-center gap-3">
            <progress className="progress flex-1" value={work.done} max={1} aria-label="Reading the file" />
            <button type="button" className="btn btn-ghost h-11" onClick={work.stop}>
              Stop
            </button>
          </div>
        )}
      </section>
      {work.issues.length > 0 && (
        <ul role="alert" className="border-error bg-base-100 mt-3 border-l-4 p-3">
          {work.issues.map(({ message, remedy }) => (
            <li key={message}>
              {message} <span className="quiet">{remedy}</span>
            </li>
          ))}
        </ul>
      )}
      {asked?.kind === 'mesh' && <MeshAsk key={asked.name} name={asked.name} first={asked.first} work={work} />}
      {asked?.kind === 'outline' && <OutlineAsk key={asked.name} name={asked.name} reading={asked.reading} />}
      {asked?.kind === 'photo' && <PhotoAsk key={asked.name} name={asked.name} file={asked.file} work={work} />}
    </div>
  );
}
