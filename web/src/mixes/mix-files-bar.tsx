import { useBringMixes } from '../api/mixes';
import { Button } from '../ui/button';
import { FileIn } from '../ui/file-in';
import { saveFile } from '../ui/save-file';
import { materialsCsv, mixesCsv, mixesJson, readMixes } from './mix-files';
import type { MixSources } from './use-mix-sources';

const CSV = 'text/csv;charset=utf-8';

/** Mixes and materials out to a file, and in from one. */
export function MixFiles({ sources: { mixes, store } }: { sources: MixSources }) {
  const bring = useBringMixes();
  const out = (label: string, name: string, content: () => string, type: string) => (
    <Button look="plain" size="low" onClick={() => saveFile(name, content(), type)}>
      {label}
    </Button>
  );
  return (
    <section aria-label="Files" className="mt-4 flex flex-wrap gap-2">
      {out('All as JSON', 'mixes.json', () => mixesJson(mixes, store.materials), 'application/json')}
      {out('Mixes as CSV', 'mixes.csv', () => mixesCsv(mixes, store.materials), CSV)}
      {out('Materials as CSV', 'materials.csv', () => materialsCsv(store.materials), CSV)}
      <FileIn
        label="A file of mixes or materials"
        accept=".json,.csv,application/json,text/csv"
        read={readMixes}
        bring={bring}
      >
        Read mixes from a file
      </FileIn>
    </section>
  );
}
