import PgBoss from 'pg-boss';
import { DataSource } from 'typeorm';
import { APP_ROLE } from '../db/app-role.js';

/** Where the jobs lie: a schema of its own, made by the owner. */
export const JOBS_SCHEMA = 'jobs';

/** Jobs that failed for good. */
const DEAD_LETTERS = 'dead-letters';

/** Work that is done in the background, by what it is called; what each is told. */
export interface Queues {
  /** Judge every cast of a workshop that dries by its newest rules. */
  readonly 'judge-dryness': { readonly workshopId: string };
  /** Hand a mail to the mail server. */
  readonly 'send-mail': { readonly workshopId: string; readonly id: string };
  /** Hand something over to a webhook. */
  readonly 'send-webhook': { readonly workshopId: string; readonly id: string };
}

const queues: Record<keyof Queues, PgBoss.RetryOptions & PgBoss.ExpirationOptions> = {
  'judge-dryness': { retryLimit: 8, retryDelay: 1, retryBackoff: true, expireInSeconds: 30 },
  // A mail server may be away for hours.
  'send-mail': { retryLimit: 12, retryDelay: 5, retryBackoff: true, expireInSeconds: 300 },
  // Whoever listens may be a small computer that starts again.
  'send-webhook': { retryLimit: 12, retryDelay: 5, retryBackoff: true, expireInSeconds: 300 },
};

/** Makes the tables of the jobs and lets the application use them, which owns none of them. */
export async function prepareJobs(ownerUrl: string, owner: DataSource): Promise<void> {
  const boss = new PgBoss({
    connectionString: ownerUrl,
    schema: JOBS_SCHEMA,
    max: 1,
    supervise: false,
    schedule: false,
  });
  const failed: Error[] = [];
  boss.on('error', (error) => failed.push(error));
  await boss.start();
  try {
    await boss.createQueue(DEAD_LETTERS, { name: DEAD_LETTERS, retentionDays: 90 });
    for (const [name, ways] of Object.entries(queues))
      await boss.createQueue(name, { name, ...ways, deadLetter: DEAD_LETTERS });
  } finally {
    await boss.stop({ graceful: false, wait: true });
  }
  if (failed[0]) throw failed[0];
  await owner.query(`GRANT USAGE ON SCHEMA ${JOBS_SCHEMA} TO ${APP_ROLE}`);
  await owner.query(`GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA ${JOBS_SCHEMA} TO ${APP_ROLE}`);
}
