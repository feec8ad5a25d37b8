import { setTimeout as delay } from 'node:timers/promises';
import { Logger } from '@nestjs/common';
import type PgBoss from 'pg-boss';

/** Jobs that are taken up together. */
const AT_ONCE = 100;
/** How soon a job is found that nobody told of, ms. */
const LOOKS = 5_000;

/**
 * Takes the jobs of one queue up and says how each ended. pg-boss has workers of its own, but this release does not wait for
 * the database to hear how a job ended: a connection that breaks just then would end the server.
 */
export class Worker {
  private readonly log = new Logger(Worker.name);
  private pause = new AbortController();
  private stopping = false;
  private running: Promise<void> = Promise.resolve();

  /** `work` is given what the jobs were told. It may be given the same twice. */
  constructor(
    private readonly boss: PgBoss,
    private readonly queue: string,
    private readonly work: (told: readonly unknown[]) => Promise<void>,
  ) {}

  start(): void {
    this.running = this.run();
  }

  /** Has it look at once. */
  wake(): void {
    this.pause.abort();
  }

  /** Ends after what is being done. */
  async stop(): Promise<void> {
    this.stopping = true;
    this.wake();
    await this.running;
  }

  private async run(): Promise<void> {
    while (!this.stopping) {
      // Whoever wakes it from here on has it look once more.
      this.pause = new AbortController();
      try {
        await this.takeUp();
      } catch (error) {
        // Nothing is lost: a job that nobody ended is taken up again when its time is over.
        this.log.warn(`Jobs of ${this.queue} wait: ${String(error)}`);
      }
      await delay(LOOKS, undefined, { signal: this.pause.signal }).catch(() => undefined);
    }
  }

  private async takeUp(): Promise<void> {
    const jobs = await this.boss.fetch(this.queue, { batchSize: AT_ONCE });
    if (!jobs.length) return;
    if (jobs.length === AT_ONCE) this.wake();
    const ids = jobs.map(({ id }) => id);
    try {
      await this.work(jobs.map(({ data }) => data));
    } catch (error) {
      this.log.warn(`A job of ${this.queue} failed: ${String(error)}`);
      const message = error instanceof Error ? error.message : String(error);
      for (const id of ids) await this.boss.fail(this.queue, id, { message });
      return;
    }
    await this.boss.complete(this.queue, ids);
  }
}
