import { useState } from 'react';
import type { FieldIssue } from '@dewpot/core';
import type { ImportView } from '@dewpot/contract';
import { toast } from 'sonner';
import { useBringMixes } from '../api/work';
import { Dialog } from '../ui/dialog';
import { FileButton } from '../ui/file-button';
import { saveFile } from '../ui/save-file';
import { Failure } from '../ui/states';
import { materialsCsv, mixesCsv, mixesJson, readMixes } from './mix-files';
import type { MixSources } from './use-mix-sources';

const CSV = 'text/csv;charset=utf-8';
const does = { new: 'new', changed: 'changes', same: 'stays as it is' } as const;

/** Mixes and materials out to a file, and in from one: first what would change, then all of it or nothing. */
export function MixFiles({ sources: { mixes, stores } }: { sources: MixSources }) {
  const bring = useBringMixes();
  const [issues, setIssues] = useState<readonly FieldIssue[]>([]);
  const [said, setSaid] = useState<{ readonly file: unknown; readonly view: ImportView }>();
  const read = async (chosen: File) => {
    bring.reset();
    const found = readMixes(await chosen.text());
    setIssues('issues' in found ? found.issues : []);
    if ('file' in found)
      bring.mutate({ file: found.file, dry: true }, { onSuccess: (view) => setSaid({ file: found.file, view }) });
  };
  const out = (label: string, name: string, content: () => string, type: string) => (
    <button type="button" className="btn btn-ghost h-11" onClick={() => saveFile(name, content(), type)}>
      {label}
    </button>
  );
  return (
    <section aria-label="Files" className="mt-4">
      <div className="flex flex-wrap gap-2">
        {out('All as JSON', 'mixes.json', () => mixesJson(mixes, stores.materials), 'application/json')}
        {out('Mixes as CSV', 'mixes.csv', () => mixesCsv(mixes, stores.materials), CSV)}
        {out('Materials as CSV', 'materials.csv', () => materialsCsv(stores.materials), CSV)}
        <FileButton
          className="btn-ghost h-11"
          label="A file of mixes or materials"
          accept=".json,.csv,application/json,text/csv"
          onFile={read}
        >
          Read mixes from a file
        </FileButton>
      </div>
      {issues.length > 0 && (
        <ul role="alert" className="border-error mt-2 border-l-4 pl-3">
          {issues.slice(0, 20).map(({ field, message, remedy }) => (
            <li key={field}>
              {message} <span className="quiet">{remedy}</span>
            </li>
          ))}
        </ul>
      )}
      {!said && <Failure error={bring.error} />}
      {said && (
        <WhatChanges
          view={said.view}
          busy={bring.isPending}
          error={bring.error}
          onTake={() =>
            bring.mutate(
              { file: said.file, dry: false },
              {
                onSuccess: ({ things }) => {
                  setSaid(undefined);
                  toast.success(`${things.filter((one) => one.does !== 'same').length} taken in.`);
                },
              },
            )
          }
          onClose={() => setSaid(undefined)}
        />
      )}
    </section>
  );
}

/** What a file would change, before anything is. */
function WhatChanges({
  view: { things },
  busy,
  error,
  onTake,
  onClose,
}: {
  view: ImportView;
  busy: boolean;
  error: unknown;
  onTake: () => void;
  onClose: () => void;
}) {
  const changing = things.filter((one) => one.does !== 'same');
  return (
    <Dialog title="What this file would change" onClose={onClose}>
      <ul className="divide-base-300 max-h-96 divide-y overflow-y-auto">
        {things.map(({ kind, name, does: what, differences }) => (
          <li key={`${kind} ${name}`} className="py-1.5">
            <strong>{name}</strong> <span className="quiet">{kind},</span> {does[what]}
            <ul className="text-sm">
              {differences.map(({ what: field, before, after }) => (
                <li key={field}>
                  {field}: {before} → <strong>{after}</strong>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      <Failure error={error} />
      <button
        type="button"
        className="btn btn-primary mt-3 h-14 w-full"
        disabled={busy || changing.length === 0}
        onClick={onTake}
      >
        {changing.length === 0 ? 'Nothing would change' : busy ? 'Taking it in…' : `Take ${changing.length} in`}
      </button>
    </Dialog>
  );
}
