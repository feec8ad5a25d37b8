import { Inject, Injectable } from '@nestjs/common';
import type { ArchiveReport, ArchiveTableReport } from '@dewpot/contract';
import type pg from 'pg';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { CONFIG, type ServerConfig } from '../config.js';
import { LongTransactions } from '../db/long-transactions.js';
import { mostPhotos, photosFull } from '../pictures/photo-room.js';
import { ArchiveFile } from './archive-file.js';
import { batchesOf } from './batches.js';
import { recordsPath } from './paths.js';
import { RowWriter } from './row-writer.js';
import { ArchiveTables, WORKSHOP_KEY, type ArchiveTable } from './tables.js';

/** Tables in which nothing stands before somebody makes something; what a workshop begins with lies in the others. */
const MADE = [
  'lots',
  'stock',
  'moulds',
  'mixes',
  'tints',
  'patterns',
  'pours',
  'casts',
  'orders',
  'trials',
  'tubs',
  'ambient_readings',
];

/** Nothing is to be kept: it was only asked what would become of it. */
class OnlySaid extends Error {
  constructor(readonly report: ArchiveReport) {
    super('Only said.');
  }
}

/** Where an archive goes. */
interface Target {
  readonly into: ArchiveReport['into'];
  /** Numbers that were given to pours here. */
  readonly counted: number;
}

/** Reads an archive into a workshop: all of it or nothing, and first only said. */
@Injectable()
export class ArchiveReader {
  constructor(
    private readonly long: LongTransactions,
    private readonly tables: ArchiveTables,
    private readonly pool: CalculationPool,
    @Inject(CONFIG) private readonly config: ServerConfig,
  ) {}

  /**
   * Reads the archive that lies at `path` into a workshop. One in which nothing was made becomes that of the archive; else the archive is
   * added, and what is here under the same key stays as it is. With `dry` all is done and undone again, so that what is said is what would be.
   * @throws ProblemError 422 where something in it cannot be
   */
  async read(workshopId: string, path: string, dry: boolean): Promise<ArchiveReport> {
    const archive = await ArchiveFile.open(path);
    try {
      return await this.long.run(workshopId, 'write', async (client) => {
        const report = await this.readInto(client, workshopId, archive, !dry);
        if (dry) throw new OnlySaid(report);
        return report;
      });
    } catch (error) {
      if (error instanceof OnlySaid) return error.report;
      throw error;
    } finally {
      archive.close();
    }
  }

  private async readInto(client: pg.Client, workshopId: string, archive: ArchiveFile, done: boolean): Promise<ArchiveReport> {
    const { manifest } = archive;
    const { into, counted } = await this.target(client);
    if (into === 'empty') await this.clear(client);
    // Taken from this very workshop, its numbers are those of here.
    const shift = into === 'empty' || manifest.workshop.id === workshopId ? 0 : counted;
    const keys: Record<string, string> = { [WORKSHOP_KEY]: workshopId };
    const writer = new RowWriter(client, workshopId, into, { archive, pool: this.pool, keys, shift });
    const tables: ArchiveTableReport[] = [];
    for (const table of this.tables.all) {
      const report = await this.readTable(writer, archive, table, { keys, shift });
      if (report.rows > 0) tables.push(report);
    }
    await this.forgetKept(client, into);
    await this.checkRoom(client);
    const { name: workshop } = manifest.workshop;
    return { done, workshop, madeAt: Date.parse(manifest.madeAt), into, shift, tables };
  } // prettier-ignore

  private async readTable(
    writer: RowWriter,
    archive: ArchiveFile,
    table: ArchiveTable,
    mapping: { readonly keys: Record<string, string>; readonly shift: number },
  ): Promise<ArchiveTableReport> {
    const report = { table: table.name, rows: 0, added: 0, there: 0 };
    if (!archive.file(recordsPath(table.name))) return report;
    for await (const { text, before, lines } of batchesOf(archive.read(recordsPath(table.name)), table.name)) {
      const rows = await this.pool.run('archiveRows', { table: table.name, text, before }, mapping);
      const added = await writer.write(table, rows);
      report.rows += lines;
      report.added += added;
      report.there += lines - added;
    }
    return report;
  }

  /** Holds the workshop: nobody adds anything to it until this is through. */
  private async target(client: pg.Client): Promise<Target> {
    const { rows } = await client.query<{ counted: number }>('select pours_counted as counted from workshops for update');
    const { rows: made } = await client.query<{ any: boolean }>(
      `select ${MADE.map((table) => `exists (select 1 from ${table})`).join(' or ')} as any`,
    );
    return { into: made[0]?.any ? 'filled' : 'empty', counted: rows[0]?.counted ?? 0 };
  } // prettier-ignore

  /** What was calculated from the records is calculated again. */
  private async forgetKept(client: pg.Client, into: ArchiveReport['into']): Promise<void> {
    await client.query('delete from kept_ways');
    if (into === 'filled') await client.query('update places set late = late + 1');
  }

  /** @throws ProblemError 409 where there is no room for all the photos */
  private async checkRoom(client: pg.Client): Promise<void> {
    const { rows } = await client.query<{ bytes: number }>('select coalesce(sum(bytes), 0)::float8 as bytes from photos');
    const bytes = rows[0]?.bytes ?? 0;
    const most = mostPhotos(this.config);
    if (bytes > most) throw photosFull(bytes, most);
  } // prettier-ignore

  /** Takes away what a workshop began with. */
  private async clear(client: pg.Client): Promise<void> {
    for (const { name, table } of [...this.tables.all].reverse())
      if (name !== 'workshop') await client.query(`delete from ${table}`);
  }
}
