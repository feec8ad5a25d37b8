import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { runOf, type Run, type RunEvent, type RunEventBody } from '@dewpot/core/bench';
import type { RunView } from '@dewpot/contract';
import { queryOptions, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { get, set } from 'idb-keyval';
import { v7 as uuid } from 'uuid';
import { ask, Unreachable } from './client';
import { hear } from './stream';

/** How often another device's steps are looked for while there is no stream of them, and how soon what could not be sent is sent again, ms. */
const LOOK = 2500;
const AGAIN = 2000;

const runQuery = (pourId: string) =>
  queryOptions({
    queryKey: ['pours', pourId, 'run'],
    queryFn: ({ signal }) => ask<RunView>('GET', `pours/${pourId}/run`, undefined, signal),
    staleTime: 0,
  });

/** Keeps a run as it was told; one that was told late does not put back what is known already. */
function keepRun(client: QueryClient, pourId: string, view: RunView): void {
  client.setQueryData(runQuery(pourId).queryKey, (known) =>
    known && known.events.length > view.events.length ? known : view,
  );
}

/** Hears a run as it goes; answers whether the stream is up. */
function useRunStream(pourId: string, client: QueryClient): boolean {
  const [up, setUp] = useState(false);
  useEffect(() => {
    const message = (data: string) => {
      setUp(true);
      keepRun(client, pourId, JSON.parse(data) as RunView);
    };
    return hear(`pours/${pourId}/run/stream`, { message, down: () => setUp(false) });
  }, [pourId, client]);
  return up;
}

/** What waits in a queue, and why. */
interface Queued {
  readonly waiting: readonly RunEvent[];
  readonly refused: Error | undefined;
  /** The server did not answer when it was last asked. */
  readonly away: boolean;
}

/** What the browser keeps of a run: what the server had of it when it last answered, and what it has not got yet. */
interface KeptRun {
  readonly answered: RunView | undefined;
  readonly waiting: readonly RunEvent[];
}

/**
 * What this device saw at the bench and has not got rid of yet: kept in the browser, sent in order, each once.
 * It is kept together with the server's last answer, so that a page opened again without a connection misses no step.
 */
class RunQueue {
  private answered: RunView | undefined;
  private waiting: readonly RunEvent[] = [];
  private refused: Error | undefined;
  private away = false;
  private told: Queued = { waiting: [], refused: undefined, away: false };
  private readonly listeners = new Set<() => void>();
  private readonly read: Promise<void>;
  private sending = false;

  constructor(
    private readonly pourId: string,
    private readonly client: QueryClient,
  ) {
    this.read = this.keptBefore().then((kept) => {
      if (kept?.answered) this.answer(kept.answered);
      if (kept && kept.waiting.length > 0) this.change([...kept.waiting, ...this.waiting]);
      void this.send();
    });
  }

  private get key() {
    return `run ${this.pourId}`;
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  state = () => this.told;

  add(events: readonly RunEvent[]) {
    this.change([...this.waiting, ...events]);
    void this.send();
  }

  /** Lets go of what the server refused. */
  forget() {
    this.refused = undefined;
    this.change([]);
  }

  private answer(view: RunView) {
    this.answered = view;
    keepRun(this.client, this.pourId, view);
  }

  private async keptBefore(): Promise<KeptRun | undefined> {
    try {
      return await get<KeptRun>(this.key);
    } catch {
      // A private window keeps nothing: what waits then waits in this page alone.
      return undefined;
    }
  }

  private change(waiting: readonly RunEvent[]) {
    this.waiting = waiting;
    this.told = { waiting, refused: this.refused, away: this.away };
    this.listeners.forEach((listener) => listener());
    void this.read
      .then(() => set(this.key, { answered: this.answered, waiting: this.waiting } satisfies KeptRun))
      .catch(() => undefined);
  }

  private async send(): Promise<void> {
    await this.read;
    if (this.sending || this.refused || this.waiting.length === 0) return;
    this.sending = true;
    const events = this.waiting;
    try {
      this.answer(await ask<RunView>('POST', `pours/${this.pourId}/run`, { events }));
      this.away = false;
      this.change(this.waiting.slice(events.length));
    } catch (error) {
      this.away = error instanceof Unreachable;
      if (!this.away) this.refused = error as Error;
      this.change(this.waiting);
    }
    this.sending = false;
    if (this.waiting.length > 0 && !this.refused) {
      const pause = this.waiting.length === events.length ? AGAIN : 0;
      setTimeout(() => void this.send(), pause);
    }
  }
}

const queues = new Map<string, RunQueue>();

function queueOf(pourId: string, client: QueryClient): RunQueue {
  const queue = queues.get(pourId) ?? new RunQueue(pourId, client);
  queues.set(pourId, queue);
  return queue;
}

/** A pour's run as this device knows it: what the server has, and what is still to be sent. */
export interface RunAtHand {
  /** Undefined until it was read once. */
  readonly run: Run | undefined;
  /** Events that wait for the server to answer again. */
  readonly waiting: number;
  /** Why the server will not have them. */
  readonly refused: Error | undefined;
  readonly error: Error | null;
  readonly record: (...eventBodies: readonly RunEventBody[]) => void;
  readonly forget: () => void;
}

/** A pour's run: heard as it goes, for another device may be at it too. */
export function useRun(pourId: string): RunAtHand {
  const client = useQueryClient();
  const queue = queueOf(pourId, client);
  const { waiting, refused, away } = useSyncExternalStore(queue.subscribe, queue.state);
  const heard = useRunStream(pourId, client);
  const { data, error } = useQuery({ ...runQuery(pourId), refetchInterval: heard ? false : LOOK });
  const run = useMemo(
    () => (data || waiting.length > 0 ? runOf([...(data?.events ?? []), ...waiting]) : undefined),
    [data, waiting],
  );
  useEffect(() => {
    // What is waiting must not be lost with the tab unseen.
    const warn = (event: BeforeUnloadEvent) => refused && event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [refused]);
  return {
    run,
    waiting: away || refused ? waiting.length : 0,
    refused,
    error,
    record: (...eventBodies) => {
      const at = Date.now();
      queue.add(eventBodies.map((eventBody) => ({ ...eventBody, id: uuid(), at })));
    },
    forget: () => queue.forget(),
  };
}
