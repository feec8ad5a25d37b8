// @ts-check
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { say, Stop } from './say.mjs';

/**
 * What the built server is told of where it runs; with `code`, whoever registers has to give it.
 * @param {{ database: string, host: string, port: number, hostNames?: readonly string[], code?: string }} where
 * @returns {NodeJS.ProcessEnv}
 */
export function environment({ database, host, port, hostNames = [], code }) {
  return {
    ...process.env,
    NODE_ENV: 'production',
    DATABASE_URL: database,
    DEWPOT_PORT: String(port),
    DEWPOT_HOST: host,
    DEWPOT_HOST_NAMES: hostNames.join(','),
    ...(code && { DEWPOT_REGISTRATION_CODE: code }),
    DEWPOT_PROGRAMS: join(root, 'server/dist/app'),
    DEWPOT_WEB: join(root, 'web/dist'),
  };
}

/** Brings the database up to date; answers whether it holds no workshop yet. @param {NodeJS.ProcessEnv} env @returns {Promise<boolean>} */
export async function prepareDatabase(env) {
  const { problem, empty } = JSON.parse(await runProgram(join(root, 'server/dist/app/prepare.js'), env));
  if (!problem) return empty;
  const { host, pathname } = new URL(env.DATABASE_URL ?? '');
  throw new Stop(
    `The database ${pathname.slice(1)} at ${host} cannot be used (${problem}). Check DATABASE_URL, and that its user may make roles.`,
  );
}

/** Brings the database up to date, and fills an empty one with the demo workshop where that is asked. @param {NodeJS.ProcessEnv} env @param {{ demo: boolean }} options */
export async function fillDatabase(env, { demo }) {
  say('Preparing the database…');
  if (!(await prepareDatabase(env)) || !demo) return;
  say('Filling the demo workshop…');
  await runProgram(join(root, 'demo/dist/app/main.js'), env);
}

/** Runs one of our programs to its end and answers what it printed. @param {string} program @param {NodeJS.ProcessEnv} env @returns {Promise<string>} */
function runProgram(program, env) {
  return new Promise((done, reject) => {
    const child = spawn(process.execPath, [program], { env, stdio: ['ignore', 'pipe', 'inherit'] });
    let out = '';
    child.stdout.on('data', (chunk) => (out += chunk));
    child.on('exit', (code) =>
      code === 0
        ? done(out)
        : reject(
            new Stop(`The database could not be prepared (${program} ended with ${code}). Its message stands above.`),
          ),
    );
  });
}

/** Starts the server; `listening` resolves when it does. @param {NodeJS.ProcessEnv} env */
export function startServer(env) {
  const child = spawn(process.execPath, [join(root, 'server/dist/app/main.js')], {
    env,
    stdio: ['ignore', 'pipe', 'inherit', 'ipc'],
    detached: true,
  });
  const listening = new Promise((done, reject) => {
    child.stdout?.on('data', (chunk) => {
      if (String(chunk).includes('listening on')) return done(undefined);
      process.stdout.write(chunk);
    });
    child.once('exit', (code) =>
      reject(new Stop(`The server ended before it listened (${code}). Its message stands above.`)),
    );
  });
  return { child, listening };
}
