import { Inject, Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import { SECOND } from '@dewpot/core/units';
import { DataSource, type EntityManager } from 'typeorm';
import { CONFIG, type ServerConfig } from '../config.js';
import type { Revisions } from '../http/request.js';
import { replicaOptions } from './connection.js';
import { outageOf, wasInTheWay } from './outage.js';
import { readingOf } from './transaction.js';

/** One that does not answer is not asked again for so long, ms. */
const PAUSE = 5 * SECOND;

/** Reads by what became of them: answered, or left to the database that leads, which was ahead, or the replica away. */
export type ReplicaReads = Readonly<Record<'answered' | 'behind' | 'away', number>>;

/** A copy of the database that follows it. It is read where it has the very state that is asked for. */
@Injectable()
export class Replica implements OnModuleDestroy {
  private readonly log = new Logger(Replica.name);
  private readonly source: DataSource | undefined;
  private opening: Promise<DataSource> | undefined;
  private notBefore = 0;
  private readonly counts = { answered: 0, behind: 0, away: 0 };

  constructor(@Inject(CONFIG) { ownerUrl, replica }: ServerConfig) {
    if (replica !== undefined) this.source = new DataSource(replicaOptions(ownerUrl, replica));
  }

  /** How many reads there were. */
  get reads(): ReplicaReads {
    return this.counts;
  }

  /**
   * Answers what `work` reads of a workshop, where the replica's revisions of it fit; undefined where the database that leads has to be asked.
   * `work` does nothing but read.
   */
  async read<T>(workshopId: string, fit: (revisions: Revisions) => boolean, work: (manager: EntityManager) => Promise<T>): Promise<{ readonly answer: T } | undefined> {
    if (!this.source || Date.now() < this.notBefore) return undefined;
    try {
      const read = await readingOf(await this.opened(this.source), workshopId, fit, work);
      this.counts[read ? 'answered' : 'behind']++;
      return read;
    } catch (error) {
      const outage = outageOf(error);
      // What it replays may be in the way of what reads it; and of a route that keeps what it calculated, the one that leads is asked.
      if (!outage && !wasInTheWay(error)) throw error;
      if (outage === 'away') this.wentAway(error);
      this.counts[outage === 'away' ? 'away' : 'behind']++;
      return undefined;
    }
  } // prettier-ignore

  async onModuleDestroy(): Promise<void> {
    if (this.source?.isInitialized) await this.source.destroy();
  }

  private opened(source: DataSource): Promise<DataSource> {
    this.opening ??= source.initialize().catch((error: unknown) => {
      this.opening = undefined;
      throw error;
    });
    return this.opening;
  }

  private wentAway(error: unknown): void {
    this.notBefore = Date.now() + PAUSE;
    this.log.warn(`The replica does not answer: ${(error as Error).message}`);
  }
}
