import { Injectable } from '@nestjs/common';
import { learnedEase, sealerOfCoat, type Life } from '@dewpot/core';
import type { OverrulesView, OverruleSeen } from '@dewpot/contract';
import { CastEntity, SealLessonEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';

/** So many of the latest overrules teach. */
const MOST_RECORDS = 200;

/** Whether a coat that was overruled held: by its checks since, and by what was told of the piece later. */
function heldSince({ checks = [], later = [] }: Life, at: number): boolean | undefined {
  const seen = checks.filter((check) => check.at >= at);
  if (seen.some(({ held }) => !held) || later.some(({ came }) => came === 'sealer let go')) return false;
  return seen.length > 0 || later.some(({ came }) => came === 'well') ? true : undefined;
}

function overrulesOf({ id, code, projection: { life } }: CastEntity): OverruleSeen[] {
  return life.coats.flatMap((coat) => {
    const { at, overruled, over } = coat;
    if (overruled === undefined || over === undefined) return [];
    const held = heldSince(life, at);
    const { film } = sealerOfCoat(coat);
    return [{ castId: id, code, at, reason: overruled, over, film, ...(held !== undefined && { held }) }];
  });
}

/** What a workshop's overruled gates taught: how far its own limits have moved. */
@Injectable()
export class SealLessonsService {
  constructor(private readonly rows: Rows) {}

  async view(): Promise<OverrulesView> {
    const seen = await this.records();
    return { seen, open: learnedEase(seen, false), film: learnedEase(seen, true) };
  }

  /** Shares by which the limits are moved. */
  async ease(): Promise<{ readonly open: number; readonly film: number }> {
    const seen = await this.records();
    return { open: learnedEase(seen, false).ease, film: learnedEase(seen, true).ease };
  }

  /** Gathers anew what became of a cast's overruled coats. Answers whether the limits moved by it. */
  async learn(cast: CastEntity): Promise<boolean> {
    const before = await this.locked();
    const own = overrulesOf(cast);
    if (own.length === 0 && before.every(({ castId }) => castId !== cast.id)) return false;
    const records = [...before.filter(({ castId }) => castId !== cast.id), ...own]
      .sort((a, b) => a.at - b.at)
      .slice(-MOST_RECORDS);
    const { workshopId } = this.rows;
    await this.rows
      .of(SealLessonEntity)
      .upsert({ id: workshopId, workshopId, records: records as object[] }, ['workshopId', 'id']);
    return [true, false].some((film) => learnedEase(before, film).ease !== learnedEase(records, film).ease);
  }

  /** The records, locked: what two coats teach at once is gathered one after the other. */
  private async locked(): Promise<readonly OverruleSeen[]> {
    const { workshopId: id } = this.rows;
    const lessons = this.rows.of(SealLessonEntity);
    await lessons.createQueryBuilder().insert().values({ id, workshopId: id, records: [] }).orIgnore().execute();
    return (await lessons.findOneOrFail({ where: { id }, lock: { mode: 'pessimistic_write' } })).records;
  }

  private async records(): Promise<readonly OverruleSeen[]> {
    const row = await this.rows.of(SealLessonEntity).findOneBy({ id: this.rows.workshopId });
    return row?.records ?? [];
  }
}
