import { queryOptions } from '@tanstack/react-query';
import type { PatternRevisionView, PatternSheetInput, PatternView } from '@dewpot/contract';
import { ask } from './client';
import { useLast, useWrite, type Put } from './writes';

export const patternQuery = (id: string) =>
  queryOptions({
    queryKey: ['patterns', id],
    queryFn: ({ signal }) => ask<PatternView>('GET', `patterns/${id}`, undefined, signal),
  });

export const patternRevisionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['patterns', id, 'revisions'],
    queryFn: ({ signal }) => ask<PatternRevisionView[]>('GET', `patterns/${id}/revisions`, undefined, signal),
  });

export const useSavePattern = () =>
  useWrite(({ id, input }: Put<PatternSheetInput>) => ask<PatternView>('PUT', `patterns/${id}`, input), 'patterns');
export const useRemovePattern = () => useLast((id: string) => ask<void>('DELETE', `patterns/${id}`), 'patterns');
