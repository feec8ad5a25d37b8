import type { PouredBefore } from '@dewpot/core/calendar';
import type { CalendarPlanView, CasterWeekView, OrderView } from '@dewpot/contract';
import type { CalendarPlanEntity, CasterWeekEntity, OrderEntity } from './calendar.entities.js';

/** An order with how far each line has come. */
export function orderView(
  { id, version, name, closed, body }: OrderEntity,
  poured: ReadonlyMap<string, readonly PouredBefore[]>,
): OrderView {
  const sum = (line: string, of: 'count' | 'ready') => (poured.get(line) ?? []).reduce((all, one) => all + one[of], 0);
  return {
    id,
    version,
    name,
    ...(closed && { closed: true }),
    ...body,
    lines: body.lines.map((line) => ({ ...line, poured: sum(line.id, 'count'), ready: sum(line.id, 'ready') })),
  };
}

export const weekView = ({ version, personId, body }: CasterWeekEntity, person: string): CasterWeekView => ({
  version,
  personId,
  person,
  ...body,
});

export const planView = ({ version, body }: CalendarPlanEntity): CalendarPlanView => ({ version, ...body });
