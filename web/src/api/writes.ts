import { useMutation, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { refresh } from './refresh';

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

const readAgain = (client: QueryClient, lists: readonly string[]) => refresh(client, ...lists.map((list) => [list]));

/** A write that is done when the named lists were read again: the screen shows what is saved. */
export const useWrite = <Given, Answer>(send: (given: Given) => Promise<Answer>, ...lists: string[]) =>
  useWriteThen(send, (client) => readAgain(client, lists));

/** A write after which one leaves the screen: it is done at once, and the lists are read again behind it. */
export const useLast = <Given, Answer>(send: (given: Given) => Promise<Answer>, ...lists: string[]) =>
  useWriteThen(send, (client) => void readAgain(client, lists));
