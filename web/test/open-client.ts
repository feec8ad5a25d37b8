import { QueryClient } from '@tanstack/react-query';
import { retryWrite } from '../src/api/query-client';
import { keepOpen } from './open-screens';

/** What a screen of a test remembers and sends: until the test is over, what did not arrive is sent again. */
export function openClient(): QueryClient {
  const retry = (times: number, error: Error) => !screen.over && retryWrite(times, error);
  const mutations = { retry, retryDelay: 200 };
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations } });
  const screen = { client, over: false };
  keepOpen(screen);
  return client;
}
