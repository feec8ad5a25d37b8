import { createHash } from 'node:crypto';
import type { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { ARCHIVE_VERSION, ArchiveManifest, type ArchivedFile } from '@dewpot/contract';
import { msg } from '@dewpot/core/units';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { ProblemError } from '../http/problem-error.js';
import { validation } from '../http/validation.js';
import { MANIFEST } from './paths.js';
import { refuse } from './refuse.js';

const MOST_ENTRIES = 200_000;
const MOST_MANIFEST = 64 * 2 ** 20;
/** All that is in an archive, unpacked: a small file can claim any size. */
const MOST_UNPACKED = 16 * 2 ** 30;

const broken = (error: unknown) =>
  refuse('archive', msg('server.archiveBroken', { text: error instanceof Error ? error.message : String(error) }));

/** An archive on disk: a ZIP file whose manifest was read. What is read from it is checked against the manifest's checksums. */
export class ArchiveFile {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
    readonly manifest: ArchiveManifest,
    private readonly files: ReadonlyMap<string, ArchivedFile>,
  ) {}

  /** Opens a file and reads its manifest. @throws ProblemError 422 where it is none, is cut short, is of a later version, or has paths that lead elsewhere */
  static async open(path: string): Promise<ArchiveFile> {
    const zip = await yauzl.openPromise(path, { lazyEntries: true, autoClose: false, strictFileNames: true }).catch((error: unknown) => {
      throw broken(error);
    });
    try {
      const entries = await entriesOf(zip);
      const manifest = await manifestOf(zip, entries);
      const files = new Map(manifest.files.map((file) => [file.path, file]));
      for (const { path: missing } of manifest.files)
        if (!entries.has(missing)) throw refuse(missing, msg('server.archiveLacks', { path: missing }));
      return new ArchiveFile(zip, entries, manifest, files);
    } catch (error) {
      zip.close();
      throw error;
    }
  } // prettier-ignore

  close(): void {
    this.zip.close();
  }

  /** A file of the manifest; undefined where there is none of that path. */
  file(path: string): ArchivedFile | undefined {
    return this.files.get(path);
  }

  /** What is in a file, piece by piece. @throws ProblemError 422 at its end where it is not what its checksum says */
  async *read(path: string): AsyncGenerator<Buffer> {
    const file = this.files.get(path);
    const entry = this.entries.get(path);
    if (!file || !entry) throw refuse(path, msg('server.archiveLacks', { path }));
    const hash = createHash('sha256');
    try {
      for await (const chunk of (await this.zip.openReadStreamPromise(entry)) as AsyncIterable<Buffer>) {
        hash.update(chunk);
        yield chunk;
      }
    } catch (error) {
      throw error instanceof ProblemError ? error : broken(error);
    }
    if (hash.digest('hex') !== file.sha256) throw refuse(path, msg('server.archiveChanged', { path }));
  }
}

async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  if (zip.entryCount > MOST_ENTRIES) throw refuse('archive', msg('server.archiveEntries', { most: MOST_ENTRIES }));
  const entries = new Map<string, Entry>();
  let unpacked = 0;
  try {
    for await (const entry of zip.eachEntry()) {
      entries.set(entry.fileName, entry);
      unpacked += entry.uncompressedSize;
    }
  } catch (error) {
    throw broken(error);
  }
  if (unpacked > MOST_UNPACKED)
    throw refuse('archive', msg('server.archiveUnpacks', { most: MOST_UNPACKED / 2 ** 30 }));
  return entries;
}

async function manifestOf(zip: ZipFile, entries: ReadonlyMap<string, Entry>): Promise<ArchiveManifest> {
  const entry = entries.get(MANIFEST);
  if (!entry || entry.uncompressedSize > MOST_MANIFEST) throw refuse(MANIFEST, msg('server.noArchive'));
  const given = await asJson((await zip.openReadStreamPromise(entry)) as Readable);
  const version = (given as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > ARCHIVE_VERSION)
    throw refuse(MANIFEST, msg('server.archiveLater', { version, ours: ARCHIVE_VERSION }), msg('server.updateDewPot'));
  return (await validation.transform(given, { type: 'body', metatype: ArchiveManifest })) as ArchiveManifest;
}

async function asJson(stream: Readable): Promise<unknown> {
  try {
    return JSON.parse((await buffer(stream)).toString('utf8')) as unknown;
  } catch (error) {
    throw broken(error);
  }
}
