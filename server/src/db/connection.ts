import { createHmac } from 'node:crypto';
import pg from 'pg';
import { DataSource, type DataSourceOptions, type QueryRunner } from 'typeorm';
import { prepareJobs } from '../jobs/schema.js';
import { APP_ROLE } from './app-role.js';
import { entities } from './entities.js';
import { migrations } from './migrations/index.js';
import { runMigrations } from './schema-level.js';

/** Password of the application's role, derived from the owner's so that every server before one database has the same. */
function appPassword(ownerUrl: string): string {
  const { password, username } = new URL(ownerUrl);
  return createHmac('sha256', `${password}:${username}`).update(APP_ROLE).digest('base64url');
}

/** The owner's address with the application's role in its place. */
export function appUrl(ownerUrl: string): string {
  const url = new URL(ownerUrl);
  url.username = APP_ROLE;
  url.password = appPassword(ownerUrl);
  return url.toString();
}

const common = { type: 'postgres', driver: pg, entities, migrationsTableName: 'migrations' } as const;

/** Connection of the owner: migrations and nothing else. */
export function ownerOptions(ownerUrl: string): DataSourceOptions {
  return {
    ...common,
    url: ownerUrl,
    migrations: [...migrations],
    poolSize: 2,
  };
}

/** What is asked for together goes out together, in its order, and waits for one round trip. */
const together = { pipeline: true };

/** What the database itself ends: a statement, a wait for a lock, a transaction in which nothing comes, ms. */
const limits = { statement_timeout: 10_000, lock_timeout: 5_000, idle_in_transaction_session_timeout: 15_000 };

/** The application's address at another host and port, where one is given. */
function appUrlAt(ownerUrl: string, hostAndPort: string | undefined): string {
  const url = new URL(appUrl(ownerUrl));
  if (hostAndPort !== undefined) url.host = hostAndPort;
  return url.toString();
}

/**
 * Connections of the application for its requests. A pgbouncer in transaction mode may stand between: what a request sets, it sets
 * for its transaction. It takes no limits from who connects; its own configuration sets them (`deploy/pgbouncer.ini`).
 */
export function appOptions(ownerUrl: string, bouncer?: string): DataSourceOptions {
  return {
    ...common,
    url: appUrlAt(ownerUrl, bouncer),
    poolSize: 10,
    extra: {
      // A request that gets no connection in time is told so, rather than kept waiting for ever.
      connectionTimeoutMillis: 3_000,
      // Of a server that took the statement and says nothing any more.
      query_timeout: 12_000,
      application_name: 'dewpot',
      ...together,
      ...(bouncer === undefined && limits),
    },
  };
}

/** Connections of the application to a replica. One that is away is not waited for: the database that leads can answer too. */
export function replicaOptions(ownerUrl: string, replica: string): DataSourceOptions {
  return {
    ...common,
    url: appUrlAt(ownerUrl, replica),
    poolSize: 10,
    extra: {
      connectionTimeoutMillis: 500,
      query_timeout: 5_000,
      application_name: 'dewpot replica',
      ...together,
      ...limits,
    },
  };
}

const LOCK = 81_370_001;
/** What PostgreSQL answers where two servers make the same role at once. */
const RACED = ['23505', '42710', 'XX000'];

async function canSignIn(ownerUrl: string): Promise<boolean> {
  const client = new pg.Client({ connectionString: appUrl(ownerUrl) });
  try {
    await client.connect();
    return true;
  } catch {
    // Whatever keeps it out, making the role again is the answer; a dead server shows itself there.
    return false;
  } finally {
    await client.end();
  }
}

/** Makes the application's role, or gives it its password again. Roles belong to the whole cluster, so two databases may race. */
async function ensureAppRole(runner: QueryRunner, ownerUrl: string, tries = 5): Promise<void> {
  if (await canSignIn(ownerUrl)) return;
  const known = await runner.query('select 1 from pg_roles where rolname = $1', [APP_ROLE]);
  const verb = known.length > 0 ? 'ALTER' : 'CREATE';
  try {
    // The password holds only the letters of base64url, so that it can stand in a statement that takes no parameters.
    await runner.query(
      `${verb} ROLE ${APP_ROLE} LOGIN NOSUPERUSER NOBYPASSRLS NOCREATEDB NOCREATEROLE PASSWORD '${appPassword(ownerUrl)}'`,
    );
  } catch (error) {
    const { code } = error as { code?: string };
    if (tries === 0 || !code || !RACED.includes(code)) throw error;
    await ensureAppRole(runner, ownerUrl, tries - 1);
  }
}

/**
 * Brings a database up to date: the application's role, then the migrations, one server at a time.
 * Answers whether it holds no workshop yet.
 */
export async function prepareDatabase(ownerUrl: string): Promise<{ empty: boolean }> {
  const owner = await new DataSource(ownerOptions(ownerUrl)).initialize();
  const runner = owner.createQueryRunner();
  try {
    await runner.query('select pg_advisory_lock($1)', [LOCK]);
    await ensureAppRole(runner, ownerUrl);
    await runMigrations(owner, runner);
    await prepareJobs(ownerUrl, owner);
    const rows = await runner.query('select 1 from workshops limit 1');
    return { empty: rows.length === 0 };
  } finally {
    await runner.query('select pg_advisory_unlock($1)', [LOCK]);
    await runner.release();
    await owner.destroy();
  }
}
