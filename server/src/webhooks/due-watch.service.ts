import { Injectable } from '@nestjs/common';
import type { CastView, WebhookDue } from '@dewpot/contract';
import { placeNow, roundLines, whenDue, type RoundLine } from '@dewpot/core/casts';
import { MINUTE } from '@dewpot/core/units';
import { DataSource } from 'typeorm';
import { CastsService } from '../casts/index.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { Rounds } from '../jobs/rounds.js';
import { WebhookEntity } from './webhooks.entities.js';
import { WebhooksService } from './webhooks.service.js';

/** How often it is looked for what came due, ms. */
const LOOKS = MINUTE;

/** Looks for what comes due in workshops that have webhooks. Of several servers one looks after each. */
@Injectable()
export class DueWatch {
  constructor(
    private readonly source: DataSource,
    private readonly rows: WorkshopContext,
    private readonly casts: CastsService,
    private readonly webhooks: WebhooksService,
    rounds: Rounds,
  ) {
    rounds.add('Webhooks wait', { first: LOOKS, every: LOOKS }, (now) => this.look(now));
  }

  /** Tells every webhook that was not looked after in the last minute of what came due since; answers how many were told something. */
  async look(now: number): Promise<number> {
    const waiting: { workshop_id: string; webhook_id: string }[] = await this.source.query(
      'select * from webhooks_waiting($1)',
      [now - LOOKS / 2],
    );
    let told = 0;
    for (const { workshop_id, webhook_id } of waiting)
      if (await this.rows.inWorkshop(workshop_id, () => this.tell(webhook_id, now))) told++;
    return told;
  }

  private async tell(id: string, now: number): Promise<boolean> {
    const hooks = this.rows.of(WebhookEntity);
    const lock = { mode: 'pessimistic_write' as const, onLocked: 'skip_locked' as const };
    const hook = await hooks.findOne({ where: { id }, lock });
    // Another server has it, or was here before.
    if (!hook || hook.lookedAt >= now - LOOKS / 2) return false;
    const due = roundLines(await this.casts.shelf(), ({ life, snapshot }) => placeNow(life, snapshot.place)).filter(
      (line) => whenDue(line.due, now, now) === 'now',
    );
    await hooks.update({ id }, { lookedAt: now, told: due.map(({ key }) => key) });
    const { told } = hook;
    const fresh = told === null ? [] : due.filter(({ key }) => !told.includes(key));
    if (fresh.length > 0) await this.webhooks.post(id, { type: 'due', due: fresh.map(dueOf) }, now);
    return fresh.length > 0;
  }
}

const dueOf = ({ due: { task, good, late }, casts }: RoundLine<CastView>): WebhookDue => ({
  task,
  mould: casts[0]?.snapshot.mouldName ?? '',
  casts: casts.map(({ id, code }) => ({ id, code })),
  from: good,
  ...(Number.isFinite(late) && { until: late }),
});
