import { Injectable } from '@nestjs/common';
import { seasonOf, type Season, type SeasonBatches, type SeasonPieces, type SeasonSpending, type SeasonStock } from '@dewpot/core/money'; // prettier-ignore
import type { SeasonQuery } from '@dewpot/contract';
import { zoneOf } from '../config.js';
import { WorkshopContext } from '../db/workshop-context.js';

/** The month of a time in ms, in the workshop's zone. */
const month = (at: string) => `to_char(to_timestamp(${at} / 1000.0) at time zone $2, 'YYYY-MM')`;
const within = (at: string) =>
  `${month(at)} between coalesce($3, '0000-00') and coalesce($4, '9999-12') and ${at} is not null`;

/** An article counts as one piece, and its parts no more. */
const PIECES = `select ${month('poured_at')} as month, mix_name as mix, mould_id as "mouldId", min(mould_name) as mould, count(*)::int as casts,
    count(*) filter (where stage = 'broken')::int as broken,
    count(*) filter (where finding -> 'seen' = 'true')::int as seen,
    count(*) filter (where finding -> 'seen' = 'true' and jsonb_array_length(finding -> 'faults') = 0)::int as good,
    count(*) filter (where stage = 'finished' and projection #>> '{life,gone,how}' = 'sold')::int as sold,
    coalesce(sum((projection #>> '{life,gone,price}')::float8) filter (where stage = 'finished'), 0) as income,
    coalesce(sum((expected ->> 'fresh')::float8), 0) as mass,
    coalesce(sum((expected ->> 'fresh')::float8) filter (where stage = 'broken'), 0) as "brokenMass"
  from casts where workshop_id = $1 and stage <> 'joined' and ${within('poured_at')} group by 1, 2, 3`;

const BATCHES = `select ${month('p.poured_at')} as month, p.mixes[l.at::int] as mix,
    coalesce(sum((l.lesson ->> 'made')::float8), 0) as volume, coalesce(sum((l.lesson ->> 'leftover')::float8), 0) as leftover
  from pours p, jsonb_array_elements(p.taught) with ordinality as l(lesson, at)
  where p.workshop_id = $1 and p.status = 'finished' and ${within('p.poured_at')} group by 1, 2`;

const SPENDING = `select ${month('p.poured_at')} as month, m.name as material,
    sum(t.mass) as mass, sum(t.mass * l.price / l.bought) as cost
  from pours p, jsonb_to_recordset(p.taken) as t("lotId" uuid, mass float8)
    join lots l on l.workshop_id = $1 and l.id = t."lotId"
    join materials m on m.workshop_id = $1 and m.id = l.material_id
  where p.workshop_id = $1 and p.status = 'finished' and ${within('p.poured_at')} group by 1, 2`;

const STOCK = `select m.name as material, sum(l.left) as left, sum(l.left * l.price / l.bought) as value
  from lots l join materials m on m.workshop_id = $1 and m.id = l.material_id
  where l.workshop_id = $1 and l.left > 0 group by 1`;

/** What a workshop's season came to, summed up by the database. */
@Injectable()
export class SeasonService {
  constructor(private readonly rows: WorkshopContext) {}

  /** The months from one to another, both as 2026-07; all of them where none is told. */
  async season({ from, to }: SeasonQuery): Promise<Season> {
    const { manager, workshopId } = this.rows;
    const { settings } = await this.rows.workshop();
    const asked = [workshopId, zoneOf(settings), from ?? null, to ?? null];
    const pieces: SeasonPieces[] = await manager.query(PIECES, asked);
    const batches: SeasonBatches[] = await manager.query(BATCHES, asked);
    const spending: SeasonSpending[] = await manager.query(SPENDING, asked);
    const stock: SeasonStock[] = await manager.query(STOCK, [workshopId]);
    return seasonOf({ pieces, batches, spending, stock });
  }
}
