import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';
import { DataSource, type EntityManager, type EntityTarget, type ObjectLiteral, type Repository } from 'typeorm';

/** The rows of the workshop at hand. PostgreSQL itself keeps those of others out of sight. */
@Injectable()
export class Rows {
  private readonly current = new AsyncLocalStorage<{ manager: EntityManager; workshopId: string }>();

  constructor(private readonly source: DataSource) {}

  /** Runs `work` in one transaction that sees only the workshop's rows. */
  inWorkshop<T>(workshopId: string, work: () => Promise<T>): Promise<T> {
    return this.source.transaction(async (manager) => {
      await manager.query(`select set_config('app.workshop', $1, true)`, [workshopId]);
      return this.current.run({ manager, workshopId }, work);
    });
  }

  /** The transaction at hand. @throws Error outside of `inWorkshop`. */
  get manager(): EntityManager {
    return this.required().manager;
  }

  get workshopId(): string {
    return this.required().workshopId;
  }

  of<E extends ObjectLiteral>(entity: EntityTarget<E>): Repository<E> {
    return this.manager.getRepository(entity);
  }

  private required() {
    const current = this.current.getStore();
    if (!current) throw new Error('No workshop is set: run this inside inWorkshop().');
    return current;
  }
}
