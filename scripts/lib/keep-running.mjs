// @ts-check
import { setTimeout as wait } from 'node:timers/promises';
import { startServer } from './server.mjs';

/** How soon a server that ended is started again, ms: longer each time, and from the beginning once it has run for a while. */
const FIRST = 500;
const LONGEST = 8_000;
const STEADY = 10_000;
/** How often the database is looked at, ms. */
const LOOKS = 1_000;
/** A server that was asked to stop is given so long, ms; then it is ended. */
const GRACE = 8_000;

/**
 * Keeps a server and its private database running: whichever ends is started again, and it is said.
 * `kill` ends the server at once, for tests of what follows.
 * @param {NodeJS.ProcessEnv} env @param {import('./postgres.mjs').Cluster | undefined} cluster @param {{ quiet?: boolean }} [options]
 */
export function keepRunning(env, cluster, { quiet = false } = {}) {
  const tell = (/** @type {string} */ text) => (quiet ? undefined : process.stderr.write(`${text}\n`));
  /** @type {import('node:child_process').ChildProcess | undefined} */
  let server;
  let over = false;
  let pause = FIRST;

  /** Starts the server, and sees to it that the next one follows when it ends. */
  const start = async () => {
    const started = startServer(env);
    server = started.child;
    const since = Date.now();
    let listens = false;
    server.once('exit', (code, signal) => {
      // One that never listened is told of by whoever started it.
      if (over || !listens) return;
      if (Date.now() - since > STEADY) pause = FIRST;
      void again(`The server ended by itself (${signal ?? code}).`);
    });
    await started.listening;
    listens = true;
  };

  const again = async (/** @type {string} */ why) => {
    tell(`${why} It is started again in ${pause / 1000} s; nothing that was saved is lost.`);
    await wait(pause);
    pause = Math.min(LONGEST, pause * 2);
    if (over) return;
    await start().then(
      () => tell('The server runs again.'),
      (/** @type {Error} */ { message }) => (over ? undefined : again(message)),
    );
  };

  let looking = false;
  const look = async () => {
    if (over || looking || !cluster) return;
    looking = true;
    try {
      if (await cluster.revive())
        tell('The database had ended by itself and was started again; nothing that was saved is lost.');
    } catch (error) {
      if (!over) tell(`The database does not start: ${/** @type {Error} */ (error).message}`);
    }
    looking = false;
  };
  const watch = setInterval(() => void look(), LOOKS);

  return {
    start,
    kill: () => void server?.kill('SIGKILL'),
    stop: async () => {
      over = true;
      clearInterval(watch);
      if (!server || server.exitCode !== null || server.signalCode !== null) return;
      const ended = new Promise((done) => server?.once('exit', done));
      server.kill('SIGTERM');
      const slow = setTimeout(() => server?.kill('SIGKILL'), GRACE);
      await ended;
      clearTimeout(slow);
    },
  };
}
