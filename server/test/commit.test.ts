import { Client } from 'pg';
import type { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { expect, it } from 'vitest';
import { ProblemError } from '../src/http/problem-error.js';
import { committed, transactionOf } from '../src/db/transaction.js';

it('a commit with a warning is not acknowledged: a second host may not have it', async () => {
  const client = new Client({ connectionString: process.env.DEWPOT_TEST_CLUSTER! });
  await client.connect();
  const saying = (level: string) => () => client.query(`DO $$ BEGIN RAISE ${level} 'of a commit'; END $$`);
  try {
    await committed(client, saying('NOTICE'));
    const doubtful = await committed(client, saying('WARNING')).catch((error: unknown) => error);
    expect(doubtful).toBeInstanceOf(ProblemError);
    expect((doubtful as ProblemError).status).toBe(503);
    // What others say on the connection is not of the next commit.
    await saying('WARNING')();
    await committed(client, saying('NOTICE'));
    await expect(committed(client, () => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
    expect(client.listenerCount('notice')).toBe(0);
  } finally {
    await client.end();
  }
});

it('a transaction that does not begin tells that, and not what its statements met without it', async () => {
  const asked: string[] = [];
  const runner = {
    connect: () => Promise.resolve({ query: () => Promise.reject(new Error('not begun')) }),
    query: (sql: string) => Promise.resolve(asked.push(sql)),
    release: () => Promise.resolve(asked.push('released')),
  };
  const source = { createQueryRunner: () => runner } as unknown as DataSource;
  const tried = transactionOf(source, uuid(), () => Promise.reject(new Error('nothing is there')));
  await expect(tried).rejects.toThrow('not begun');
  await expect(transactionOf(source, uuid(), () => Promise.resolve('done'))).rejects.toThrow('not begun');
  expect(asked).toEqual(['ROLLBACK', 'released', 'ROLLBACK', 'released']);
});
