import { Injectable } from '@nestjs/common';
import type { PairDryings } from '@dewpot/core/findings';
import { WorkshopContext } from '../db/workshop-context.js';
import { ForgottenLessons } from '../lessons/index.js';

/** So many of the latest pieces of a mould with a mix teach how such pieces dry. */
const MOST_RECORDS = 60;

/** … out of so many casts, the latest. */
const MOST_CASTS = 2_000;

const DRIED = `with latest as (
    select id, code, mould_id, snapshot, poured_at, projection -> 'dry' as dry
    from casts
    where workshop_id = $1 and ($2::uuid[] is null or mould_id = any($2))
    order by poured_at desc, id limit ${MOST_CASTS}
  ), weighed as (
    select id, code, mould_id, snapshot, poured_at,
      (dry #>> '{typical,tau}')::float8 * coalesce((dry ->> 'pace')::float8, 1) as tau,
      row_number() over (partition by mould_id, snapshot ->> 'mixId' order by poured_at desc, id) as nth
    from latest
    where snapshot ? 'mixId' and (dry #>> '{typical,tau}')::float8 > 0 and dry -> 'inferredFrom' is null
  )
  select mould_id as "mouldId", snapshot ->> 'mixId' as "mixId",
    (array_agg(snapshot ->> 'mouldName' order by nth))[1] as mould, (array_agg(snapshot ->> 'mixName' order by nth))[1] as mix,
    jsonb_agg(jsonb_build_object('id', id, 'code', code, 'at', poured_at, 'tau', tau) order by nth desc) as records
  from weighed where nth <= ${MOST_RECORDS} group by 1, 2 order by 1, 2`;

/** How the pieces of each mould with each mix dried, as their own weighings told: brought to 20 °C and half damp. */
@Injectable()
export class DryingLessonsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly forgotten: ForgottenLessons,
  ) {}

  /** All that was weighed, forgotten or not, of all moulds or of some. */
  records(mouldIds?: readonly string[]): Promise<PairDryings[]> {
    return this.rows.manager.query(DRIED, [this.rows.workshopId, mouldIds ?? null]);
  }

  /** What counts of it. */
  async counting(mouldIds: readonly string[]): Promise<PairDryings[]> {
    const since = await this.forgotten.since();
    return (await this.records(mouldIds)).map((pair) => {
      const from = since('drying', [pair.mouldId, pair.mixId]) ?? 0;
      return { ...pair, records: pair.records.filter(({ at }) => at >= from) };
    });
  }
}
