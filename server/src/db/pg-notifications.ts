import { EventEmitter } from 'node:events';
import { Inject, Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import pg from 'pg';
import { fromEvent, merge, type Observable } from 'rxjs';
import type { EntityManager } from 'typeorm';
import { CONFIG, type ServerConfig } from '../config.js';
import { appUrl } from './connection.js';
import { newsLine } from './schema-level.js';

const CHANNEL = 'dewpot_news';
/** What is told after the line was lost for a while. */
const MISSED = 'missed';
/** An outage shorter than this is waited for when the line is opened, ms. */
const PATIENCE = 3_000;
/** How soon a lost line to the database is taken up again, ms. */
const AGAIN = 1000;

/** Tells every server before the database that something changed; who listens reads it again. */
@Injectable()
export class PgNotifications implements OnModuleDestroy {
  private readonly log = new Logger(PgNotifications.name);
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

  /** News of a topic, and each time that some may have been missed. */
  heard(topic: string): Observable<unknown> {
    return merge(fromEvent(this.told, topic), fromEvent(this.told, MISSED));
  }

  async onModuleDestroy(): Promise<void> {
    this.over = true;
    await (await this.line?.catch(() => undefined))?.end();
  }

  private async open(): Promise<pg.Client> {
    const client = new pg.Client({
      connectionString: appUrl(this.config.ownerUrl),
      application_name: newsLine,
      connectionTimeoutMillis: PATIENCE,
      keepAlive: true,
    });
    client.on('notification', ({ payload }) => payload && this.told.emit(payload));
    client.on('error', ({ message }) => this.log.warn(`The line for news broke: ${message}`));
    try {
      await client.connect();
      await client.query(`LISTEN ${CHANNEL}`);
      client.on('end', () => this.lost());
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
      this.listen().then(
        () => this.told.emit(MISSED),
        ({ message }: Error) => {
          this.log.warn(`No line for news: ${message}`);
          this.lost();
        },
      );
    }, AGAIN).unref();
  }
}
