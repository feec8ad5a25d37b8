import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';
import { DataSource, type EntityManager, type EntityTarget, type ObjectLiteral, type Repository } from 'typeorm';
import { WorkshopEntity } from '../accounts/accounts.entities.js';
import { wasInTheWay } from './outage.js';

interface AtHand {
  readonly workshopId: string;
  /** The transaction; none where a request opens its own. */
  readonly manager?: EntityManager;
}

/** A transaction that another one was in the way of is tried so often. */
const TRIES = 4;

/** The rows of the workshop at hand. PostgreSQL itself keeps those of others out of sight. */
@Injectable()
export class WorkshopContext {
  private readonly current = new AsyncLocalStorage<AtHand>();

  constructor(private readonly source: DataSource) {}

  /** Runs `work` with a workshop at hand, but without a transaction yet. */
  at<T>(workshopId: string, work: () => Promise<T>): Promise<T> {
    return this.current.run({ workshopId }, work);
  }

  /**
   * Runs `work` in one transaction that sees only the workshop's rows; joins the one at hand where that is of the same workshop,
   * so that a request never holds two connections. Where PostgreSQL ends it for another's sake, it is done again: `work` keeps
   * what it does in the database and nowhere else.
   */
  async inWorkshop<T>(workshopId: string, work: () => Promise<T>): Promise<T> {
    const current = this.current.getStore();
    if (current?.manager && current.workshopId === workshopId) return work();
    for (let left = TRIES - 1; ; left--) {
      try {
        return await this.source.transaction(async (manager) => {
          await manager.query(`select set_config('app.workshop', $1, true)`, [workshopId]);
          return this.current.run({ manager, workshopId }, work);
        });
      } catch (error) {
        if (left === 0 || !wasInTheWay(error)) throw error;
      }
    }
  }

  /** Runs `work` in a transaction of the workshop at hand. @throws Error outside of `at` and `inWorkshop`. */
  transaction<T>(work: () => Promise<T>): Promise<T> {
    return this.inWorkshop(this.workshopId, work);
  }

  /** The transaction at hand. @throws Error outside of one. */
  get manager(): EntityManager {
    const { manager } = this.required();
    if (!manager) throw new Error('No transaction is open: run this inside transaction().');
    return manager;
  }

  /** Where to ask what is of no workshop: in the transaction at hand, where there is one, so that a request never holds two connections. */
  get connection(): EntityManager | DataSource {
    return this.current.getStore()?.manager ?? this.source;
  }

  get workshopId(): string {
    return this.required().workshopId;
  }

  /** Locks the workshop's own row: what is counted or chosen under it cannot be so by two at once. */
  async lockWorkshop(): Promise<void> {
    await this.manager.query('select 1 from workshops where id = $1 for no key update', [this.workshopId]);
  }

  /** Holds the workshop's settings as they are until the transaction is through: what is judged by them is, by the newest. */
  async holdWorkshop(): Promise<void> {
    await this.manager.query('select 1 from workshops where id = $1 for share', [this.workshopId]);
  }

  /** The workshop at hand: its settings, and whether it is the demo. */
  workshop(): Promise<WorkshopEntity> {
    return this.of(WorkshopEntity).findOneByOrFail({ id: this.workshopId });
  }

  of<E extends ObjectLiteral>(entity: EntityTarget<E>): Repository<E> {
    return this.manager.getRepository(entity);
  }

  private required(): AtHand {
    const current = this.current.getStore();
    if (!current) throw new Error('No workshop is set: run this inside inWorkshop().');
    return current;
  }
}
