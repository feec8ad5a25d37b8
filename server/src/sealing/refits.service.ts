import { Injectable, type OnModuleInit } from '@nestjs/common';
import { setImmediate as breathe } from 'node:timers/promises';
import { clock } from '../clock.js';
import { CastEntity, storedProjection } from '../casts/casts.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { Jobs } from '../jobs/jobs.service.js';
import { DrynessService, noAmbientYet } from './dryness.service.js';

/** So many casts are judged in one transaction. */
const AT_ONCE = 50;

/**
 * Judges every open cast of a workshop again, in the background, when what all are judged by has changed: its limits, its school.
 * Asked for within a transaction, it begins once that is through.
 */
@Injectable()
export class RefitsService implements OnModuleInit {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly jobs: Jobs,
    private readonly dryness: DrynessService,
  ) {}

  onModuleInit(): void {
    this.jobs.does('judge-dryness', async (told) => {
      for (const workshopId of new Set(told.map((one) => one.workshopId))) await this.refit(workshopId);
    });
  }

  /** Asks for every open cast of the workshop at hand to be judged again. */
  async ask(): Promise<void> {
    await this.jobs.ask('judge-dryness', { workshopId: this.rows.workshopId });
  }

  /** Judges the casts that dry in a workshop again, some at a time, so that nobody waits for it. */
  async refit(workshopId: string): Promise<void> {
    const ids = await this.rows.inWorkshop(workshopId, async () => {
      // Whatever is being judged by older rules is through once this lock is had.
      await this.rows.lockWorkshop();
      const found = await this.rows
        .of(CastEntity)
        .find({ where: { stage: 'drying' }, select: { id: true }, order: { id: 'ASC' } });
      return found.map(({ id }) => id);
    });
    for (let from = 0; from < ids.length; from += AT_ONCE)
      await this.rows.inWorkshop(workshopId, () => this.refitSome(ids.slice(from, from + AT_ONCE)));
  }

  private async refitSome(ids: readonly string[]): Promise<void> {
    const now = clock.now();
    // Locked first, then judged by what holds once the lock is had: a slow judgement never overwrites a newer one.
    const casts = await this.rows
      .of(CastEntity)
      .createQueryBuilder('c')
      .where('c.id IN (:...ids)', { ids })
      .andWhere('c.stage = :stage', { stage: 'drying' })
      .orderBy('c.id')
      .setLock('for_no_key_update')
      .getMany();
    const ways = await this.dryness.ways();
    const ambientByPlace = noAmbientYet();
    const siblings = await this.dryness.siblings(casts);
    const judged: { id: string; projection: unknown }[] = [];
    for (const cast of casts) {
      const dry = await this.dryness.summary(cast, now, {
        ways,
        siblings: siblings.filter(({ pourId }) => pourId === cast.pourId),
        ambientByPlace,
      });
      judged.push({ id: cast.id, projection: storedProjection({ ...cast.projection, dry }) });
      await breathe();
    }
    await this.rows.manager.query(
      `update casts set projection = judged.projection
       from jsonb_to_recordset($1::jsonb) as judged(id uuid, projection jsonb) where casts.id = judged.id`,
      [JSON.stringify(judged)],
    );
  }
}
