import { Injectable } from '@nestjs/common';
import type { PieceFacts } from '@dewpot/core/money';
import type { CostingInput, PieceMoneyView, PieceQuery } from '@dewpot/contract';
import { saveEdited } from '../db/save-edited.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { MouldCopyEntity, MouldEntity } from '../moulds/moulds.entities.js';
import { CostingEntity } from './money.entities.js';

/** What pours of one mix alone spent for a gram of their casts; the leftover is in it. */
const GRAM_COST = `with spent as (
    select p.id, sum(t.mass * l.price / l.bought) as cost
      from pours p, jsonb_to_recordset(p.taken) as t("lotId" uuid, mass float8) join lots l on l.workshop_id = $1 and l.id = t."lotId"
      where p.workshop_id = $1 and p.status = 'finished' and p.input ->> 'mixId' = $2 and cardinality(p.mixes) = 1 group by p.id)
  select sum(s.cost) / nullif(sum(m.mass), 0) as "gramCost"
    from spent s, lateral (select sum((c.expected ->> 'fresh')::float8) as mass from casts c
      where c.workshop_id = $1 and c.pour_id = s.id) m`;

const PIECES = `select avg((expected ->> 'fresh')::float8) as fresh, avg((expected ->> 'dry')::float8) as dry,
    count(*) filter (where finding -> 'seen' = 'true')::int as casts,
    count(*) filter (where finding -> 'seen' = 'true' and jsonb_array_length(finding -> 'faults') = 0)::int as good
  from casts where workshop_id = $1 and mould_id = $3 and snapshot ->> 'mixId' = $2`;

/** The middle of what sessions at the bench took for each of their pieces; one that was left open says nothing. */
const MINUTES = `select percentile_cont(0.5) within group (order by minutes) as minutes from (
    select (p.poured_at - p.started_at) / 60000.0 / nullif((select count(*) from casts c where c.workshop_id = $1 and c.pour_id = p.id), 0) as minutes
      from pours p where p.workshop_id = $1 and p.status = 'finished' and p.input ->> 'mixId' = $2
        and jsonb_array_length(p.lessons) > 0 and p.poured_at - p.started_at between 300000 and 21600000) as sessions`;

const SOLD = `select count(*)::int as sold, avg((projection #>> '{life,gone,price}')::float8) as "soldFor"
  from casts where workshop_id = $1 and mould_id = $2 and stage = 'finished' and projection #>> '{life,gone,how}' = 'sold'`;

type Row = Readonly<Record<string, number | null>>;

/** What is known, without what is not. */
const known = (row: Row | undefined) =>
  Object.fromEntries(
    Object.entries(row ?? {}).flatMap(([key, value]) => (value === null ? [] : [[key, Number(value)]])),
  );

/** What pieces cost, as far as the record and the caster tell. */
@Injectable()
export class CostingsService {
  constructor(private readonly rows: WorkshopContext) {}

  /** What the record and the caster tell of the pieces of a mould with a mix. @throws ProblemError 404 */
  async piece({ mould, mix }: PieceQuery): Promise<PieceMoneyView> {
    if (!(await this.rows.of(MouldEntity).existsBy({ id: mould }))) throw ProblemError.notFound('mould');
    const kept = await this.rows.of(CostingEntity).findOneBy({ id: mould });
    const copies = await this.rows.of(MouldCopyEntity).findBy({ mouldId: mould });
    const found = {
      ...(await this.one(GRAM_COST, mix)),
      ...(await this.one(PIECES, mix, mould)),
      ...(await this.one(MINUTES, mix)),
      ...(await this.one(SOLD, mould)),
    };
    const facts = { casts: 0, good: 0, sold: 0, ...found, copies: copies.map(({ cycles, retired }) => ({ cycles, retired })) };
    return { facts: facts satisfies PieceFacts, costing: { ...kept?.body, version: kept?.version ?? 0 } };
  }

  /** Keeps what a caster tells of a mould's pieces. @throws ProblemError 404, 409 */
  async save(mould: string, { version, ...body }: CostingInput): Promise<void> {
    if (!(await this.rows.of(MouldEntity).existsBy({ id: mould }))) throw ProblemError.notFound('mould');
    await saveEdited(this.rows, this.rows.of(CostingEntity), 'mould', mould, version, { body });
  }

  private async one(query: string, ...asked: string[]): Promise<Readonly<Record<string, number>>> {
    const [row]: Row[] = await this.rows.manager.query(query, [this.rows.workshopId, ...asked]);
    return known(row);
  }
} // prettier-ignore
