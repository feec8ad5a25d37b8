import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { msg, MINUTE } from '@dewpot/core/units';
import type { Request } from 'express';
import { ProblemError } from '../http/problem-error.js';

/** The largest archive that is read in. */
const MOST_BYTES = 4 * 2 ** 30;
/** Nothing may go either way for so long while an archive is read, ms. */
const SILENCE = 10 * MINUTE;

const tooLarge = () =>
  new ProblemError(413, msg('server.tooLarge'), { detail: msg('server.archiveLarge', { most: MOST_BYTES / 2 ** 30 }) });

/** Passes no more than `most` bytes on. */
function capped(most: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _, done) {
      bytes += chunk.length;
      done(bytes > most ? tooLarge() : null, chunk);
    },
  });
}

/** Keeps what a request brings in a file for as long as `work` lasts. @throws ProblemError 413, 415 */
export async function withReceived<T>(request: Request, work: (path: string) => Promise<T>): Promise<T> {
  if (!request.is(['application/zip', 'application/octet-stream']))
    throw new ProblemError(415, msg('server.archiveRefused'), { detail: msg('server.sendZip') });
  if (Number(request.headers['content-length']) > MOST_BYTES) throw tooLarge();
  request.socket.setTimeout(SILENCE);
  const folder = await mkdtemp(join(tmpdir(), 'dewpot-archive-'));
  try {
    const path = join(folder, 'archive.zip');
    await pipeline(request, capped(MOST_BYTES), createWriteStream(path, { mode: 0o600 }));
    return await work(path);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
