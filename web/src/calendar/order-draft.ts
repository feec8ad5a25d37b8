import { v7 as uuid } from 'uuid';
import type { OrderInput, OrderLineInput } from '@dewpot/contract';
import { startOfDay } from 'date-fns';
import { DAY } from '@dewpot/core/units';
import type { LineAsked } from '../ui/order-address';
import type { CalendarKnown } from './use-calendar-data';

/** An order as it is typed in. */
export interface OrderDraft extends Omit<OrderInput, 'lines'> {
  readonly id: string;
  readonly lines: readonly OrderLineInput[];
}

/** A line to begin with. */
export function firstLine(
  { data: { moulds, mixes, past } }: CalendarKnown,
  given?: LineAsked,
): OrderLineInput | undefined {
  const mouldId = given?.mouldId ?? moulds[0]?.id;
  const mixId = given?.mixId ?? past.last?.mixId ?? mixes[0]?.id;
  if (!mouldId || !mixId) return undefined;
  return {
    id: uuid(),
    mouldId,
    mixId,
    ...(given?.tintId && { tintId: given.tintId }),
    count: given?.count ?? 6,
    state: 'cured',
    ...(given?.joining && { joining: given.joining }),
  };
}

/** The order that is changed, or a new one. */
export function firstOrder(known: CalendarKnown, id: string | undefined, given: readonly LineAsked[] = []): OrderDraft {
  const order = known.orders.find((one) => one.id === id);
  if (order) {
    const { lines, ...rest } = order;
    return { ...rest, lines: lines.map(({ poured: _, ready: __, ...line }) => line) };
  }
  const asked = given.length > 0 ? given : [undefined];
  return { id: uuid(), name: '', lines: asked.flatMap((one) => firstLine(known, one) ?? []), version: 0 };
}

/** The end of a day that is typed as YYYY-MM-DD, ms. */
export const endOf = (day: string): number => startOfDay(new Date(`${day}T12:00`)).getTime() + DAY - 60_000;
