import { setTimeout as delay } from 'node:timers/promises';
import { Inject, Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import PgBoss from 'pg-boss';
import type { Subscription } from 'rxjs';
import { CONFIG, type ServerConfig } from '../config.js';
import { appUrl } from '../db/connection.js';
import { PgNotifications } from '../db/pg-notifications.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { JOBS_SCHEMA, type Queues } from './schema.js';
import { Worker } from './worker.js';

/** How often jobs are looked for whose server died, s. */
const MAINTAINS = 10;
/** A job that runs while the server stops is given so long, ms. */
const GRACE = 3_000;

/** Of work that is done one by one, so much goes on at once: one that takes its time keeps few others waiting. */
const AT_ONCE = 5;

type Work<K extends keyof Queues> = (told: readonly Queues[K][]) => Promise<void>;

const topicOf = (queue: string) => `job ${queue}`;

/**
 * Work in the background. A job is asked for in the transaction of what makes it necessary, so that neither is without the other;
 * a server that dies leaves it to the next. The same job may be done twice: each only brings up to date what is there.
 */
@Injectable()
export class Jobs implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly log = new Logger(Jobs.name);
  private readonly boss: PgBoss;
  private readonly works = new Map<keyof Queues, Work<keyof Queues>>();
  private readonly workers: Worker[] = [];
  private readonly heard: Subscription[] = [];
  private started = false;

  constructor(
    @Inject(CONFIG) { ownerUrl }: ServerConfig,
    private readonly rows: WorkshopContext,
    private readonly news: PgNotifications,
  ) {
    this.boss = new PgBoss({
      connectionString: appUrl(ownerUrl),
      schema: JOBS_SCHEMA,
      application_name: 'dewpot jobs',
      max: 2,
      migrate: false,
      schedule: false,
      maintenanceIntervalSeconds: MAINTAINS,
    });
    this.boss.on('error', ({ message }) => this.log.warn(`Jobs wait: ${message}`));
  }

  /** Says who does a kind of work. Jobs that came together are done together. */
  does<K extends keyof Queues>(queue: K, work: Work<K>): void {
    this.works.set(queue, work as Work<keyof Queues>);
  }

  /** Says who does a kind of work one by one: `work` answers why it failed, if it did. Those that failed are tried again later, and with them those that did not. */
  doesEach<K extends keyof Queues>(queue: K, work: (told: Queues[K]) => Promise<string | undefined>): void {
    this.does(queue, async (told) => {
      const errors: (string | undefined)[] = [];
      for (let i = 0; i < told.length; i += AT_ONCE)
        errors.push(...(await Promise.all(told.slice(i, i + AT_ONCE).map((one) => work(one)))));
      const failed = errors.filter((error) => error !== undefined);
      if (failed.length > 0) throw new Error(failed.join('; '));
    });
  }

  /** Asks for work, once the transaction at hand is through. */
  async ask<K extends keyof Queues>(queue: K, told: Queues[K]): Promise<void> {
    const { manager } = this.rows;
    const executeSql = async (text: string, values: unknown[]) => ({
      rows: (await manager.query(text, values)) as unknown[],
    });
    await this.boss.send(queue, { ...told }, { db: { executeSql } });
    await this.news.tell(manager, topicOf(queue));
  }

  async onApplicationBootstrap(): Promise<void> {
    await this.boss.start();
    this.started = true;
    await this.news.listen();
    for (const [queue, work] of this.works) {
      const worker = new Worker(this.boss, queue, (jobs) => work(jobs as Queues[typeof queue][]));
      this.workers.push(worker);
      worker.start();
      this.heard.push(this.news.heard(topicOf(queue)).subscribe(() => worker.wake()));
    }
  }

  async onModuleDestroy(): Promise<void> {
    for (const one of this.heard) one.unsubscribe();
    await Promise.race([Promise.all(this.workers.map((one) => one.stop())), delay(GRACE, undefined, { ref: false })]);
    if (this.started) await this.boss.stop({ graceful: false, wait: true });
  }
}
