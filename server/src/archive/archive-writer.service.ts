import { createHash, type Hash } from 'node:crypto';
import { Readable, Transform, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Injectable } from '@nestjs/common';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, type ArchivedFile, type ArchiveManifest, type ArchiveOutline } from '@dewpot/contract'; // prettier-ignore
import type pg from 'pg';
import { to as copyTo } from 'pg-copy-streams';
import { ZipFile } from 'yazl';
import { CastEntity } from '../casts/casts.entities.js';
import { LongTransactions } from '../db/long-transactions.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { MANIFEST, picturePath, recordsPath, SCHEMA, tablePath } from './paths.js';
import { readme } from './readme.js';
import schema from './schema.json' with { type: 'json' };
import { ArchiveTables, jsonOf, tableSql, type ArchiveTable } from './tables.js';

/** JSON holds no such letters as they are, so a line of COPY with them is the bare JSON. */
const LINES = `(format csv, quote E'\\x01', delimiter E'\\x02')`;
const CSV = '(format csv, header)';

/** Who did what: told, and never read in, since anybody could write it. */
const AUDIT = 'select at, person_id, person, thing, deed, record_id, record from audit_entries order by at, id';

type Opened = () => Promise<Readable>;

/** Counts what passes and takes its checksum. */
function measured(kept: (file: Omit<ArchivedFile, 'path'>) => void, counted: boolean): Transform {
  const hash: Hash = createHash('sha256');
  let bytes = 0;
  let rows = 0;
  return new Transform({
    transform(chunk: Buffer, _, done) {
      hash.update(chunk);
      bytes += chunk.length;
      if (counted) for (let at = chunk.indexOf(10); at >= 0; at = chunk.indexOf(10, at + 1)) rows++;
      done(null, chunk);
    },
    flush(done) {
      kept({ bytes, sha256: hash.digest('hex'), ...(counted && { rows }) });
      done();
    },
  });
}

const copy = (client: pg.Client, sql: string, how: string) =>
  Promise.resolve(client.query(copyTo(`copy (${sql}) to stdout with ${how}`)));

/** Whoever fetched it may stop: that is no fault. */
function unlessStopped(error: NodeJS.ErrnoException): void {
  if (error.code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error;
}

/** Takes a whole workshop out as one file, as it stands at one moment. */
@Injectable()
export class ArchiveWriter {
  constructor(
    private readonly long: LongTransactions,
    private readonly tables: ArchiveTables,
    private readonly rows: WorkshopContext,
  ) {}

  /** How large an archive of the workshop at hand would be: its photos as they are, and what compressed records usually take. */
  async outline(): Promise<ArchiveOutline> {
    const [size] = await this.rows.manager.query<{ photos: string; bytes: string }[]>(
      'select count(*) as photos, coalesce(sum(octet_length(large)), 0) as bytes from photos',
    );
    const casts = await this.rows.of(CastEntity).count();
    return { casts, photos: Number(size?.photos), bytes: Number(size?.bytes) + 300_000 + casts * 8_000 };
  }

  /** Writes the archive of a workshop. What goes wrong on the way breaks the file off. @throws ProblemError 503 where too many are made at once */
  async write(workshopId: string, madeAt: number, begin: (name: string) => Writable): Promise<void> {
    await this.long.run(workshopId, 'read', async (client) => {
      const { rows: found } = await client.query<{ name: string }>(`select settings ->> 'name' as name from workshops`);
      const name = found[0]?.name ?? '';
      const zip = new ZipFile();
      const files: ArchivedFile[] = [];
      const mtime = new Date(madeAt);
      /** Files are written one after the other, each opened when its turn comes. */
      const add = (path: string, open: Opened, { counted = false, compressed = true } = {}) =>
        zip.addReadStreamLazy(path, { mtime, compress: compressed }, (opened) => {
          const through = measured((file) => files.push({ path, ...file }), counted);
          open()
            .then((stream) => opened(null, stream.on('error', (error) => through.destroy(error)).pipe(through)))
            .catch((error: unknown) => opened(error, Readable.from([])));
        });
      this.addTexts(add, name, madeAt);
      for (const table of this.tables.all) this.addTable(add, client, table);
      add('tables/audit.csv', () => copy(client, AUDIT, CSV));
      await this.addPictures(add, client);
      const manifest = (): ArchiveManifest => ({
        ...{ format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, madeAt: mtime.toISOString() },
        workshop: { id: workshopId, name },
        files,
      });
      zip.addReadStreamLazy(MANIFEST, { mtime }, (opened) =>
        opened(null, Readable.from([JSON.stringify(manifest(), undefined, 1)])),
      );
      zip.end();
      const out = zip.outputStream as Readable;
      zip.on('error', (error: Error) => out.destroy(error));
      await pipeline(out, begin(name)).catch(unlessStopped);
    });
  }

  private addTexts(add: (path: string, open: Opened) => void, name: string, madeAt: number): void {
    const text = (path: string, content: string) => add(path, () => Promise.resolve(Readable.from([Buffer.from(content)])));
    text('README.md', readme(name, madeAt, this.tables.all));
    text(SCHEMA, JSON.stringify(schema, undefined, 1));
  } // prettier-ignore

  private addTable(
    add: (path: string, open: Opened, how?: { counted: boolean }) => void,
    client: pg.Client,
    table: ArchiveTable,
  ): void {
    add(recordsPath(table.name), () => copy(client, jsonOf(table), LINES), { counted: true });
    add(tablePath(table.name), () => copy(client, tableSql(table), CSV));
  } // prettier-ignore

  private async addPictures(
    add: (path: string, open: Opened, how?: { compressed: boolean }) => void,
    client: pg.Client,
  ): Promise<void> {
    const { rows: kept } = await client.query<{ sum: Buffer }>('select sum from photos order by sum');
    const image = async (sum: Buffer) => {
      const { rows: found } = await client.query<{ large: Buffer }>('select large from photos where sum = $1', [sum]);
      return Readable.from(found.map(({ large }) => large));
    };
    for (const { sum } of kept) add(picturePath(sum.toString('hex')), () => image(sum), { compressed: false });
  }
}
