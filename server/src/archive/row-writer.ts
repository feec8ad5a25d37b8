import { buffer } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import { DAY, msg } from '@dewpot/core/units';
import pg from 'pg';
import { clock } from '../clock.js';
import type { CalculationPool } from '../calculation/calculation-pool.js';
import type { ArchiveFile } from './archive-file.js';
import { picturePath, recordsPath } from './paths.js';
import { refuse } from './refuse.js';
import type { ArchiveTable } from './tables.js';

type Row = Readonly<Record<string, unknown>>;

/** Things that are the same where their name and all that is said of them is. */
const ALIKE: readonly string[] = ['scoops', 'materials', 'stock', 'tubs'];
const EDITS: readonly string[] = ['id', 'version', 'createdAt', 'updatedAt'];
/** Readings before this, or to come, are none: each month has a table of its own. */
const FIRST_READING = Date.UTC(2000, 0, 1);
const MOST_PICTURE = 12 * 2 ** 20;

interface Surroundings {
  readonly archive: ArchiveFile;
  readonly pool: CalculationPool;
  /** Keys of the archive that stand for others here; what is found alike is added. */
  readonly keys: Record<string, string>;
  readonly shift: number;
}

/** Writes records of an archive into a workshop, in the transaction of a client. */
export class RowWriter {
  constructor(
    private readonly client: pg.Client,
    private readonly workshopId: string,
    private readonly into: 'empty' | 'filled',
    private readonly around: Surroundings,
  ) {}

  /** Writes some records of a table; answers how many of them are new here. @throws ProblemError 422 where the database does not take them */
  async write(table: ArchiveTable, rows: readonly Row[]): Promise<number> {
    try {
      if (table.name === 'workshop') return await this.becomes(rows);
      if (table.name === 'people') return await this.addPeople(rows);
      if (table.name === 'ambientReadings') await this.makeMonths(rows);
      if (table.columns.some(({ picture }) => picture)) return await this.addPictures(table, rows);
      return await this.insert(table, await this.withoutAlike(table, rows));
    } catch (error) {
      const { code = '' } = error as { code?: string };
      // What the database says of values (22) and of what belongs together (23).
      if (!(error instanceof pg.DatabaseError) || !/^2[23]/.test(code)) throw error;
      throw refuse(recordsPath(table.name), msg('server.archiveNotTaken', { table: table.name, text: error.message }));
    }
  }

  private async insert({ table, columns }: ArchiveTable, rows: readonly Row[]): Promise<number> {
    if (rows.length === 0) return 0;
    const names = columns.map(({ column }) => column).join();
    const { rowCount } = await this.client.query(
      `insert into ${table} ("workshop_id", ${names}) select $2, ${columns.map(({ name }) => `"${name}"`).join()}
       from jsonb_to_recordset($1) as given(${columns.map(({ name, type }) => `"${name}" ${type}`).join()}) on conflict do nothing`,
      [JSON.stringify(rows), this.workshopId],
    );
    return rowCount ?? 0;
  }

  /** The rows but for those of which the same is here under another key: that one stands for them. */
  private async withoutAlike({ name, table, columns }: ArchiveTable, rows: readonly Row[]): Promise<readonly Row[]> {
    if (this.into === 'empty' || !ALIKE.includes(name)) return rows;
    const said = columns.filter((one) => !EDITS.includes(one.name));
    const { rows: alike } = await this.client.query<{ theirs: string; ours: string }>(
      `select distinct on (given.id) given.id as theirs, here.id as ours
       from jsonb_to_recordset($1) as given(id uuid, ${said.map((one) => `"${one.name}" ${one.type}`).join()})
       join ${table} here on ${said.map((one) => `here.${one.column} is not distinct from given."${one.name}"`).join(' and ')}
       where not exists (select 1 from ${table} same where same.id = given.id) order by given.id, here.id`,
      [JSON.stringify(rows)],
    );
    for (const { theirs, ours } of alike) this.around.keys[theirs] = ours;
    return rows.filter(({ id }) => this.around.keys[String(id)] === undefined);
  }

  /** Gives the workshop the settings of the archive where nothing was made in it; counts pours on in any case. */
  private async becomes([row]: readonly Row[]): Promise<number> {
    const counted = Number(row?.poursCounted) + this.around.shift;
    await this.client.query(
      'update workshops set pours_counted = greatest(pours_counted, $1), settings = coalesce($2, settings), version = version + 1',
      [counted, this.into === 'empty' ? JSON.stringify(row?.settings) : null],
    );
    return this.into === 'empty' ? 1 : 0;
  }

  /** Keeps the names of those who did something, but of those who are here. */
  private async addPeople(rows: readonly Row[]): Promise<number> {
    const { rowCount } = await this.client.query(
      `insert into past_people (workshop_id, id, name) select $2, id, left(name, 80) from jsonb_to_recordset($1) as given(id uuid, name text)
       where not exists (select 1 from people where people.id = given.id) on conflict do nothing`,
      [JSON.stringify(rows), this.workshopId],
    );
    return rowCount ?? 0;
  }

  private async makeMonths(rows: readonly Row[]): Promise<void> {
    const times = rows.map(({ at }) => Number(at));
    const wrong = times.find((at) => at < FIRST_READING || at > clock.now() + DAY);
    if (wrong !== undefined)
      throw refuse(recordsPath('ambientReadings'), msg('server.archiveReading', { at: String(wrong) }));
    const month = (at: number) => new Date(at).toISOString().slice(0, 7);
    const firsts = new Map(times.map((at) => [month(at), at]));
    for (const at of firsts.values()) await this.client.query('select ambient_month($1)', [at]);
  }

  private async addPictures(table: ArchiveTable, rows: readonly Row[]): Promise<number> {
    for (const sum of new Set(rows.map(({ picture }) => String(picture)))) await this.keepPhoto(sum);
    return this.insert(
      table,
      rows.map((row) => ({ ...row, picture: `\\x${String(row.picture)}` })),
    );
  }

  /** Keeps a photo of the archive, unless the same is here. @throws ProblemError 422 where it is none */
  private async keepPhoto(sum: string): Promise<void> {
    const path = picturePath(sum);
    const { archive, pool } = this.around;
    const file = archive.file(path);
    if ((file?.bytes ?? 0) > MOST_PICTURE || file?.sha256 !== sum) throw refuse(path, msg('server.archivePicture', { path }));
    const { rows: here } = await this.client.query(`select 1 from photos where sum = decode($1, 'hex') for key share`, [sum]);
    if (here.length > 0) return;
    const image = await buffer(Readable.from(archive.read(path)));
    if (!(await pool.run('checkKept', image))) throw refuse(path, msg('server.archivePicture', { path }));
    await this.client.query(
      'insert into photos (workshop_id, sum, large, bytes) values ($1, sha256($2), $2, octet_length($2::bytea)) on conflict do nothing',
      [this.workshopId, image],
    );
  } // prettier-ignore
}
