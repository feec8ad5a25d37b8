import { Injectable } from '@nestjs/common';
import type { MixLesson, PourPart } from '@dewpot/core/planning';
import type { PastPoursView } from '@dewpot/contract';
import { IsNull, Raw } from 'typeorm';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ForgottenLessons } from '../lessons/index.js';
import { PourEntity } from './pours.entities.js';

/** So many pours, the newest, tell the next one. */
const MOST_PAST = 1_000;
const AT_ONCE = 50;

const MEASURED = `SELECT "mixId", "measuring" FROM (
    SELECT DISTINCT ON ("mixId") input ->> 'mixId' AS "mixId", input ->> 'measuring' AS "measuring", number
    FROM pours WHERE input ->> 'measuring' IS NOT NULL ORDER BY "mixId", number DESC
  ) AS chosen ORDER BY number DESC LIMIT ${MOST_PAST}`;

/** What pours that are done tell the next one. */
@Injectable()
export class PastPoursService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly calculations: CalculationPool,
    private readonly forgotten: ForgottenLessons,
  ) {}

  /** What parts of a pour taught of their mixes. */
  taughtBy(parts: readonly PourPart[]): Promise<MixLesson[]> {
    return this.calculations.run('taught', parts);
  }

  /** Keeps what pours taught that were done before that, or all of that, was kept. Not within a transaction: it calculates. */
  async learnOlder(): Promise<void> {
    const finished = { status: 'finished' } as const;
    const where = [
      { ...finished, taught: IsNull() },
      { ...finished, taught: Raw((taught) => `jsonb_array_length(${taught}) > 0 and not (${taught} -> 0 ? 'made')`) },
    ];
    for (;;) {
      const older = await this.rows.transaction(() =>
        this.rows.of(PourEntity).find({ where, select: { id: true, parts: true }, take: AT_ONCE }),
      );
      if (older.length === 0) return;
      for (const { id, parts } of older) {
        const taught = await this.taughtBy(parts);
        // One that was taken back meanwhile teaches nothing.
        await this.rows.transaction(() =>
          this.rows.of(PourEntity).update({ id, ...finished }, { taught: taught as object[] }),
        );
      }
    }
  }

  async view(): Promise<PastPoursView> {
    const pours = this.rows.of(PourEntity);
    const past = await pours.find({
      where: { status: 'finished' },
      select: { id: true, taught: true, lessons: true, pouredAt: true },
      order: { number: 'DESC' },
      take: MOST_PAST,
    });
    const oldestFirst = past.toReversed();
    const [last] = await pours.find({
      where: { status: 'finished' },
      select: { id: true, input: true },
      order: { number: 'DESC' },
      take: 1,
    });
    const since = await this.forgotten.since();
    const counts = (group: 'mix' | 'bench', pouredAt: number | null) => (lesson: { readonly mixId: string }) =>
      (pouredAt ?? 0) >= (since(group, [lesson.mixId]) ?? 0);
    return {
      lessons: oldestFirst.flatMap(({ taught, pouredAt }) => (taught ?? []).filter(counts('mix', pouredAt))),
      runs: oldestFirst.flatMap(({ lessons, pouredAt }) => (lessons ?? []).filter(counts('bench', pouredAt))),
      ...(last && { last: last.input }),
      measured: await this.rows.manager.query<PastPoursView['measured']>(MEASURED),
    };
  }
}
