import { useMemo } from 'react';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { finderOf, type FindMaterial } from '@dewpot/core/materials';
import type { Mix } from '@dewpot/core/mixes';
import { knownColours, mixColour, type KnownColours } from '@dewpot/core/tints';
import type {
  ChipReading,
  ImportView,
  MixBody,
  StoreView,
  SwatchInput,
  SwatchView,
  TintRevisionView,
  TintInput,
  TintsView,
  TintView,
} from '@dewpot/contract';
import { ask } from './client';
import { storeQuery } from './materials';
import { useLast, useWrite, type Put } from './writes';

export const tintsQuery = queryOptions({
  queryKey: ['tints', 'all'],
  queryFn: ({ signal }) => ask<TintsView>('GET', 'tints/all', undefined, signal),
});
export const tintRevisionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['tints', id, 'revisions'],
    queryFn: ({ signal }) => ask<TintRevisionView[]>('GET', `tints/${id}/revisions`, undefined, signal),
  });

export const useSaveTint = () =>
  useWrite(({ id, input }: Put<TintInput>) => ask<TintView>('PUT', `tints/${id}`, input), 'tints');
export const useRemoveTint = () => useLast((id: string) => ask<void>('DELETE', `tints/${id}`), 'tints');
export const useSaveSwatch = () =>
  useWrite(({ id, input }: Put<SwatchInput>) => ask<SwatchView>('PUT', `swatches/${id}`, input), 'tints');
export const useRemoveSwatch = () => useWrite((id: string) => ask<void>('DELETE', `swatches/${id}`), 'tints');
export const useReadSwatch = () => useWrite((id: string) => ask<ChipReading>('POST', `swatches/${id}/reading`));

/** Brings a file of tints in, or with `dry` only asks what it would change. The server judges what is in it. */
export const useBringTints = () =>
  useWrite(
    ({ file, dry }: { file: unknown; dry: boolean }) => ask<ImportView>('POST', 'tints/import', { file, dry }),
    'tints',
  );

/** The workshop's colours: what it keeps of tints and chips, and what those teach. */
export interface Palette extends TintsView {
  readonly store: StoreView;
  readonly find: FindMaterial;
  readonly colours: KnownColours;
}

/** Tints, chips and store once they are there, with what the chips teach; else what went wrong, if anything did. */
export function usePalette(): { readonly palette?: Palette; readonly error: unknown; readonly isPending: boolean } {
  const [store, tints] = [useQuery(storeQuery), useQuery(tintsQuery)];
  const palette = useMemo(() => {
    if (!store.data || !tints.data) return undefined;
    const find = finderOf(store.data.materials);
    return { ...tints.data, store: store.data, find, colours: knownColours(tints.data.swatches, find) };
  }, [store.data, tints.data]);
  return {
    ...(palette && { palette }),
    error: store.error ?? tints.error,
    isPending: store.isPending || tints.isPending,
  };
}

/** How a mix dries: as it was seen, or as what is known by now makes it. */
export function useMixColour(): (view: Pick<MixBody, 'colour' | 'colourCalculated'>, mix: Mix) => string {
  const { palette } = usePalette();
  return (view, mix) => (palette ? mixColour(view, mix, palette.colours) : view.colour);
}
