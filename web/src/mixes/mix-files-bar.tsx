import { useBringMixes } from '../api/mixes';
import { Button } from '../ui/button';
import { FileIn } from '../ui/file-in';
import { saveFile } from '../ui/save-file';
import { materialsCsv, mixesCsv, mixesJson, readMixes } from './mix-files';
import type { MixSources } from './use-mix-sources';
import { useSay } from '../ui/say';

const CSV = 'text/csv;charset=utf-8';

/** Mixes and materials out to a file, and in from one. */
export function MixFiles({ sources: { mixes, store } }: { sources: MixSources }) {
  const say = useSay();
  const bring = useBringMixes();
  const out = (label: string, name: string, content: () => string, type: string) => (
    <Button look="plain" size="low" onClick={() => saveFile(name, content(), type)}>
      {label}
    </Button>
  );
  return (
    <section aria-label={say('moulds.files')} className="mt-4 flex flex-wrap gap-2">
      {out(say('mixes.allJson'), 'mixes.json', () => mixesJson(mixes, store.materials), 'application/json')}
      {out(say('mixes.mixesCsv'), 'mixes.csv', () => mixesCsv(mixes, store.materials), CSV)}
      {out(say('mixes.materialsCsv'), 'materials.csv', () => materialsCsv(store.materials), CSV)}
      <FileIn
        label={say('mixes.fileOfMixes')}
        accept=".json,.csv,application/json,text/csv"
        read={readMixes}
        bring={bring}
      >
        {say('mixes.readFromFile')}
      </FileIn>
    </section>
  );
}
