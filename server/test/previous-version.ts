import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { BuiltServer } from './built-server.js';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));
const MIGRATIONS = 'server/src/db/migrations';
/** What a server is built of. */
const PARTS = ['core', 'contract', 'locales', 'server', 'package.json', 'tsconfig.base.json'];

const git = (...args: string[]) =>
  execFileSync('git', args, { cwd: ROOT, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }).trim();

/** The revision before the newest migration came; undefined where the history is not at hand. */
export function revisionBefore(): string | undefined {
  const newest = readdirSync(join(ROOT, MIGRATIONS)).filter((name) => /^\d\d-/.test(name)).sort().at(-1)!; // prettier-ignore
  try {
    const came = git('log', '--diff-filter=A', '--format=%H', '-1', '--', join(MIGRATIONS, newest));
    return git('rev-parse', '--verify', came ? `${came}^` : 'HEAD');
  } catch {
    // No repository, or one whose history is cut off.
    return undefined;
  }
}

/** A folder of packages that leads to those of another; ours are those of `own`. */
function linkPackages(from: string, to: string, own?: string): void {
  mkdirSync(to, { recursive: true });
  for (const name of readdirSync(from))
    if (name !== '@dewpot' && !name.startsWith('.vite')) symlinkSync(join(from, name), join(to, name));
  if (own === undefined) return;
  mkdirSync(join(to, '@dewpot'));
  for (const name of ['core', 'contract', 'locales', 'server']) symlinkSync(join(own, name), join(to, '@dewpot', name));
}

/** A version of the server that was built from the history, with the packages of today. */
export class PreviousVersion extends BuiltServer {
  private constructor(private readonly folder: string) {
    const programs = join(folder, 'server/dist/app');
    // One of November 2026 did not find them by itself.
    super(programs, { DEWPOT_PROGRAMS: programs });
  }

  static build(revision: string): PreviousVersion {
    const folder = mkdtempSync(join(tmpdir(), 'dewpot-previous-'));
    const files = execFileSync('git', ['archive', revision, ...PARTS], { cwd: ROOT, maxBuffer: 256e6 });
    execFileSync('tar', ['-x', '-C', folder], { input: files });
    linkPackages(join(ROOT, 'node_modules'), join(folder, 'node_modules'), folder);
    linkPackages(join(ROOT, 'server/node_modules'), join(folder, 'server/node_modules'));
    execFileSync(process.execPath, [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'error'], {
      cwd: join(folder, 'server'),
      env: { ...process.env, NODE_ENV: 'production' },
    });
    return new PreviousVersion(folder);
  }

  /** Ends its servers and removes it. */
  async remove(): Promise<void> {
    await this.end();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
