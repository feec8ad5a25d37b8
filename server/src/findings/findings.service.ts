import { Injectable } from '@nestjs/common';
import { isGood } from '@dewpot/core/findings';
import type { AllWaysView, CastFindings, PourFindings, WatchView } from '@dewpot/contract';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { CastEntity } from '../casts/casts.entities.js';
import { ProblemError } from '../http/problem-error.js';
import { FindingRecordsService } from './finding-records.service.js';
import { KeptWaysService, type KeptWays, type WaysAsked } from './kept-ways.service.js';

/** Why casts came out as they did, and which ways do better. */
@Injectable()
export class FindingsService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly records: FindingRecordsService,
    private readonly keptWays: KeptWaysService,
    private readonly calculations: CalculationPool,
  ) {}

  /** Why a cast has its faults. @throws ProblemError 404 */
  async ofCast(id: string): Promise<CastFindings> {
    if (!(await this.rows.transaction(() => this.rows.of(CastEntity).existsBy({ id })))) throw ProblemError.notFound('cast'); // prettier-ignore
    const { records } = await this.records.all();
    const record = records.find((one) => one.id === id);
    if (!record) return { seen: false, good: false, faults: [], explanations: [], under: {}, casts: records.length };
    const explanations = record.faults.length === 0 ? [] : await this.calculations.run('explain', record, records);
    return { seen: record.seen, good: isGood(record), faults: record.faults, explanations, under: record.under, casts: records.length };
  } // prettier-ignore

  /** Why the casts of a pour have their faults, over all of them together. @throws ProblemError 404 */
  async ofPour(id: string): Promise<PourFindings> {
    const casts = await this.rows.transaction(() => this.rows.of(CastEntity).find({ where: { pourId: id }, select: { id: true, workshopId: true } }));
    if (casts.length === 0) throw ProblemError.notFound('pour');
    const { records } = await this.records.all();
    const own = records.filter((record) => casts.some((cast) => cast.id === record.id));
    const faulty = own.some(({ faults }) => faults.length > 0);
    return { explanations: faulty ? await this.calculations.run('explainCasts', own, records) : [], casts: records.length };
  } // prettier-ignore

  /** Every way beside every other of its kind; as it was compared last where nothing has changed since. */
  async ways(): Promise<AllWaysView> {
    const left = await this.records.gather();
    const asked = await this.rows.transaction(() => this.keptWays.asked());
    const { ways, seen } = asked.kept ?? (await this.compared(asked));
    return { ...ways, casts: seen, left };
  }

  private async compared(asked: WaysAsked): Promise<KeptWays> {
    const records = await this.records.kept();
    const seen = records.filter((record) => record.seen).length;
    const found = { ways: await this.calculations.run('ways', records), seen };
    await this.rows.transaction(() => this.keptWays.keep(asked, found));
    return found;
  }

  /** What is watched from cast to cast. */
  async watch(): Promise<WatchView> {
    const { records, left } = await this.records.all();
    return { ...(await this.calculations.run('watch', records, Date.now())), left };
  }
}
