import { HOUR, SECOND } from '@dewpot/core/units';
import { Inject, Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { CONFIG, type ServerConfig } from '../config.js';
import { LongTransactions } from '../db/long-transactions.js';
import { Rounds } from '../jobs/rounds.js';
import { makeMonths, monthOf } from './reading-months.js';

/** Every reading is kept for so many months, where the server is told nothing else. */
const USUALLY_KEPT = 24;
/** Months that are made ahead: nobody who sends the first reading of one waits until its table is there. */
const AHEAD = 2;
/** Months that are packed in one round at most. */
const MOST_PACKED = 24;

/** The months in which readings lie: made ahead, and packed to the mean of each hour when they are long past. */
@Injectable()
export class ReadingMonthsService {
  private readonly kept: number;

  constructor(
    private readonly source: DataSource,
    private readonly long: LongTransactions,
    rounds: Rounds,
    @Inject(CONFIG) { readingMonths = USUALLY_KEPT }: ServerConfig,
  ) {
    this.kept = readingMonths;
    rounds.add('Months of readings wait', { first: 40 * SECOND, every: 6 * HOUR }, async (now) => {
      await this.makeAhead(now);
      await this.pack(now);
    });
  }

  /** Makes the months that come after that of `now`, ms. */
  async makeAhead(now: number): Promise<void> {
    await makeMonths(
      this.source,
      Array.from({ length: AHEAD + 1 }, (_, after) => monthOf(now, after)),
    );
  }

  /** Packs the months that are over for longer than every reading is kept. Answers which, the oldest first. */
  async pack(now: number): Promise<string[]> {
    const packed: string[] = [];
    while (packed.length < MOST_PACKED) {
      const month = await this.packNext(monthOf(now, -this.kept));
      if (month === null) break;
      packed.push(month);
    }
    return packed;
  }

  private packNext(before: number): Promise<string | null> {
    return this.long.run(undefined, 'write', async (client) => {
      const { rows } = await client.query<{ month: string | null }>('select pack_readings($1) as month', [before]);
      return rows[0]?.month ?? null;
    });
  }
}
