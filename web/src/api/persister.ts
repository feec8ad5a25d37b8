import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import type { PersistedClient, Persister } from '@tanstack/react-query-persist-client';
import { del, delMany, get, getMany, keys, set } from 'idb-keyval';
import { dropPhotos } from './kept-photos';
import { currentClient, runWrites, type KeptRun, type KeptWrite } from './kept-client';

const ANSWERS = 'dew-pot';
const WRITES = 'dew-pot-writes';

/** Steps at the bench that an older screen kept apart: taken over as writes that wait. */
async function olderRuns(): Promise<KeptWrite[]> {
  const names = (await keys<string>()).filter((key) => key.startsWith('run '));
  const runs = await getMany<KeptRun>(names);
  await delMany(names);
  return names.flatMap((name, i) => runWrites(name, runs[i]));
}

/** By what was sent a write is known again. */
const sentOf = ({ state }: KeptWrite): unknown => state.variables;

/** Writes that wait, kept by themselves: a new one at once, for a page may close in the second after it. */
class WaitingWrites {
  private kept: readonly KeptWrite[] = [];

  async read(): Promise<readonly KeptWrite[]> {
    this.kept = JSON.parse((await get<string>(WRITES)) ?? '[]') as KeptWrite[];
    return this.kept;
  }

  /** Adds what is not kept yet. */
  async add(waiting: readonly KeptWrite[]): Promise<void> {
    const known = new Set(this.kept.map(sentOf));
    const fresh = waiting.filter((write) => !known.has(sentOf(write)));
    if (fresh.length > 0) await this.keep([...this.kept, ...fresh]);
  }

  /** What is kept, and done by now that these wait. A write that comes later is none of it. */
  doneBy(waiting: readonly KeptWrite[]): ReadonlySet<unknown> {
    const still = new Set(waiting.map(sentOf));
    return new Set(this.kept.map(sentOf).filter((sent) => !still.has(sent)));
  }

  /** Deletes what is done. */
  async settle(done: ReadonlySet<unknown>): Promise<void> {
    if (done.size > 0) await this.keep(this.kept.filter((write) => !done.has(sentOf(write))));
  }

  async keep(waiting: readonly KeptWrite[]): Promise<void> {
    this.kept = waiting;
    await set(WRITES, JSON.stringify(waiting));
  }
}

/**
 * Keeps what was read, and writes that were not sent yet, in the browser. Writes outlive a change of what answers look like.
 * `shape` counts those changes.
 */
export function makePersister(shape: string): Persister {
  const writes = new WaitingWrites();
  // What is done goes once the answers that know of it are kept: sending it again would change nothing, but answers without it would be a step behind.
  const doneBy = new WeakMap<PersistedClient, ReadonlySet<unknown>>();
  let done: ReadonlySet<unknown> = new Set();
  const answers = createAsyncStoragePersister({
    key: ANSWERS,
    storage: {
      getItem: (key) => get<string>(key).then((value) => value ?? null),
      setItem: async (key, value: string) => {
        await set(key, value);
        await writes.settle(done);
      },
      removeItem: del,
    },
    serialize: (client) => {
      done = doneBy.get(client) ?? new Set();
      return JSON.stringify({ ...client, clientState: { ...client.clientState, mutations: [] } });
    },
  });
  return {
    removeClient: async () => {
      await answers.removeClient();
      await writes.keep([]);
      await dropPhotos();
    },
    persistClient: async (client: PersistedClient) => {
      doneBy.set(client, writes.doneBy(client.clientState.mutations));
      // A private window keeps nothing: what waits then waits in this page alone.
      await writes.add(client.clientState.mutations).catch(() => undefined);
      await answers.persistClient(client);
    },
    restoreClient: async () => {
      const [restored, waited, runs] = await Promise.all([answers.restoreClient(), writes.read(), olderRuns()]);
      const kept = restored ?? { timestamp: Date.now(), buster: shape, clientState: { queries: [], mutations: [] } };
      const { queries, mutations } = kept.clientState;
      const all = [...mutations, ...waited, ...runs];
      return currentClient({ ...kept, clientState: { queries, mutations: all } }, shape, Date.now());
    },
  };
}
