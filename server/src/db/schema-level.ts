import { MigrationExecutor, type DataSource, type MigrationInterface, type QueryRunner } from 'typeorm';
import { migrations } from './migrations/index.js';

/** The level of the schema that this server is written for: how many migrations it knows. */
export const SCHEMA_LEVEL = migrations.length;

/** A migration that takes away or narrows what servers of before need: `oldest` is the least level of a server that does without. */
export interface Narrowing extends MigrationInterface {
  readonly oldest: number;
}

/** What each server calls the connection that it always holds: it says that one of this level runs. */
const NEWS_LINE = 'dewpot news';
export const newsLine = `${NEWS_LINE} ${SCHEMA_LEVEL}`;

interface Levels {
  readonly level: number;
  readonly oldest: number;
}

/** Whatever asks the database: a pool, or one connection. */
interface Ask {
  query(statement: string, parameters?: unknown[]): Promise<unknown>;
}

/** Levels of a schema; of one that is older than they are, nothing. */
async function levelsOf(database: Ask): Promise<Levels> {
  const [{ known }] = (await database.query(`select to_regprocedure('schema_levels()') is not null as known`)) as [
    { known: boolean },
  ];
  if (!known) return { level: 0, oldest: 0 };
  const [levels] = (await database.query('select level, oldest from schema_levels()')) as [Levels];
  return levels;
}

const tooOld = ({ oldest }: Levels) =>
  oldest > SCHEMA_LEVEL
    ? `The database serves servers of level ${oldest} and later, and this one is of level ${SCHEMA_LEVEL}. Start a newer version`
    : undefined;

/**
 * Says why a server of this level must not be started before a database; undefined where it may. A schema of a later version serves it until a
 * migration narrows that.
 */
export async function whyNotServed(database: Ask): Promise<string | undefined> {
  const levels = await levelsOf(database);
  if (levels.level < SCHEMA_LEVEL)
    return `The database is of level ${levels.level}, and this server wants level ${SCHEMA_LEVEL}. Bring it up to date first: node server/dist/app/prepare.js`;
  return tooOld(levels);
}

/** Whether a server of before a level holds its line to the database. */
async function runsBefore(database: Ask, level: number): Promise<boolean> {
  const [{ runs }] = (await database.query(
    `select exists (select 1 from pg_stat_activity where datname = current_database() and
       application_name ~ '^${NEWS_LINE} \\d+$' and substring(application_name from '\\d+$')::integer < $1) as runs`,
    [level],
  )) as [{ runs: boolean }];
  return runs;
}

const setOldest = (database: Ask, level: number) => database.query('update door.oldest_server set level = $1', [level]);

const oldestOf = (some: readonly object[]) =>
  Math.max(0, ...some.map((one) => (one as Partial<Narrowing>).oldest ?? 0));

/**
 * Runs the migrations that wait. Where one narrows, servers of before it are kept out first, and it waits until none of them runs: whichever of the
 * two comes second sees the other. @throws Error where this server is too old for the schema, or older ones run; nothing is changed then
 */
export async function runMigrations(owner: DataSource, runner: QueryRunner): Promise<void> {
  const levels = await levelsOf(runner);
  const refused = tooOld(levels);
  if (refused) throw new Error(refused);
  const waiting = await new MigrationExecutor(owner, runner).getPendingMigrations();
  const oldest = oldestOf(waiting.flatMap(({ instance }) => instance ?? []));
  if (levels.level > 0 && oldest > levels.oldest) {
    await setOldest(runner, oldest);
    if (await runsBefore(runner, oldest)) {
      await setOldest(runner, levels.oldest);
      throw new Error(
        `Servers of before level ${oldest} run still, and this version takes away what they need. Upgrade or end them, then do this again`,
      );
    }
  }
  await owner.runMigrations();
  if (oldest > levels.oldest) await setOldest(runner, oldest);
}
