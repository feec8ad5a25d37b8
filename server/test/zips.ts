import { createHash } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import type { ArchiveManifest } from '@dewpot/contract';
import yauzl from 'yauzl';
import { ZipFile } from 'yazl';
import type { Agent } from './harness.js';

/** What lies in a ZIP file, by path. */
export type Files = Record<string, Buffer>;

export async function unzipped(zip: Buffer): Promise<Files> {
  const file = await yauzl.fromBufferPromise(zip, { lazyEntries: true });
  const files: Files = {};
  for await (const entry of file.eachEntry())
    files[entry.fileName] = await buffer((await file.openReadStreamPromise(entry)) as Readable);
  return files;
}

export function zipped(files: Files): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [path, content] of Object.entries(files)) zip.addBuffer(content, path);
  zip.end();
  return buffer(zip.outputStream as Readable);
}

export const manifestOf = (files: Files): ArchiveManifest =>
  JSON.parse(files['manifest.json']!.toString()) as ArchiveManifest;

/** The archive of a workshop. */
export async function takenFrom(agent: Agent): Promise<Buffer> {
  const { body } = await agent
    .get('/api/archive')
    .expect(200)
    .buffer(true)
    .parse((response, done) => {
      buffer(response as unknown as Readable).then(
        (whole) => done(null, whole),
        (error: unknown) => done(error as Error, null),
      );
    });
  return body as Buffer;
}

/** An archive with some of its files changed, and its manifest made true again. */
export async function rewritten(zip: Buffer, change: (files: Files) => void): Promise<Buffer> {
  const files = await unzipped(zip);
  change(files);
  const manifest = manifestOf(files);
  const listed = manifest.files.map((file) => {
    const content = files[file.path];
    return content
      ? { ...file, bytes: content.length, sha256: createHash('sha256').update(content).digest('hex') }
      : file;
  });
  return zipped({ ...files, 'manifest.json': Buffer.from(JSON.stringify({ ...manifest, files: listed })) });
}
