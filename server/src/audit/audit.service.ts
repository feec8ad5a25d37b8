import { Injectable } from '@nestjs/common';
import type { AuditEntryView, AuditQuery, Page } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { clock } from '../clock.js';
import { pageOf, withWords } from '../db/page.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { AuditEntryEntity } from './audit.entities.js';

/** What things are called: casts by their codes, pours by their numbers, webhooks by whom they tell, the rest by what they were last called by whoever named them. */
const NAMES = `
  select id, code as name from casts where workshop_id = $1 and id = any($2)
  union all select id, number::text from pours where workshop_id = $1 and id = any($2)
  union all select id, label from webhooks where workshop_id = $1 and id = any($2)
  union all (select distinct on (record_id) record_id, record from audit_entries
    where workshop_id = $1 and record_id = any($2) and record is not null order by record_id, at desc)`;

/** An entry. A transaction has a number of its own as soon as it writes: where it has none, and `$11` does not say otherwise, nothing was done. */
const ADD = `
  insert into audit_entries (id, workshop_id, at, person_id, person, thing, deed, record_id, record, event)
  select $1::uuid, $2::uuid, $3::bigint, $4::uuid, $5, $6, $7, $8::uuid, $9, $10 where $11::boolean or pg_current_xact_id_if_assigned() is not null`;

/** Who did what in a workshop, and when. */
@Injectable()
export class AuditService {
  constructor(private readonly rows: WorkshopContext) {}

  /** Adds an entry, in the transaction at hand: where that wrote something, or where it was done in another one before. */
  async add(entry: Omit<AuditEntryEntity, 'id' | 'workshopId' | 'at'>, before: boolean): Promise<void> {
    const { personId, person, thing, deed, recordId, record, event } = entry;
    await this.rows.manager.query(ADD, [uuid(), this.rows.workshopId, clock.now(), personId, person, thing, deed, recordId, record, event, before]);
  } // prettier-ignore

  /** A page of entries, the newest first. */
  async page({ q, person, thing, record, ...page }: AuditQuery): Promise<Page<AuditEntryView>> {
    const query = this.rows.of(AuditEntryEntity).createQueryBuilder('row');
    if (person !== undefined) query.andWhere('row.person_id = :person', { person });
    if (thing !== undefined) query.andWhere('row.thing = :thing', { thing });
    if (record !== undefined) query.andWhere('row.record_id = :record', { record });
    withWords(query, q, ['row.person', `coalesce(row.record, '')`]);
    const found = await pageOf(query, { by: 'row.at', type: 'bigint', down: true }, page);
    const names = await this.names(found.rows);
    return { ...found, rows: found.rows.map((one) => entryView(one, one.record ?? names.get(one.recordId ?? ''))) };
  }

  /** What the things of entries are called. */
  private async names(entries: readonly AuditEntryEntity[]): Promise<Map<string, string>> {
    const ids = entries.flatMap(({ recordId }) => recordId ?? []);
    const rows = await this.rows.manager.query<{ id: string; name: string }[]>(NAMES, [this.rows.workshopId, ids]);
    return new Map(rows.map(({ id, name }) => [id, name]));
  }
}

const entryView = (
  { id, at, person, thing, deed, recordId, event }: AuditEntryEntity,
  record?: string,
): AuditEntryView => ({
  ...{ id, at, person, thing, deed },
  ...(recordId !== null && { recordId }),
  ...(record !== undefined && { record }),
  ...(event !== null && { event }),
});
