import { Injectable } from '@nestjs/common';
import type { ExpectedNow } from '@dewpot/core/sealing';
import { expectedNow } from '@dewpot/core/casts';
import { In } from 'typeorm';
import { CastEntity } from '../casts/casts.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';

/** What lies on the scale, judged by what the casts of the workshop should weigh now. */
@Injectable()
export class WeighedNowService {
  constructor(private readonly rows: WorkshopContext) {}

  /** What a cast should weigh at a time, and what the others that stand about should. */
  async expected(cast: CastEntity, at: number): Promise<[said: ExpectedNow, others: ExpectedNow[]]> {
    const about = await this.rows.of(CastEntity).findBy({ stage: In(['curing', 'drying']) });
    const now = ({ code, expected, projection }: CastEntity) => expectedNow({ code, expected, ...projection }, at);
    return [now(cast), about.filter(({ id }) => id !== cast.id).map(now)];
  }
}
