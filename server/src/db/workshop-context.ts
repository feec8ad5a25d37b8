import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';
import {
  DataSource,
  type EntityManager,
  type EntityTarget,
  type ObjectLiteral,
  type QueryDeepPartialEntity,
  type Repository,
} from 'typeorm';
import { WorkshopEntity } from '../accounts/accounts.entities.js';
import type { Revisions } from '../http/request.js';
import { wasInTheWay } from './outage.js';
import { Replica } from './replica.js';
import { transactionOf } from './transaction.js';

interface AtHand {
  readonly workshopId: string;
  /** The transaction; none where a request opens its own. */
  readonly manager?: EntityManager;
  /** What was read in the transaction and is asked for again, by its name. */
  readonly known: Map<string, Promise<unknown>>;
}

/** A transaction that another one was in the way of is tried so often. */
const TRIES = 4;

/** The rows of the workshop at hand. PostgreSQL itself keeps those of others out of sight. */
@Injectable()
export class WorkshopContext {
  private readonly current = new AsyncLocalStorage<AtHand>();

  constructor(
    private readonly source: DataSource,
    private readonly replica: Replica,
  ) {}

  /** Runs `work` with a workshop at hand, but without a transaction yet. */
  at<T>(workshopId: string, work: () => Promise<T>): Promise<T> {
    return this.current.run({ workshopId, known: new Map() }, work);
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
        return await transactionOf(this.source, workshopId, (manager) =>
          this.current.run({ manager, workshopId, known: new Map() }, work),
        );
      } catch (error) {
        if (left === 0 || !wasInTheWay(error)) throw error;
      }
    }
  }

  /** Answers what `work` reads of a workshop in the state of these revisions: on a replica, where that has it, else as `inWorkshop` does. */
  async reading<T>(workshopId: string, fit: (revisions: Revisions) => boolean, work: () => Promise<T>): Promise<T> {
    const read = await this.replica.read(workshopId, fit, (manager) =>
      this.current.run({ manager, workshopId, known: new Map() }, work),
    );
    return read ? read.answer : this.inWorkshop(workshopId, work);
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
    this.forget('workshop');
    await this.manager.query('select 1 from workshops where id = $1 for no key update', [this.workshopId]);
  }

  /** Holds the workshop's settings as they are until the transaction is through: what is judged by them is, by the newest. */
  async holdWorkshop(): Promise<void> {
    this.forget('workshop');
    await this.manager.query('select 1 from workshops where id = $1 for share', [this.workshopId]);
  }

  /** The workshop at hand: its settings, and whether it is the demo. */
  workshop(): Promise<WorkshopEntity> {
    return this.once('workshop', () => this.of(WorkshopEntity).findOneByOrFail({ id: this.workshopId }));
  }

  /** Changes the workshop at hand; answers how many rows that were. */
  async changeWorkshop(fields: QueryDeepPartialEntity<WorkshopEntity>): Promise<number> {
    this.forget('workshop');
    const { affected } = await this.of(WorkshopEntity).update({ id: this.workshopId }, fields);
    return affected ?? 0;
  }

  /**
   * What many parts of one transaction ask for, read once. Whoever changes it in the transaction, or locks it to see the newest,
   * forgets it by its name.
   */
  once<T>(name: string, read: () => Promise<T>): Promise<T> {
    const { known } = this.required();
    const before = known.get(name) as Promise<T> | undefined;
    if (before) return before;
    const reading = read();
    known.set(name, reading);
    return reading;
  }

  forget(name: string): void {
    this.required().known.delete(name);
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
