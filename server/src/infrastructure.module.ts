import { Global, Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Accounts } from './accounts/accounts.service.js';
import { Sessions } from './accounts/sessions.js';
import { CalculationPool } from './calculation/calculation-pool.js';
import { CONFIG, type ServerConfig } from './config.js';
import { appOptions } from './db/connection.js';
import { LongTransactions } from './db/long-transactions.js';
import { PgNotifications } from './db/pg-notifications.js';
import { Replica } from './db/replica.js';
import { WorkshopContext } from './db/workshop-context.js';
import { DatabaseHealth } from './health/database-health.js';
import { Streams } from './http/streams.js';
import { Unchanged } from './http/unchanged.js';
import { Jobs } from './jobs/jobs.service.js';
import { Rounds } from './jobs/rounds.js';

const shared = [
  Accounts,
  CalculationPool,
  DatabaseHealth,
  Jobs,
  LongTransactions,
  PgNotifications,
  Replica,
  Rounds,
  Sessions,
  Streams,
  Unchanged,
  WorkshopContext,
];

/** What every stage stands on: the database, its notifications, jobs, streams, threads for calculation, and who is signed in. */
@Global()
@Module({})
export class InfrastructureModule {
  static with(config: ServerConfig): DynamicModule {
    const configured = { provide: CONFIG, useValue: config };
    return {
      module: InfrastructureModule,
      imports: [
        TypeOrmModule.forRoot({ ...appOptions(config.ownerUrl, config.bouncer), retryAttempts: 20, retryDelay: 500 }),
      ],
      providers: [configured, ...shared],
      exports: [configured, ...shared],
    };
  }
}
