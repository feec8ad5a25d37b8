import { DAY, MINUTE } from '@dewpot/core/units';
import { calendarSources, copiesOwned, keptPlan, planCalendar } from '@dewpot/core/calendar';
import { loadSolver } from '@dewpot/core/solver';
import {
  CalendarFactsService,
  MouldsService,
  OrdersService,
  PlansService,
  PoursService,
  sourcesOf,
  WeeksService,
  type createServer,
} from '@dewpot/server';
import type { CasterWeekInput, OrderLineInput } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';
import { inWords } from './in-words.js';
import { v7 as uuid } from 'uuid';

type Server = Awaited<ReturnType<typeof createServer>>;

/** A line of the demo's orders: which mould and mix, how many, in which state, and in how many days; as early as possible without. */
interface DemoLine {
  readonly mould: number;
  readonly mix: number;
  readonly tint?: number;
  readonly count: number;
  readonly state: OrderLineInput['state'];
  readonly days?: number;
}

interface DemoOrder {
  readonly name: string;
  readonly lines: readonly DemoLine[];
}

/** A fair that is half done and a little late, and a path in front of a gate. Pours of the season name these lines by their place. */
const orders: readonly DemoOrder[] = [
  {
    name: 'demo.towpathFair',
    lines: [
      { mould: 0, mix: 3, count: 10, state: 'sealed', days: 35 },
      { mould: 2, mix: 3, count: 12, state: 'cured', days: 35 },
      { mould: 9, mix: 1, tint: 2, count: 6, state: 'sealed', days: 35 },
    ],
  },
  { name: 'demo.gatePath', lines: [{ mould: 6, mix: 4, count: 9, state: 'cured' }] },
];

/** Keys for the lines of all orders, in their order: pours name them before the orders are kept. */
export const lineKeys = (): string[] => orders.flatMap(({ lines }) => lines.map(() => uuid()));

const every = (from: number, to: number) => [0, 1, 2, 3, 4, 5, 6].map((weekday) => ({ weekday, from, to }));
/** Two evenings and a morning of one, one evening of the other. */
const weeks: readonly Omit<CasterWeekInput, 'version'>[] = [
  {
    attended: every(7, 22),
    sessions: [
      { weekday: 1, from: 19, to: 21.5 },
      { weekday: 3, from: 19, to: 21.5 },
      { weekday: 5, from: 10, to: 13 },
    ],
    away: [],
    otherSessions: [],
  },
  { attended: every(17, 22), sessions: [{ weekday: 3, from: 19, to: 21.5 }], away: [], otherSessions: [] },
];

/** What of the demo an order names. */
interface DemoKeys {
  readonly moulds: readonly string[];
  readonly mixes: readonly string[];
  readonly tints: readonly string[];
}

/** Keeps the orders, the weeks of both people, and the plan. */
export async function takeOrders(
  app: Server,
  keys: DemoKeys,
  lines: readonly string[],
  people: readonly string[],
  now: number,
  say: Speaker,
): Promise<void> {
  for (const [i, person] of people.entries()) {
    const week = weeks[i];
    if (week) await app.get(WeeksService).save(person, { ...week, version: 0 });
  }
  let at = 0;
  for (const { name, lines: own } of inWords(orders, say)) {
    const input = own.map(({ mould, mix, tint, count, state, days }): OrderLineInput => ({
      id: lines[at++] ?? uuid(),
      mouldId: keys.moulds[mould] ?? '',
      mixId: keys.mixes[mix] ?? '',
      ...(tint !== undefined && { tintId: keys.tints[tint] ?? '' }),
      count,
      state,
      ...(days !== undefined && { by: Math.ceil((now + days * DAY) / DAY) * DAY - MINUTE }),
    }));
    await app.get(OrdersService).save(uuid(), { name, lines: input, version: 0 }, now);
  }
  await planAll(app, people[0] ?? '', now);
}

/** So long the plan of the demo is looked for, s. */
const SECONDS = 3;
const SEED = 1834;

async function planAll(app: Server, personId: string, now: number): Promise<void> {
  const facts = await app.get(CalendarFactsService).facts(personId, now);
  const moulds = await app.get(MouldsService).all();
  const data = await app.get(PoursService).dataFor(
    moulds.map(({ id }) => id),
    now,
  );
  const owned = moulds.map((mould) => ({ ...mould, copies: copiesOwned(mould.copies) }));
  const sources = calendarSources({ ...sourcesOf(data), moulds: owned }, facts);
  const solve = await loadSolver();
  const plan = planCalendar(sources, { solve, seconds: SECONDS, clock: () => performance.now() / 1000, seed: SEED });
  await app.get(PlansService).save({ ...keptPlan(plan, facts.lines, now), version: 0 });
}
