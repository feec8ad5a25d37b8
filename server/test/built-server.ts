import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import request from 'supertest';
import { PASSPHRASE, type Agent } from './harness.js';
import { freePort } from './ports.js';

/** Comes in at an address as somebody at a browser. */
export async function signedInAt(url: string, email: string): Promise<Agent> {
  const agent = request.agent(url).set('Sec-Fetch-Site', 'same-origin') as unknown as Agent;
  await agent.post('/api/session').send({ email, passphrase: PASSPHRASE }).expect(204);
  return agent;
}

/** A server as it is built, in processes of its own: `programs` is its folder, `settings` what it is told beside its database. */
export class BuiltServer {
  private readonly running = new Set<ChildProcess>();

  constructor(
    private readonly programs: string,
    private readonly settings: NodeJS.ProcessEnv = {},
  ) {}

  private program(name: string, env: NodeJS.ProcessEnv): ChildProcess {
    const path = join(this.programs, `${name}.js`);
    return spawn(process.execPath, [path], { env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
  }

  /** Brings a database up to date for it; answers what it says of it. */
  async prepare(ownerUrl: string): Promise<object> {
    let said = '';
    const child = this.program('prepare', { DATABASE_URL: ownerUrl });
    child.stdout!.on('data', (text) => (said += String(text)));
    await new Promise((done) => child.once('close', done));
    return JSON.parse(said) as object;
  }

  /** Starts a server of it; answers where it listens. @throws Error with what it says where it ends before that */
  async serve(ownerUrl: string): Promise<string> {
    const port = await freePort();
    const child = this.program('main', {
      DATABASE_URL: ownerUrl,
      DEWPOT_PORT: String(port),
      DEWPOT_QUIET: '1',
      ...this.settings,
    });
    this.running.add(child);
    let said = '';
    child.stderr!.on('data', (text) => (said += String(text)));
    await new Promise<void>((done, reject) => {
      child.stdout!.on('data', (text) => String(text).includes('listening on') && done());
      child.once('close', () => reject(new Error(said)));
    });
    return `http://127.0.0.1:${port}`;
  }

  /** Ends its servers. */
  async end(): Promise<void> {
    const ends = [...this.running].map(async (child) => {
      if (child.exitCode === null) await new Promise((done) => (child.once('exit', done), child.kill('SIGTERM')));
    });
    await Promise.all(ends);
    this.running.clear();
  }
}
