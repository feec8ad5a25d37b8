import { demandRatio, drySolids, shrunkenMean, waterCut, type Learned } from '../../mixing/mixes/index.js';
import { pieceVolume } from './pieces.js';
import type { PourPlan } from './plan.js';
import { loggedBatch, type PourLog } from './pour-log.js';

/** A pour that is done. */
export interface PouredRecord {
  readonly plan: PourPlan;
  readonly log: PourLog;
}

/** What one pour shows of its mix: how thirsty it was against the handbook, and how much it made. */
export interface PourLesson {
  readonly demand: number;
  /** (Filled + left over) ÷ predicted; undefined where nobody looked and nothing fell short. */
  readonly yield?: number;
}

/** What pours of a mix have taught, each with what it showed, in their order. */
export interface MixLessons {
  readonly demand: Learned;
  readonly yield: Learned;
  readonly pours: readonly PourLesson[];
}

/** What one pour shows of its mix. A pour whose leftover was not recorded teaches of the yield only if it fell short. */
export function lessonOf({ plan, log }: PouredRecord): PourLesson {
  const batch = loggedBatch(plan, log);
  const demand = demandRatio({
    solids: drySolids(batch),
    totalWater: batch.totalWater,
    grade: log.grade,
    cut: waterCut(plan.mix),
  });
  const wanted = plan.items.reduce((sum, item) => sum + pieceVolume(item) * item.count, 0);
  const spare = log.short ? -log.short : log.leftover;
  return { demand, ...(spare !== undefined && { yield: (wanted + spare) / batch.volume }) };
}

/** What pours of one mix have taught of its water and its yield; none: the handbook's, n = 0. */
export function lessonsOf(pours: readonly PourLesson[]): MixLessons {
  return {
    pours,
    demand: shrunkenMean(pours.map(({ demand }) => demand)),
    yield: shrunkenMean(pours.flatMap((lesson) => (lesson.yield === undefined ? [] : [lesson.yield]))),
  };
}
