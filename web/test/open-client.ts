import { QueryClient } from '@tanstack/react-query';
import { nameCastWrites } from '../src/api/cast-writes';
import { retryWrite } from '../src/api/query-client';
import { nameRunWrites } from '../src/api/run-writes';
import { keepOpen } from './open-screens';

/** What a screen of a test remembers and sends: until the test is over, what did not arrive is sent again, and soon. */
export function openClient(): QueryClient {
  const retry = (times: number, error: Error) => !screen.over && retryWrite(times, error);
  const mutations = { retry, retryDelay: 200 };
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations } });
  nameCastWrites(client);
  nameRunWrites(client);
  // Writes that wait for the server as long as it takes end with their test too.
  client.setMutationDefaults([], mutations);
  const screen = { client, over: false };
  keepOpen(screen);
  return client;
}
