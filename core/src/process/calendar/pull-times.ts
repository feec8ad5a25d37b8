import type { ReleaseName } from '../../geometry/moulds/index.js';
import { HOUR } from '../../foundation/units/index.js';
import { initialSet } from '../../mixing/binders/index.js';
import { typedInitialSet } from '../../mixing/mixes/index.js';
import { hourOfAge, pulledCores } from '../curing/index.js';
import type { CalendarLine } from './calendar-problem.js';
import type { AtHand } from './chain.js';
import type { SessionSlot } from './week.js';

/** Hours in which a core that is drawn green must be out. */
const SEEN = 96;

/** Pipes and plugs are greased whatever the mould is, unless its caster puts nothing on it: then they wait until morning. */
const GREASED: ReleaseName = 'petroleum-jelly';

/** Slots in which a line cannot be poured: nobody is at hand while its cores can be drawn. Handbook 10 and 18. */
export function slotsBarred(
  { work: { plan }, piece, air }: Pick<CalendarLine, 'work' | 'piece' | 'air'>,
  slots: readonly SessionSlot[],
  atHand: AtHand,
  release: ReleaseName = GREASED,
): number[] {
  const [item] = plan.items;
  const cores = item ? pulledCores(item.shape, release) : [];
  if (cores.length === 0) return [];
  const set = initialSet(piece.binderClass, 20, typedInitialSet(plan.mix, piece.binderClass));
  return slots.flatMap(({ at }, slot) => {
    const from = at / HOUR;
    const reached = (share: number) =>
      (hourOfAge(air().ageing(piece.binderClass), from, share * set, from + SEEN) ?? from + SEEN) * HOUR;
    const inTime = cores.every(({ window: { good, late } }) => {
      const there = atHand(reached(good));
      return there !== undefined && there <= reached(late);
    });
    return inTime ? [] : [slot];
  });
}
