import { Injectable } from '@nestjs/common';
import { archiveTables, type ArchiveTableName } from '@dewpot/contract';
import { DataSource, type EntityTarget, type ObjectLiteral } from 'typeorm';
import { PastPersonEntity, WorkshopEntity } from '../accounts/accounts.entities.js';
import { AmbientAsideEntity, AmbientReadingEntity, PlaceEntity } from '../ambient/ambient.entities.js';
import { CalendarPlanEntity, OrderEntity } from '../calendar/calendar.entities.js';
import { CastEntity, CastEventEntity, CastPictureEntity } from '../casts/casts.entities.js';
import { DemouldLessonEntity } from '../curing/curing.entities.js';
import { TrialEntity } from '../findings/trials.entities.js';
import { ForgottenLessonEntity } from '../lessons/lessons.entities.js';
import { LotEntity, MaterialEntity, ScoopEntity, StockEntity } from '../materials/materials.entities.js';
import { MixEntity, MixRevisionEntity, TrialTileEntity } from '../mixes/mixes.entities.js';
import { CostingEntity } from '../money/money.entities.js';
import { FindingAsideEntity, MouldCopyEntity, MouldEntity, MouldPictureEntity, TubEntity } from '../moulds/moulds.entities.js'; // prettier-ignore
import { PatternEntity, PatternRevisionEntity } from '../patterns/patterns.entities.js';
import { PourEntity, RunEventEntity } from '../pours/pours.entities.js';
import { SealLessonEntity } from '../sealing/sealing.entities.js';
import { SwatchEntity, TintEntity, TintRevisionEntity } from '../tints/tints.entities.js';
import type { ArchiveRows } from './rows.js';

const entities: Readonly<Record<ArchiveTableName & keyof ArchiveRows, EntityTarget<ObjectLiteral>>> = {
  workshop: WorkshopEntity,
  people: PastPersonEntity,
  scoops: ScoopEntity,
  materials: MaterialEntity,
  lots: LotEntity,
  stock: StockEntity,
  mixes: MixEntity,
  mixRevisions: MixRevisionEntity,
  trialTiles: TrialTileEntity,
  tints: TintEntity,
  tintRevisions: TintRevisionEntity,
  swatches: SwatchEntity,
  patterns: PatternEntity,
  patternRevisions: PatternRevisionEntity,
  tubs: TubEntity,
  moulds: MouldEntity,
  mouldCopies: MouldCopyEntity,
  mouldPictures: MouldPictureEntity,
  findingsAside: FindingAsideEntity,
  costings: CostingEntity,
  places: PlaceEntity,
  ambientAsides: AmbientAsideEntity,
  ambientReadings: AmbientReadingEntity,
  trials: TrialEntity,
  orders: OrderEntity,
  calendarPlans: CalendarPlanEntity,
  demouldLessons: DemouldLessonEntity,
  sealLessons: SealLessonEntity,
  forgottenLessons: ForgottenLessonEntity,
  pours: PourEntity,
  runEvents: RunEventEntity,
  casts: CastEntity,
  castEvents: CastEventEntity,
  castPictures: CastPictureEntity,
};

/** Whoever did something that is on record, by name. */
const peopleOnRecord = `(select id, name from people union all select id, name from past_people) as people
  where id in (select finished_by from pours union select person_id from run_events union select person_id from cast_events)`;

/** Columns that are not of an archive: of a workshop the demo's mark and what counts edits; of a place what its readings tell. */
const leftOut: Partial<Record<ArchiveTableName, readonly string[]>> = {
  workshop: ['version', 'demo', 'removedAt'],
  places: ['latestReading'],
};

/** A column under its name in an archive. */
interface ArchiveColumn {
  readonly name: string;
  /** As SQL has it. */
  readonly column: string;
  readonly type: string;
  /** It is the checksum of a photo. */
  readonly picture: boolean;
}

/** A table of the database as an archive has it. */
export interface ArchiveTable {
  readonly name: ArchiveTableName;
  readonly table: string;
  /** What stands behind FROM: the rows of the workshop at hand. */
  readonly from: string;
  readonly columns: readonly ArchiveColumn[];
  /** What its rows are ordered by. */
  readonly order: string;
}

/** The tables of an archive with their columns, as the database's own description has them. */
@Injectable()
export class ArchiveTables {
  readonly all: readonly ArchiveTable[];

  constructor(source: DataSource) {
    this.all = archiveTables.map((name) => tableOf(name, source));
  }
}

function tableOf(name: ArchiveTableName, source: DataSource): ArchiveTable {
  const { tableName, columns, primaryColumns } = source.getMetadata(entities[name]);
  const quoted = (column: { readonly databaseName: string }) => `"${column.databaseName}"`;
  const kept = columns.filter(({ propertyName }) => !['workshopId', ...(leftOut[name] ?? [])].includes(propertyName));
  return {
    name,
    table: `"${tableName}"`,
    from: name === 'people' ? peopleOnRecord : `"${tableName}"`,
    columns: kept.map((column) => ({
      name: column.type === 'bytea' ? 'picture' : column.propertyName,
      column: quoted(column),
      type: `${String(column.type)}${column.isArray ? '[]' : ''}`,
      picture: column.type === 'bytea',
    })),
    order: primaryColumns
      .filter(({ propertyName }) => propertyName !== 'workshopId')
      .map(quoted)
      .join(),
  };
}

/** The key of the workshop itself, and of what there is once in it: in an archive it is none, so that every workshop can have it. */
export const WORKSHOP_KEY = '00000000-0000-0000-0000-000000000000';
const once = `case "id" when nullif(current_setting('app.workshop', true), '')::uuid then '${WORKSHOP_KEY}' else "id" end`;

/** A value as an archive has it. */
function told({ name, column, picture }: ArchiveColumn): string {
  if (picture) return `encode(${column}, 'hex')`;
  return name === 'id' ? once : column;
}

/** Asks for the rows as JSON, one in each line. */
export const jsonOf = ({ from, columns, order }: ArchiveTable): string =>
  `select json_build_object(${columns.map((one) => `'${one.name}', ${told(one)}`).join()})::text from ${from} order by ${order}`;

/** Asks for the rows as a table. */
export const tableSql = ({ from, columns, order }: ArchiveTable): string =>
  `select ${columns.map((one) => `${told(one)} as "${one.name}"`).join()} from ${from} order by ${order}`;
