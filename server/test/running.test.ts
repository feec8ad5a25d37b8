import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it, vi } from 'vitest';
import { chaosWith, type House } from './chaos-scripts.js';
import { freePort } from './ports.js';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));

interface Servers {
  readonly startHouse: (options: { servers: number }) => Promise<House>;
}

describe('blows while clients write', () => {
  it.each([1, 2])(
    'on %i servers lose no write that was acknowledged, and all come back',
    async (servers) => {
      const { startHouse, chaos } = await chaosWith<Servers>('chaos-house');
      const house = await startHouse({ servers });
      try {
        const { acknowledged, lost } = await chaos({ ...house, rounds: 6 });
        expect(lost).toEqual([]);
        expect(acknowledged).toBeGreaterThan(50);
      } finally {
        await house.stop();
      }
    },
    300_000,
  );
});

/** Processes whose command holds a text. */
const processes = (text: string): number[] =>
  readdirSync('/proc').flatMap((name) => {
    if (!/^\d+$/.test(name)) return [];
    try {
      return readFileSync(`/proc/${name}/cmdline`, 'utf8').includes(text) ? [Number(name)] : [];
    } catch {
      // It ended while we looked.
      return [];
    }
  });

const parentOf = (pid: number) => Number(/^PPid:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]);

describe('npm start', () => {
  it('brings back a server and a database that ended, and ends with Ctrl-C while the server calculates', async () => {
    const data = mkdtempSync(join(tmpdir(), 'dewpot-start-'));
    chmodSync(data, 0o755);
    const port = await freePort();
    const starter: ChildProcess = spawn(
      process.execPath,
      [join(ROOT, 'scripts/start.mjs'), '--port', String(port), '--data', data, '--empty'],
      { stdio: ['ignore', 'pipe', 'pipe'] },
    );
    let said = '';
    starter.stdout!.on('data', (text) => (said += String(text)));
    starter.stderr!.on('data', (text) => (said += String(text)));
    const patient = { timeout: 120_000, interval: 100 };
    const healthy = () =>
      vi.waitFor(async () => expect((await fetch(`http://127.0.0.1:${port}/api/health`)).status).toBe(200), patient);
    try {
      await vi.waitFor(() => expect(said).toContain('Dew Pot is ready'), patient);
      const [server] = processes('server/dist/app/main.js').filter((pid) => parentOf(pid) === starter.pid);
      process.kill(server!, 'SIGKILL');
      await vi.waitFor(() => expect(said).toContain('The server runs again.'), patient);
      await healthy();
      const postmaster = Number(readFileSync(join(data, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);
      process.kill(postmaster, 'SIGKILL');
      await vi.waitFor(() => expect(said).toContain('The database had ended by itself'), patient);
      await healthy();
      const ask = { shares: [0.25, 0.25, 0.25, 0.25], seed: 1, width: 400, height: 400 };
      const headers = { 'content-type': 'application/json' };
      const asked = Array.from({ length: 30 }, () =>
        fetch(`http://127.0.0.1:${port}/api/calculate/tints/marbling`, {
          method: 'POST',
          headers,
          body: JSON.stringify(ask),
        }).catch(() => undefined),
      );
      const ended = new Promise<number>((done) => starter.once('exit', (code) => done(code ?? -1)));
      const begun = Date.now();
      starter.kill('SIGINT');
      expect(await ended).toBe(0);
      expect(Date.now() - begun).toBeLessThan(10_000);
      await Promise.all(asked);
      expect(processes(data)).toEqual([]);
    } finally {
      starter.kill('SIGKILL');
      rmSync(data, { recursive: true, force: true });
    }
  }, 400_000);
});
