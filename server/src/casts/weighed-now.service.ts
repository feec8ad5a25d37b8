import { Injectable } from '@nestjs/common';
import { countedWeighings, massOn, type ExpectedNow } from '@dewpot/core';
import { In } from 'typeorm';
import { CastEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';

const HOUR = 3_600_000;
/** Of a piece that was not weighed, its mould and mix alone tell: so uncertain, share of its mass. */
const BY_MIX = 0.05;
/** Of one that was, the curve tells, and damp air on a shelf. */
const BY_CURVE = 0.008;

/** What a cast should weigh at a time, g. */
function expectedNow({ code, expected, projection: { life, dry } }: CastEntity, at: number): ExpectedNow {
  const first = countedWeighings(life)[0];
  if (dry.typical && first && !dry.inferredFrom) {
    const mass = massOn(dry.typical, (at - life.pouredAt) / HOUR - first.hour);
    return { code, mass, sd: mass * BY_CURVE };
  }
  const mass = (expected.fresh + expected.dry) / 2;
  return { code, mass, sd: mass * BY_MIX };
}

/** What lies on the scale, judged by what the casts of the workshop should weigh now. */
@Injectable()
export class WeighedNowService {
  constructor(private readonly rows: Rows) {}

  /** What a cast should weigh, and what the others that stand about should. */
  async expected(cast: CastEntity, at: number): Promise<[said: ExpectedNow, others: ExpectedNow[]]> {
    const about = await this.rows.of(CastEntity).findBy({ stage: In(['damp', 'drying']) });
    return [expectedNow(cast, at), about.filter(({ id }) => id !== cast.id).map((one) => expectedNow(one, at))];
  }
}
