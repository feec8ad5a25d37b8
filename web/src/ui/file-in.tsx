import { useState } from 'react';
import type { FieldIssue } from '@dewpot/core/units';
import type { ImportView } from '@dewpot/contract';
import type { UseMutationResult } from '@tanstack/react-query';
import { toast } from './toast';
import { FileButton } from './file-button';
import { Failure } from './states';
import { WhatChanges } from './import-preview';
import { useSay } from './say';

/** What a file holds as far as it can be told here, or what is wrong with it. */
export type ReadFile = { readonly file: unknown } | { readonly issues: readonly FieldIssue[] };

/** Most things wrong that are listed at once. */
const MOST_ISSUES = 20;

/** Brings a file in: first what would change, then all of it or nothing. */
export function FileIn({
  label,
  accept,
  read,
  bring,
  children,
}: {
  /** What is chosen, for whoever hears it. */
  label: string;
  accept: string;
  read: (text: string, name: string) => ReadFile;
  bring: UseMutationResult<ImportView, Error, { file: unknown; dry: boolean }>;
  children: string;
}) {
  const say = useSay();
  const [issues, setIssues] = useState<readonly FieldIssue[]>([]);
  const [said, setSaid] = useState<{ readonly file: unknown; readonly view: ImportView }>();
  const open = async (chosen: File) => {
    bring.reset();
    const found = read(await chosen.text(), chosen.name);
    setIssues('issues' in found ? found.issues : []);
    if ('file' in found)
      bring.mutate({ file: found.file, dry: true }, { onSuccess: (view) => setSaid({ file: found.file, view }) });
  };
  const take = (file: unknown) =>
    bring.mutate(
      { file, dry: false },
      {
        onSuccess: ({ things }) => {
          setSaid(undefined);
          toast.success(say('ui.takenIn', { length: things.filter((one) => one.does !== 'same').length }));
        },
      },
    );
  return (
    <>
      <FileButton look="plain" size="low" label={label} accept={accept} onFile={open}>
        {children}
      </FileButton>
      {issues.length > 0 && (
        <ul role="alert" className="border-error mt-2 w-full border-l-4 pl-3">
          {issues.slice(0, MOST_ISSUES).map(({ field, message, remedy }) => (
            <li key={field}>
              {say(message)} <span className="quiet">{say(remedy)}</span>
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
          onTake={() => take(said.file)}
          onClose={() => setSaid(undefined)}
        />
      )}
    </>
  );
}
