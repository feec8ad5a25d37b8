import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { stopGracefully } from '../src/http/graceful-stop.js';
import { newAddress, newWorkshop, PASSPHRASE, startServer, wideRates, type Harness } from './harness.js';
import { freePort, listens } from './ports.js';

const PROGRAM = '/usr/sbin/haproxy';
const shipped = join(import.meta.dirname, '../../deploy/haproxy.cfg');

const portOf = ({ app }: Harness) => (app.getHttpServer().address() as AddressInfo).port;

/** The shipped configuration without TLS, before two servers of this machine. */
const configFor = (port: number, servers: readonly Harness[]) =>
  readFileSync(shipped, 'utf8')
    .replace(/bind :443 .*/, `bind 127.0.0.1:${port}`)
    .replace(/.*bind :80\n.*redirect scheme.*\n/, '')
    .replace(/ {2}server one[\s\S]*/, servers.map((one, n) => `  server s${n} 127.0.0.1:${portOf(one)}\n`).join(''));

/** Where no HAProxy can be installed, these are skipped and said to be. */
describe.skipIf(!existsSync(PROGRAM))('two servers behind an HAProxy', () => {
  let servers: [Harness, Harness];
  let child: ChildProcess;
  let cookie: string;
  const folder = mkdtempSync(join(tmpdir(), 'dewpot-haproxy-'));
  const answered = [0, 0];
  let url = '';
  beforeAll(async () => {
    const behind = { rates: wideRates, proxies: ['127.0.0.1', '::ffff:127.0.0.1'] };
    const first = await startServer(behind);
    servers = [first, await startServer({ ...behind, ownerUrl: first.config.ownerUrl })];
    servers.forEach(({ app }, n) => app.getHttpServer().on('request', ({ url: path }: { url: string }) => {
      if (!path.startsWith('/api/health')) answered[n]!++;
    })); // prettier-ignore
    const port = await freePort();
    const config = join(folder, 'haproxy.cfg');
    writeFileSync(config, configFor(port, servers));
    child = spawn(PROGRAM, ['-f', config, '-db'], { stdio: 'ignore' });
    for (let tries = 0; tries < 100 && !(await listens(port)); tries++) await wait(50);
    url = `http://127.0.0.1:${port}`;
    const email = newAddress();
    await newWorkshop(first, 'Quince Yard', email);
    const { headers } = await request(url)
      .post('/api/session')
      .set('Sec-Fetch-Site', 'same-origin')
      .send({ email, passphrase: PASSPHRASE })
      .expect(204);
    cookie = String(headers['set-cookie']).split(';')[0] ?? '';
    expect(String(headers['set-cookie'])).toContain('Secure');
    expect(headers['strict-transport-security']).toBeDefined();
  });
  afterAll(async () => {
    child.kill('SIGKILL');
    await servers[1].close();
    rmSync(folder, { recursive: true, force: true });
  });

  const moulds = () => request(url).get('/api/moulds').set('Cookie', cookie);

  it('answer whoever is signed in, both of them', async () => {
    const before = [...answered];
    const all = await Promise.all(Array.from({ length: 60 }, () => moulds()));
    expect(all.map(({ status }) => status)).toEqual(all.map(() => 200));
    expect(answered.every((count, n) => count > before[n]!)).toBe(true);
  });

  it('let nobody notice that one of them stops', async () => {
    let over = false;
    const statuses: number[] = [];
    const asking = Promise.all(Array.from({ length: 6 }, async () => {
      while (!over) statuses.push((await moulds()).status);
    })); // prettier-ignore
    await wait(500);
    await stopGracefully(servers[0].app);
    const before = statuses.length;
    await wait(1500);
    over = true;
    await asking;
    expect(statuses.length).toBeGreaterThan(before);
    expect(statuses.filter((status) => status !== 200)).toEqual([]);
  });
});
