import { Injectable } from '@nestjs/common';
import { isGood } from '@dewpot/core/findings';
import type { AllWaysView, CastFindings, PourFindings, WatchView } from '@dewpot/contract';
import { clock } from '../clock.js';
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
    await this.records.gather();
    const [record] = await this.records.of({ id });
    const { all, casts } = await this.records.crossing();
    if (!record) return { seen: false, good: false, faults: [], explanations: [], under: {}, casts };
    const explanations = record.faults.length === 0 ? [] : await this.calculations.run('explain', record, all);
    return { seen: record.seen, good: isGood(record), faults: record.faults, explanations, under: record.under, casts };
  } // prettier-ignore

  /** Why the casts of a pour have their faults, over all of them together. @throws ProblemError 404 */
  async ofPour(id: string): Promise<PourFindings> {
    if (!(await this.rows.transaction(() => this.rows.of(CastEntity).existsBy({ pourId: id })))) throw ProblemError.notFound('pour'); // prettier-ignore
    await this.records.gather();
    const own = await this.records.of({ pourId: id });
    const { all, casts } = await this.records.crossing();
    const faulty = own.some(({ faults }) => faults.length > 0);
    return { explanations: faulty ? await this.calculations.run('explainCasts', own, all) : [], casts };
  } // prettier-ignore

  /** Every way beside every other of its kind; as it was compared last where nothing has changed since. */
  async ways(): Promise<AllWaysView> {
    const left = await this.records.gather();
    const asked = await this.rows.transaction(() => this.keptWays.asked());
    const { ways, seen } = asked.kept ?? (await this.compared(asked));
    return { ...ways, casts: seen, left };
  }

  private async compared(asked: WaysAsked): Promise<KeptWays> {
    const { all } = await this.records.crossing();
    const found = await this.calculations.run('ways', all);
    await this.rows.transaction(() => this.keptWays.keep(asked, found));
    return found;
  }

  /** What is watched from cast to cast. */
  async watch(): Promise<WatchView> {
    const left = await this.records.gather();
    const { all } = await this.records.crossing();
    return { ...(await this.calculations.run('watch', all, clock.now())), left };
  }
}
