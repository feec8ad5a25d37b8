import { Injectable } from '@nestjs/common';
import type { AllWays } from '@dewpot/core/findings';
import { IsNull, Not } from 'typeorm';
import { CastEntity } from '../casts/casts.entities.js';
import { storedValue } from '../db/stored.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { KeptWaysEntity } from './findings.entities.js';

/** Ways as they were compared, and of how many casts that had left their mould. */
export interface KeptWays {
  readonly ways: AllWays;
  readonly seen: number;
}

/** What is known of a workshop's records when ways are to be compared. */
export interface WaysAsked {
  readonly revision: number;
  readonly casts: number;
  /** What was compared last, where it still holds. */
  readonly kept?: KeptWays;
}

/** Keeps the comparison of all ways until a record of a cast is gathered again, or a cast is gone. */
@Injectable()
export class KeptWaysService {
  constructor(private readonly rows: WorkshopContext) {}

  /** By what the records of a workshop are known: it changes with any of them. */
  async state(): Promise<Pick<WaysAsked, 'revision' | 'casts'>> {
    const row = await this.rows.of(KeptWaysEntity).findOne({ where: { id: this.rows.workshopId }, select: { id: true, workshopId: true, revision: true } });
    return { revision: row?.revision ?? 0, casts: await this.gathered() };
  } // prettier-ignore

  async asked(): Promise<WaysAsked> {
    const row = await this.rows.of(KeptWaysEntity).findOneBy({ id: this.rows.workshopId });
    const casts = await this.gathered();
    const { revision = 0, body = null, seen = 0 } = row ?? {};
    return { revision, casts, ...(body && row?.casts === casts && { kept: { ways: body, seen } }) };
  }

  private gathered(): Promise<number> {
    return this.rows.of(CastEntity).countBy({ finding: Not(IsNull()) });
  }

  /** Keeps what was compared, unless a record was gathered meanwhile: then it is compared again when somebody asks. */
  async keep({ revision, casts }: WaysAsked, { ways, seen }: KeptWays): Promise<void> {
    await this.rows.manager.query(
      `insert into kept_ways (id, workshop_id, revision, casts, seen, body) values ($1, $1, $2, $3, $4, $5)
         on conflict (workshop_id, id) do update set casts = $3, seen = $4, body = $5 where kept_ways.revision = $2`,
      [this.rows.workshopId, revision, casts, seen, JSON.stringify(storedValue(ways))],
    );
  }

  /** Records were gathered: what was compared no longer holds. */
  async changed(): Promise<void> {
    await this.rows.manager.query(
      `insert into kept_ways (id, workshop_id, revision, casts, seen) values ($1, $1, 1, 0, 0)
         on conflict (workshop_id, id) do update set revision = kept_ways.revision + 1, body = null`,
      [this.rows.workshopId],
    );
  }
}
