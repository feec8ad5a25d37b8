import { Injectable } from '@nestjs/common';
import { groupOfKind, type LearnedFigure, type LessonSources } from '@dewpot/core/findings';
import type { ForgottenInput, LearnedView } from '@dewpot/contract';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { DemouldsService } from '../curing/index.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { ForgottenLessons } from '../lessons/index.js';
import { plainMaterial } from '../materials/index.js';
import { MaterialEntity } from '../materials/materials.entities.js';
import { MixEntity } from '../mixes/mixes.entities.js';
import { PourEntity } from '../pours/pours.entities.js';
import { DryingLessonsService, RefitsService, SealLessonsService } from '../sealing/index.js';
import { SwatchEntity } from '../tints/tints.entities.js';

/** So many pours, the newest, and so many chips are looked at. */
const MOST_POURS = 1_000;
const MOST_CHIPS = 2_000;

/** Every figure that a workshop's own records taught. */
@Injectable()
export class LearnedService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly forgotten: ForgottenLessons,
    private readonly demoulds: DemouldsService,
    private readonly dryings: DryingLessonsService,
    private readonly seals: SealLessonsService,
    private readonly refits: RefitsService,
    private readonly calculations: CalculationPool,
  ) {}

  async view(): Promise<LearnedView> {
    return { figures: await this.figures() };
  }

  /** Forgets what the records of something taught so far; the records stay. @throws ProblemError 404 where nothing was learned of it */
  async forget(asked: ForgottenInput, now: number): Promise<void> {
    await this.change(asked, now);
  }

  /** Lets all records of something count again. @throws ProblemError 404 where nothing was learned of it */
  async recall(asked: ForgottenInput): Promise<void> {
    await this.change(asked);
  }

  private async change({ group, of }: ForgottenInput, since?: number): Promise<void> {
    const key = of.join(' ');
    const known = (await this.figures()).some((one) => groupOfKind[one.kind] === group && one.of.join(' ') === key);
    if (!known) throw ProblemError.notFound('learned');
    await this.rows.transaction(async () => {
      const [mouldId, mixId] = of;
      if (group === 'demould' && mouldId && mixId) return this.demoulds.countFrom(mouldId, mixId, since);
      if (since === undefined) await this.forgotten.recall(group, of);
      else await this.forgotten.forget({ group, of, since });
      // What waits at a gate is judged by other limits from now on.
      if (group === 'sealing') await this.refits.ask();
    });
  }

  private async figures(): Promise<LearnedFigure[]> {
    const sources = await this.rows.transaction(() => this.sources());
    return this.calculations.run('learned', sources);
  }

  private async sources(): Promise<LessonSources> {
    const mixes = await this.rows.of(MixEntity).find({ order: { name: 'ASC', id: 'ASC' } });
    const chips = await this.rows.of(SwatchEntity).find({ order: { createdAt: 'ASC', id: 'ASC' }, take: MOST_CHIPS });
    return {
      mixes: mixes.map(({ id, name, body: { binderClass } }) => ({ id, name, binderClass })),
      pours: await this.pours(),
      demoulds: await this.demoulds.taught(),
      dryings: await this.dryings.records(),
      overrides: await this.seals.records(),
      materials: (await this.rows.of(MaterialEntity).find()).map(plainMaterial),
      chips: chips.flatMap(({ id, name, body }) =>
        body.measured ? [{ ...body, id, name, at: body.measured.at }] : [],
      ),
      forgotten: await this.forgotten.all(),
    };
  }

  /** Pours that are done, the oldest first. */
  private async pours(): Promise<LessonSources['pours']> {
    const found = await this.rows.of(PourEntity).find({
      where: { status: 'finished' },
      select: { id: true, number: true, taught: true, lessons: true, pouredAt: true },
      order: { number: 'DESC' },
      take: MOST_POURS,
    });
    return found.toReversed().map(({ id, number, taught, lessons, pouredAt }) => ({
      id,
      number,
      at: pouredAt ?? 0,
      taught: taught ?? [],
      runs: lessons ?? [],
    }));
  }
}
