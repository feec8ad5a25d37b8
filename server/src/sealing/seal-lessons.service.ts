import { Injectable } from '@nestjs/common';
import { learnedEase, type OverrideSeen } from '@dewpot/core/sealing';
import { sealerOfCoat, type Life } from '@dewpot/core/casts';
import type { OverridesView } from '@dewpot/contract';
import { CastEntity } from '../casts/casts.entities.js';
import { SealLessonEntity } from './sealing.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ForgottenLessons } from '../lessons/index.js';

/** So many of the latest overrides teach. */
const MOST_RECORDS = 200;

/** Whether a coat that was overridden held: by its checks since, and by what was told of the piece later. */
function heldSince({ checks = [], later = [] }: Life, at: number): boolean | undefined {
  const seen = checks.filter((check) => check.at >= at);
  if (seen.some(({ held }) => !held) || later.some(({ came }) => came === 'sealer let go')) return false;
  return seen.length > 0 || later.some(({ came }) => came === 'well') ? true : undefined;
}

function overridesOf({ id, code, projection: { life } }: CastEntity): OverrideSeen[] {
  return life.coats.flatMap((coat) => {
    const { at, overridden, over } = coat;
    if (overridden === undefined || over === undefined) return [];
    const held = heldSince(life, at);
    const { film } = sealerOfCoat(coat);
    return [{ castId: id, code, at, reason: overridden, over, film, ...(held !== undefined && { held }) }];
  });
}

const since = (seen: readonly OverrideSeen[], from: number) => seen.filter(({ at }) => at >= from);

/** What a workshop's overridden gates taught: how far its own limits have moved. */
@Injectable()
export class SealLessonsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly forgotten: ForgottenLessons,
  ) {}

  async view(): Promise<OverridesView> {
    const seen = await this.counting();
    return { seen, open: learnedEase(seen, false), film: learnedEase(seen, true) };
  }

  /** Shares by which the limits are moved. */
  async ease(): Promise<{ readonly open: number; readonly film: number }> {
    const seen = await this.counting();
    return { open: learnedEase(seen, false).ease, film: learnedEase(seen, true).ease };
  }

  /** Gathers again what became of a cast's overridden coats. Answers whether the limits moved by it. */
  async learn(cast: CastEntity): Promise<boolean> {
    this.rows.forget('seal lessons');
    const before = await this.locked();
    const own = overridesOf(cast);
    if (own.length === 0 && before.every(({ castId }) => castId !== cast.id)) return false;
    const records = [...before.filter(({ castId }) => castId !== cast.id), ...own]
      .sort((a, b) => a.at - b.at)
      .slice(-MOST_RECORDS);
    const { workshopId } = this.rows;
    await this.rows
      .of(SealLessonEntity)
      .upsert({ id: workshopId, workshopId, records: records as object[] }, ['workshopId', 'id']);
    const from = await this.countsFrom();
    const [old, now] = [since(before, from), since(records, from)];
    return [true, false].some((film) => learnedEase(old, film).ease !== learnedEase(now, film).ease);
  }

  /** The records, locked: what two coats teach at once is gathered one after the other. */
  private async locked(): Promise<readonly OverrideSeen[]> {
    const { workshopId: id } = this.rows;
    const lessons = this.rows.of(SealLessonEntity);
    await lessons.createQueryBuilder().insert().values({ id, workshopId: id, records: [] }).orIgnore().execute();
    return (await lessons.findOneOrFail({ where: { id }, lock: { mode: 'for_no_key_update' } })).records;
  }

  /** Overrides that were not forgotten. Every judgement asks: where there are none, nothing can have been. */
  private async counting(): Promise<readonly OverrideSeen[]> {
    const seen = await this.records();
    return seen.length === 0 ? seen : since(seen, await this.countsFrom());
  }

  private async countsFrom(): Promise<number> {
    return (await this.forgotten.since())('sealing', []) ?? 0;
  }

  /** All that was seen, forgotten or not. */
  async records(): Promise<readonly OverrideSeen[]> {
    const id = this.rows.workshopId;
    const row = await this.rows.once('seal lessons', () => this.rows.of(SealLessonEntity).findOneBy({ id }));
    return row?.records ?? [];
  }
}
