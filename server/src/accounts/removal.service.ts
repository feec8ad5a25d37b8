import { HOUR, MINUTE, msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { LongTransactions } from '../db/long-transactions.js';
import { PgNotifications } from '../db/pg-notifications.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { Rounds } from '../jobs/rounds.js';
import { SessionEntity } from './accounts.entities.js';
import { REMOVAL_KEPT } from './removal-time.js';
import { sessionTopic } from './session-topic.js';

/** Workshops that were deleted: shut at once, brought back for 30 days, and then gone. */
@Injectable()
export class RemovalService {
  constructor(
    private readonly source: DataSource,
    private readonly rows: WorkshopContext,
    private readonly long: LongTransactions,
    private readonly news: PgNotifications,
    rounds: Rounds,
  ) {
    rounds.add('Deleted workshops wait', { first: MINUTE, every: 6 * HOUR }, (now) => this.purge(now));
  }

  /** Shuts the workshop at hand to all but who did so. @throws ProblemError 422 where the name is another one; 409 of the demo */
  async remove(name: string, sessionId: string, now: number): Promise<void> {
    await this.rows.lockWorkshop();
    const { settings, demo } = await this.rows.workshop();
    if (demo) throw new ProblemError(409, msg('server.notAllowed'), { detail: msg('server.demoStays') });
    if (name.trim() !== settings.name.trim())
      throw ProblemError.refused(
        msg('server.notRemoved'),
        'workshop',
        name,
        msg('server.otherName', { name: settings.name }),
        msg('server.typeName'),
      );
    await this.rows.changeWorkshop({ removedAt: now });
    // What streams to people ends, on every server; they are told why when they ask again.
    for (const { id: other } of await this.rows.of(SessionEntity).find({ select: { id: true } }))
      if (other !== sessionId) await this.news.tell(this.rows.manager, sessionTopic(other));
  }

  /** Brings the workshop at hand back. @throws ProblemError 404 where it went for good just now */
  async recall(): Promise<void> {
    if ((await this.rows.changeWorkshop({ removedAt: null })) === 0) throw ProblemError.notFound('workshop');
  }

  /** Deletes for good what was deleted 30 days before `now`, ms. Answers how many workshops went. */
  async purge(now: number): Promise<number> {
    const until = now - REMOVAL_KEPT;
    const over: { workshop_id: string }[] = await this.source.query('select * from workshops_over($1)', [until]);
    for (const { workshop_id: id } of over)
      await this.long.run(id, 'write', async (client) => {
        // Whoever brings it back just now comes first, or finds nothing.
        const { rowCount } = await client.query('select 1 from workshops where id = $1 and removed_at < $2 for update', [id, until]); // prettier-ignore
        if (!rowCount) return;
        await client.query('delete from ambient_readings where workshop_id = $1', [id]);
        await client.query('delete from workshops where id = $1', [id]);
      });
    return over.length;
  }
}
