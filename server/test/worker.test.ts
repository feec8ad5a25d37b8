import type PgBoss from 'pg-boss';
import { expect, it, vi } from 'vitest';
import { Worker } from '../src/jobs/worker.js';

const queue = 'sweep';

/** A list of batches, whose jobs' ends can be told only while `answers` says so. */
function list(batches: string[][], answers: () => boolean) {
  const ended: string[] = [];
  const end = (how: string) => (_: string, id: string | string[]) => {
    if (!answers()) return Promise.reject(new Error('terminating connection'));
    ended.push(`${how} ${String(id)}`);
    return Promise.resolve();
  };
  const boss = {
    fetch: vi.fn(() => Promise.resolve((batches.shift() ?? []).map((id) => ({ id, data: { id } })))),
    complete: end('done'),
    fail: end('failed'),
  };
  return { ended, fetch: boss.fetch, boss: boss as unknown as PgBoss };
}

it('lives on when the database cannot be told how a job ended, and is told of the next', async () => {
  let away = true;
  const { boss, ended } = list([['a'], ['b'], ['c']], () => !away);
  const seen: unknown[] = [];
  const worker = new Worker(boss, queue, (told) => {
    seen.push(...told);
    return seen.length === 2 ? Promise.reject(new Error('no such workshop')) : Promise.resolve();
  });
  worker.start();
  await vi.waitFor(() => expect(seen).toEqual([{ id: 'a' }]));
  away = false;
  worker.wake();
  await vi.waitFor(() => expect(ended).toEqual(['failed b']));
  worker.wake();
  await vi.waitFor(() => expect(ended).toEqual(['failed b', 'done c']));
  await worker.stop();
});

it('looks once more where it was woken while it worked, and no more once stopped', async () => {
  const { boss, ended, fetch } = list([['a'], ['b']], () => true);
  const worker = new Worker(boss, queue, () => {
    worker.wake();
    return Promise.resolve();
  });
  worker.start();
  await vi.waitFor(() => expect(ended).toEqual(['done a', 'done b']));
  await worker.stop();
  const looks = fetch.mock.calls.length;
  worker.wake();
  await Promise.resolve();
  expect(fetch.mock.calls.length).toBe(looks);
});
