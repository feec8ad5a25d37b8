import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { setImmediate as breathe } from 'node:timers/promises';
import { CastEntity } from '../db/entities.js';
import { News } from '../db/news.js';
import { Rows } from '../db/rows.js';
import { DrynessService, noAirsYet } from './dryness.service.js';

const TOPIC = 'refit';
/** So many casts are judged in one transaction. */
const AT_ONCE = 50;

/**
 * Judges every open cast of a workshop anew, in the background, when what all are judged by has changed: its limits, its school.
 * Asked for within a transaction, it begins once that is through.
 */
@Injectable()
export class RefitsService implements OnModuleInit, OnModuleDestroy {
  private readonly log = new Logger(RefitsService.name);
  private readonly over = new AbortController();
  private readonly asked = new Set<string>();
  private running: Promise<void> | undefined;

  constructor(
    private readonly rows: Rows,
    private readonly news: News,
    private readonly dryness: DrynessService,
  ) {}

  async onModuleInit(): Promise<void> {
    await this.news.listen();
    this.running = this.keepOn();
  }

  async onModuleDestroy(): Promise<void> {
    this.over.abort();
    await this.running;
  }

  /** Asks for every open cast of the workshop at hand to be judged anew. */
  async ask(): Promise<void> {
    this.asked.add(this.rows.workshopId);
    await this.news.tell(this.rows.manager, TOPIC);
  }

  private async keepOn(): Promise<void> {
    while (!this.over.signal.aborted) {
      await this.news.next(TOPIC, this.over.signal);
      const workshops = [...this.asked];
      this.asked.clear();
      for (const workshopId of workshops) {
        await this.refit(workshopId).catch(({ message }: Error) => this.log.error(`Judging anew failed: ${message}`));
      }
    }
  }

  /** Judges the casts that dry in a workshop anew, some at a time, so that nobody waits for it. */
  async refit(workshopId: string): Promise<void> {
    const ids = await this.rows.inWorkshop(workshopId, async () => {
      const found = await this.rows
        .of(CastEntity)
        .find({ where: { stage: 'drying' }, select: { id: true }, order: { id: 'ASC' } });
      return found.map(({ id }) => id);
    });
    for (let from = 0; from < ids.length && !this.over.signal.aborted; from += AT_ONCE)
      await this.rows.inWorkshop(workshopId, () => this.refitSome(ids.slice(from, from + AT_ONCE)));
  }

  private async refitSome(ids: readonly string[]): Promise<void> {
    const now = Date.now();
    const ways = await this.dryness.ways();
    const casts = await this.rows
      .of(CastEntity)
      .createQueryBuilder('c')
      .where('c.id IN (:...ids)', { ids })
      .andWhere('c.stage = :stage', { stage: 'drying' })
      .orderBy('c.id')
      .setLock('pessimistic_write')
      .getMany();
    const airs = noAirsYet();
    const mates = await this.dryness.mates(casts);
    const judged: { id: string; projection: CastEntity['projection'] }[] = [];
    for (const cast of casts) {
      const dry = await this.dryness.summary(cast, now, {
        ways,
        mates: mates.filter(({ pourId }) => pourId === cast.pourId),
        airs,
      });
      judged.push({ id: cast.id, projection: { ...cast.projection, dry } });
      await breathe();
    }
    await this.rows.manager.query(
      `update casts set projection = judged.projection
       from jsonb_to_recordset($1::jsonb) as judged(id uuid, projection jsonb) where casts.id = judged.id`,
      [JSON.stringify(judged)],
    );
  }
}
