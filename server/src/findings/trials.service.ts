import { Injectable } from '@nestjs/common';
import { msg, type Message } from '@dewpot/core/units';
import { checkExpected } from '@dewpot/core/findings';
import type { TrialClosing, TrialInput, TrialView } from '@dewpot/contract';
import { In } from 'typeorm';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { changedFields, saveEdited } from '../db/save-edited.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { MixEntity } from '../mixes/mixes.entities.js';
import { MouldEntity } from '../moulds/moulds.entities.js';
import { FindingRecordsService } from './finding-records.service.js';
import { TrialDealsService } from './trial-deals.service.js';
import { TrialEntity } from './trials.entities.js';
import { trialView } from './trials.mappers.js';

/** Trials of a workshop, open and closed. */
const MOST_TRIALS = 200;
/** Ways in the caster's own words that a workshop keeps as its usual ones. */
const MOST_USUAL = 20;

const refuse = (title: Message, detail: Message) => new ProblemError(409, title, { detail });

/** Trials: planned, dealt to pours, watched and closed with an answer. */
@Injectable()
export class TrialsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly records: FindingRecordsService,
    private readonly deals: TrialDealsService,
    private readonly calculations: CalculationPool,
  ) {}

  /** All trials with how far they have come, the newest first. */
  async list(): Promise<TrialView[]> {
    const { trials, here, setting } = await this.rows.transaction(async () => {
      const found = await this.rows.of(TrialEntity).find({ order: { id: 'DESC' }, take: MOST_TRIALS });
      return { trials: found, here: await this.triedOnHere(found), setting: await this.setting() };
    });
    if (trials.length === 0) return [];
    const { records } = await this.records.all();
    const dealt = records.filter(({ trial }) => trial);
    const plans = trials.map(({ id, body }) => ({ id, plan: body, setting: setting.get(id) ?? 0 }));
    const standings = await this.calculations.run('trials', plans, dealt);
    return trials.flatMap((trial, i) => {
      const standing = standings[i];
      return standing ? [trialView(trial, standing, !here(trial))] : [];
    });
  }

  /** Saves a trial. Once it was dealt, its name alone can change. @throws ProblemError 409 where it is closed, dealt or stale; 422 where it tries nothing */
  async save(id: string, { version, name, ...body }: TrialInput): Promise<void> {
    if (body.a.trim() === body.b.trim())
      throw ProblemError.refused(msg('server.invalid'), 'b', body.b, msg('server.trialSame'), msg('server.trialDiffer'));
    checkExpected(body.worse, body.better);
    await this.rows.transaction(async () => {
      const before = await this.locked(id);
      if (before?.closedAt != null) throw refuse(msg('server.trialIsClosed'), msg('server.trialStays'));
      if (before && changedFields(before.body, body).length > 0 && (await this.wasDealt(id)))
        throw refuse(msg('server.trialDealt'), msg('server.trialNameOnly'));
      if (version === 0 && !before) await this.mayAdd();
      await saveEdited(this.rows, this.rows.of(TrialEntity), 'trial', id, version, { name: name.trim(), body });
    });
  } // prettier-ignore

  /** Ends a trial; the way that is kept is how things are done from now on. Asked twice, it is done once. @throws ProblemError 404, 409 */
  async close(id: string, { keep, version }: TrialClosing, now: number): Promise<void> {
    await this.rows.transaction(async () => {
      const trial = await this.locked(id);
      if (!trial) throw ProblemError.notFound('trial');
      if (trial.closedAt !== null && trial.keep === keep) return;
      if (trial.closedAt !== null) throw refuse(msg('server.trialIsClosed'), msg('server.trialStays'));
      if (trial.version !== version) throw refuse(msg('server.changedMeanwhile'), msg('server.savedElsewhere', { what: 'trial' })); // prettier-ignore
      await this.rows.of(TrialEntity).update({ id }, { closedAt: now, keep });
      if (keep !== 'neither') await this.keepUsual(trial, keep);
    });
  }

  /** Removes a trial of which nothing was poured. @throws ProblemError 409 */
  async remove(id: string): Promise<void> {
    await this.rows.transaction(async () => {
      if (!(await this.locked(id))) return;
      if (await this.wasDealt(id)) throw refuse(msg('server.trialDealt'), msg('server.closeTrial'));
      await this.rows.of(TrialEntity).delete({ id });
    });
  }

  private async wasDealt(id: string): Promise<boolean> {
    const { a, b } = await this.deals.sidesSoFar(id);
    return a + b > 0;
  }

  /** The way of one side as the workshop's usual one. */
  private async keepUsual({ body }: TrialEntity, side: 'a' | 'b'): Promise<void> {
    await this.rows.lockWorkshop();
    const { settings } = await this.rows.workshop();
    const { usual = {} } = settings;
    const [way, other] = side === 'a' ? [body.a, body.b] : [body.b, body.a];
    const ways = [...(usual.ways ?? []).filter((one) => one !== way && one !== other), way].slice(-MOST_USUAL);
    const changed = body.kind === 'other' ? { ways } : { [body.kind]: way };
    await this.rows.changeWorkshop({ settings: { ...settings, usual: { ...usual, ...changed } } });
  }

  /** Whether what each trial is tried on is still here. */
  private async triedOnHere(trials: readonly TrialEntity[]): Promise<(trial: TrialEntity) => boolean> {
    const moulds = trials.flatMap(({ body }) => body.mouldId ?? []);
    const mixes = trials.flatMap(({ body }) => body.mixId ?? []);
    const found = [
      ...(moulds.length > 0 ? await this.rows.of(MouldEntity).find({ select: { id: true, workshopId: true }, where: { id: In(moulds) } }) : []),
      ...(mixes.length > 0 ? await this.rows.of(MixEntity).find({ select: { id: true, workshopId: true }, where: { id: In(mixes) } }) : []),
    ].map(({ id }) => id);
    return ({ body: { mouldId, mixId } }) => [mouldId, mixId].every((id) => id === undefined || found.includes(id));
  } // prettier-ignore

  /** How many casts of each trial still set. */
  private async setting(): Promise<ReadonlyMap<string, number>> {
    const found: { trial: string; casts: number }[] = await this.rows.manager.query(
      `select snapshot #>> '{trial,id}' as trial, count(*)::int as casts from casts
         where workshop_id = $1 and stage = 'setting' and snapshot ? 'trial' group by 1`,
      [this.rows.workshopId],
    );
    return new Map(found.map(({ trial, casts }) => [trial, casts]));
  }

  private async mayAdd(): Promise<void> {
    await this.rows.lockWorkshop();
    if ((await this.rows.of(TrialEntity).count()) >= MOST_TRIALS)
      throw refuse(msg('server.enoughTrials'), msg('server.removeTrials', { most: MOST_TRIALS }));
  }

  private locked(id: string): Promise<TrialEntity | null> {
    return this.rows.of(TrialEntity).findOne({ where: { id }, lock: { mode: 'for_no_key_update' } });
  }
}
