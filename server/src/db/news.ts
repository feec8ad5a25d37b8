import { EventEmitter, once } from 'node:events';
import { Inject, Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import pg from 'pg';
import type { EntityManager } from 'typeorm';
import { CONFIG, type ServerConfig } from '../config.js';
import { appUrl } from './connection.js';

const CHANNEL = 'dewpot_news';
/** How soon a lost line to the database is taken up again, ms. */
const AGAIN = 1000;

/** Tells every server before the database that something changed; who listens reads it anew. */
@Injectable()
export class News implements OnModuleDestroy {
  private readonly log = new Logger(News.name);
  private readonly told = new EventEmitter().setMaxListeners(0);
  private line: Promise<pg.Client> | undefined;
  private over = false;

  constructor(@Inject(CONFIG) private readonly config: ServerConfig) {}

  /** Tells of a change once the transaction at hand is through. */
  async tell(manager: EntityManager, topic: string): Promise<void> {
    await manager.query('select pg_notify($1, $2)', [CHANNEL, topic]);
  }

  /** Makes sure that news comes in from now on. */
  async listen(): Promise<void> {
    this.line ??= this.open();
    await this.line;
  }

  /** Comes back when something of a topic is told, or when `signal` ends the wait. */
  async next(topic: string, signal: AbortSignal): Promise<void> {
    try {
      await once(this.told, topic, { signal });
    } catch (error) {
      if (!signal.aborted) throw error;
    }
  }

  async onModuleDestroy(): Promise<void> {
    this.over = true;
    await (await this.line?.catch(() => undefined))?.end();
  }

  private async open(): Promise<pg.Client> {
    const client = new pg.Client({ connectionString: appUrl(this.config.ownerUrl) });
    client.on('notification', ({ payload }) => payload && this.told.emit(payload));
    client.on('error', ({ message }) => this.log.warn(`The line for news broke: ${message}`));
    client.on('end', () => this.lost());
    try {
      await client.connect();
      await client.query(`LISTEN ${CHANNEL}`);
    } catch (error) {
      this.line = undefined;
      throw error;
    }
    return client;
  }

  /** Takes up a lost line again as long as anybody waits for news. */
  private lost(): void {
    this.line = undefined;
    if (this.over || this.told.eventNames().length === 0) return;
    setTimeout(() => {
      this.listen().catch(({ message }: Error) => this.log.warn(`No line for news: ${message}`));
    }, AGAIN).unref();
  }
}
