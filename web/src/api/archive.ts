import { useRef, useState } from 'react';
import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { ArchiveOutline, ArchiveReport } from '@dewpot/contract';
import { ask, fetchFile, sendFile, type OnTheWay } from './client';

/** What an archive of the workshop would hold. */
export const archiveOutlineQuery = queryOptions({
  queryKey: ['archive'],
  queryFn: ({ signal }) => ask<ArchiveOutline>('GET', 'archive/outline', undefined, signal),
});

/** Something large that goes one way or the other: how far it is, and a way to stop it. */
function useTransfer<Given, Got>(work: (given: Given, way: OnTheWay) => Promise<Got>, done: (got: Got) => void) {
  const [bytes, setBytes] = useState(0);
  const stop = useRef<AbortController>(null);
  const transfer = useMutation({
    mutationFn: async (given: Given) => {
      stop.current = new AbortController();
      setBytes(0);
      return work(given, { onBytes: setBytes, signal: stop.current.signal });
    },
    retry: false,
    onSuccess: done,
  });
  const { error } = transfer;
  return {
    start: transfer.mutate,
    running: transfer.isPending,
    bytes,
    stop: () => stop.current?.abort(),
    // Whoever stopped it knows.
    error: error instanceof DOMException && error.name === 'AbortError' ? null : error,
    got: transfer.data,
    reset: transfer.reset,
  };
}

/** Takes the whole workshop out; `keep` is given the file and its name. */
export const useTakeArchive = (keep: (file: Blob, name: string) => void) =>
  useTransfer(
    (_: undefined, way) => fetchFile('archive', way),
    ({ file, name }) => keep(file, name),
  );

/** Asks what reading an archive in would do. */
export const useCheckArchive = () =>
  useTransfer(
    (file: File, way) => sendFile<ArchiveReport>('archive/check', file, way),
    () => undefined,
  );

/** Reads an archive in: whatever was known of the workshop is asked for again. */
export function useReadArchive() {
  const client = useQueryClient();
  return useTransfer(
    (file: File, way) => sendFile<ArchiveReport>('archive/import', file, way),
    () => void client.invalidateQueries(),
  );
}
