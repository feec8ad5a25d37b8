import { queryOptions, useMutation, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type {
  ImportView,
  LotInput,
  MaterialInput,
  MixEditionView,
  MixInput,
  MixView,
  MouldInput,
  MouldView,
  PourFinish,
  PourInput,
  PourView,
  ScoopInput,
  StoresView,
} from '@dewpot/contract';
import { ask } from './client';

export const mouldsQuery = queryOptions({
  queryKey: ['moulds'],
  queryFn: ({ signal }) => ask<MouldView[]>('GET', 'moulds', undefined, signal),
});
export const mixesQuery = queryOptions({
  queryKey: ['mixes'],
  queryFn: ({ signal }) => ask<MixView[]>('GET', 'mixes', undefined, signal),
});
export const mixEditionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['mixes', id, 'editions'],
    queryFn: ({ signal }) => ask<MixEditionView[]>('GET', `mixes/${id}/editions`, undefined, signal),
  });
export const storesQuery = queryOptions({
  queryKey: ['stores'],
  queryFn: ({ signal }) => ask<StoresView>('GET', 'stores', undefined, signal),
});
export const poursQuery = queryOptions({
  queryKey: ['pours'],
  queryFn: ({ signal }) => ask<PourView[]>('GET', 'pours', undefined, signal),
});

export interface Put<T> {
  readonly id: string;
  readonly input: T;
}

function useWriteThen<Given, Answer>(
  send: (given: Given) => Promise<Answer>,
  then: (client: QueryClient) => Promise<unknown> | void,
) {
  const client = useQueryClient();
  return useMutation({ mutationFn: send, onSuccess: () => then(client) });
}

const readAgain = (client: QueryClient, lists: readonly string[]) =>
  Promise.all(lists.map((list) => client.invalidateQueries({ queryKey: [list] })));

/** A write that is done when the named lists were read again: the screen shows what is saved. */
export const useWrite = <Given, Answer>(send: (given: Given) => Promise<Answer>, ...lists: string[]) =>
  useWriteThen(send, (client) => readAgain(client, lists));

/** A write after which one leaves the screen: it is done at once, and the lists are read again behind it. */
export const useLast = <Given, Answer>(send: (given: Given) => Promise<Answer>, ...lists: string[]) =>
  useWriteThen(send, (client) => void readAgain(client, lists));

export const useSaveMould = () =>
  useWrite(({ id, input }: Put<MouldInput>) => ask<MouldView>('PUT', `moulds/${id}`, input), 'moulds');
export const useRemoveMould = () => useLast((id: string) => ask<void>('DELETE', `moulds/${id}`), 'moulds');
export const useSaveMix = () =>
  useWrite(({ id, input }: Put<MixInput>) => ask<MixView>('PUT', `mixes/${id}`, input), 'mixes');
export const useRemoveMix = () => useLast((id: string) => ask<void>('DELETE', `mixes/${id}`), 'mixes');
/** Brings a file of mixes in, or with `dry` only asks what it would change. The server judges what is in it. */
export const useBringMixes = () =>
  useWrite(
    ({ file, dry }: { file: unknown; dry: boolean }) => ask<ImportView>('POST', 'mixes/import', { file, dry }),
    'mixes',
    'stores',
  );
export const useSavePour = () =>
  useWrite(({ id, input }: Put<PourInput>) => ask<PourView>('PUT', `pours/${id}`, input), 'pours');
export const useRemovePour = () => useLast((id: string) => ask<void>('DELETE', `pours/${id}`), 'pours');
export const useStartPour = () => useWrite((id: string) => ask<PourView>('POST', `pours/${id}/start`), 'pours');
export const useFinishPour = () =>
  useLast(
    ({ id, input }: Put<PourFinish>) => ask<PourView>('POST', `pours/${id}/finish`, input),
    'pours',
    'casts',
    'stores',
    'moulds',
    'mixes',
  );
export const useUndoPour = () =>
  useWrite((id: string) => ask<PourView>('POST', `pours/${id}/undo`), 'pours', 'casts', 'stores', 'moulds', 'mixes');

/** Saves something of the stores: a material, a lot or a scoop. */
export const useSaveStore = () =>
  useWrite(
    ({ id, kind, input }: Put<MaterialInput | LotInput | ScoopInput> & { kind: 'materials' | 'lots' | 'scoops' }) =>
      ask<unknown>('PUT', `stores/${kind}/${id}`, input),
    'stores',
  );
export const useRemoveStore = () =>
  useWrite(
    ({ id, kind }: { id: string; kind: 'materials' | 'lots' | 'scoops' }) =>
      ask<void>('DELETE', `stores/${kind}/${id}`),
    'stores',
  );
