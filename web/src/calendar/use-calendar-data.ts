import { useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { dryColour } from '@dewpot/core/tints';
import { dosesOf, mixOf } from '@dewpot/core/mixes';
import type { OpenLine } from '@dewpot/core/calendar';
import type { MixView, MouldView, OrderView, TintView } from '@dewpot/contract';
import { mixesQuery } from '../api/mixes';
import { mouldsQuery } from '../api/moulds';
import { calendarFactsQuery, ordersQuery } from '../api/orders';
import { pastPoursQuery } from '../api/pours';
import { useSession } from '../api/session';
import { usePalette, type Palette } from '../api/tints';
import type { CalendarData } from '../workers/calendar-work';

/** A line with what it is made of, as it is shown. */
export interface ShownLine {
  readonly line: OpenLine;
  readonly mould: MouldView | undefined;
  readonly mix: MixView | undefined;
  readonly tint: TintView | undefined;
  /** #rrggbb as it dries. */
  readonly colour: string;
}

const UNKNOWN = '#a9a397';

function shownLine(
  line: OpenLine,
  moulds: readonly MouldView[],
  mixes: readonly MixView[],
  palette: Palette,
): ShownLine {
  const { find, colours, tints } = palette;
  const mix = mixes.find(({ id }) => id === line.mixId);
  const tint = tints.find(({ id }) => id === line.tintId);
  const colour = mix && tint ? dryColour(mixOf(mix, find), colours, dosesOf(tint.doses, find)) : mix?.colour;
  return { line, mould: moulds.find(({ id }) => id === line.mouldId), mix, tint, colour: colour ?? UNKNOWN };
}

/** Everything that the calendar is made from, once it is there. */
export interface CalendarKnown {
  readonly data: CalendarData;
  readonly orders: readonly OrderView[];
  readonly lines: readonly ShownLine[];
  readonly palette: Palette;
}

/** Gathers what the calendar is made from. */
export function useCalendarData(): {
  readonly known?: CalendarKnown;
  readonly error: unknown;
  readonly isPending: boolean;
} {
  const { workshop } = useSession();
  const [moulds, mixes, past] = [useQuery(mouldsQuery), useQuery(mixesQuery), useQuery(pastPoursQuery)];
  const [facts, orders] = [useQuery(calendarFactsQuery), useQuery(ordersQuery)];
  const { palette, ...colours } = usePalette();
  const known = useMemo(() => {
    if (!moulds.data || !mixes.data || !past.data || !facts.data || !orders.data || !palette) return undefined;
    const { store, find: _, colours: __, ...tints } = palette;
    const data = { moulds: moulds.data, mixes: mixes.data, store, tints, workshop, past: past.data, facts: facts.data };
    const lines = facts.data.lines.map((line) => shownLine(line, moulds.data, mixes.data, palette));
    return { data, orders: orders.data, lines, palette };
  }, [moulds.data, mixes.data, past.data, facts.data, orders.data, palette, workshop]);
  const queries = [moulds, mixes, past, facts, orders, colours];
  return {
    ...(known && { known }),
    error: queries.find(({ error }) => error)?.error,
    isPending: queries.some(({ isPending }) => isPending),
  };
}
