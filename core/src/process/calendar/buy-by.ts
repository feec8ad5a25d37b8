import { InputError } from '../../foundation/units/index.js';
import { shortagesOf } from '../../mixing/materials/index.js';
import { goodsOf } from '../pours/index.js';
import type { CalendarPlan, PlannedSession } from './calendar-plan.js';
import type { CalendarSources } from './calendar-sources.js';
import { sessionBench, sessionChoices } from './session-pour.js';

/** A material that runs out: by when it is to be bought, and how much is missing for all that is planned. */
export interface BuyBy {
  readonly materialId: string;
  readonly name: string;
  /** When the session begins that wants it, ms. */
  readonly at: number;
  /** g */
  readonly missing: number;
}

/** What a session takes of the store, g dry by material. */
function takenBy({ poured }: PlannedSession, { pour, lines }: CalendarSources) {
  const choices = sessionChoices(poured, lines, { temperature: 18 }, pour.mixes);
  try {
    return choices ? goodsOf(sessionBench(choices, pour).parts) : [];
  } catch (error) {
    // What can no longer be poured takes nothing; the plan itself tells of it.
    if (error instanceof InputError) return [];
    throw error;
  }
}

/** What has to be bought for a plan, and by when: what runs out first at the head. */
export function buyBy(sources: CalendarSources, { sessions }: Pick<CalendarPlan, 'sessions'>): BuyBy[] {
  const wanted = new Map<string, { materialId: string; name: string; mass: number }>();
  const found = new Map<string, BuyBy>();
  for (const session of sessions) {
    for (const { material, mass } of takenBy(session, sources)) {
      const { id: materialId, name } = material;
      wanted.set(materialId, { materialId, name, mass: mass + (wanted.get(materialId)?.mass ?? 0) });
    }
    for (const { materialId, name, missing } of shortagesOf([...wanted.values()], sources.pour.lots))
      found.set(materialId, { materialId, name, at: found.get(materialId)?.at ?? session.at, missing });
  }
  return [...found.values()].sort((a, b) => a.at - b.at);
}
