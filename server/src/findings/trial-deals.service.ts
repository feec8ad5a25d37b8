import { randomInt } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { msg } from '@dewpot/core/units';
import type { TrialSide } from '@dewpot/core/casts';
import { dealItems, isDealtTo, isOfTrial, type DealtTrial } from '@dewpot/core/findings';
import type { PourInput } from '@dewpot/contract';
import { Not } from 'typeorm';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { PourEntity } from '../pours/pours.entities.js';
import { TrialEntity } from './trials.entities.js';

const SEEDS = 2 ** 32;

const refused = (id: string, message: ReturnType<typeof msg>) =>
  ProblemError.refused(msg('server.invalid'), 'trialId', id, message, msg('server.chooseTrial'));

/** Deals the copies of pours to the ways of a trial, by chance and evenly. */
@Injectable()
export class TrialDealsService {
  constructor(private readonly rows: WorkshopContext) {}

  /**
   * Which copy of a pour gets which way; null where it is in no trial. A pour that is saved again keeps what it was dealt. The
   * trial is locked, so that two pours at once are dealt one after the other. @throws ProblemError 422 where it is gone, closed or about none of these
   */
  async dealt(
    pourId: string,
    { trialId, items, mixId }: Omit<PourInput, 'version'>,
    before: DealtTrial | null,
  ): Promise<DealtTrial | null> {
    if (trialId === undefined) return null;
    const lock = { mode: 'for_no_key_update' } as const;
    const trial = await this.rows.of(TrialEntity).findOne({ where: { id: trialId }, lock });
    if (!trial) throw refused(trialId, msg('server.trialGone'));
    if (trial.closedAt !== null) throw refused(trialId, msg('server.trialClosed', { name: trial.name }));
    const chosen = items.map((item) => ({ ...item, mixId: item.mixId ?? mixId }));
    if (!chosen.some((item) => isOfTrial(trial.body, item)))
      throw refused(trialId, msg('server.trialAboutNone', { name: trial.name }));
    if (before?.id === trialId && isDealtTo(before, trial.body, chosen)) return before;
    const sides = dealItems(trial.body, chosen, randomInt(SEEDS), await this.sidesSoFar(trialId, pourId));
    const { kind, a, b } = trial.body;
    return { id: trialId, name: trial.name, kind, a, b, sides };
  }

  /** How many copies each side was dealt: casts that stand, and pours that are still to be poured. */
  async sidesSoFar(trialId: string, withoutPour?: string): Promise<Record<TrialSide, number>> {
    const counts: { side: TrialSide; casts: number }[] = await this.rows.manager.query(
      `select snapshot #>> '{trial,side}' as side, count(*)::int as casts from casts
         where workshop_id = $1 and snapshot #>> '{trial,id}' = $2 group by 1`,
      [this.rows.workshopId, trialId],
    );
    const open = await this.rows.of(PourEntity).createQueryBuilder('pour')
      .select(['pour.id', 'pour.workshopId', 'pour.trial'])
      .where({ status: Not('finished' as const) }).andWhere(`pour.trial ->> 'id' = :trialId`, { trialId }).getMany();
    const dealt = open.filter(({ id }) => id !== withoutPour).flatMap(({ trial }) => trial?.sides.flat() ?? []);
    const count = (side: TrialSide) =>
      (counts.find((one) => one.side === side)?.casts ?? 0) + dealt.filter((one) => one === side).length;
    return { a: count('a'), b: count('b') };
  } // prettier-ignore
}
