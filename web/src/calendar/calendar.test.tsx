import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { speakerFor } from '@dewpot/locales/testing';
import type { CalendarPlanInput, CasterWeekInput, OrderInput, OrderView } from '@dewpot/contract';
import { brick, fakeServer, mix, mould, palette, renderScreen, type Answers } from '../../test/fake-server';
import { calendarFacts as facts, usualWeekView as week } from '../../test/calendar-facts';
import { DAY, NOW, session } from '../../test/stand-ins';
import { sourcesOf } from '../workers/calendar-work';
import { CalendarPage } from './calendar-page';
import { calendarCsv, paperDays } from './calendar-rows';
import { busySteps, lanesOf, railScale } from './rail-layout';

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'], now: NOW });
  // The test has no layout of its own.
  vi.stubGlobal('ResizeObserver', class { observe() {} disconnect() {} }); // prettier-ignore
});
afterEach(() => {
  vi.useRealTimers();
});

const line = { id: 'pots', mouldId: 'm', mixId: 'x', count: 5, state: 'cured' as const };
const open = { ...line, order: 'Fair', poured: [] };
const order: OrderView = { id: 'o', version: 1, name: 'Fair', lines: [{ ...line, poured: 0, ready: 0 }] };

function show(over: Answers = {}, at = '/calendar') {
  const sent = fakeServer({
    orders: [order],
    'calendar/facts': facts({ lines: [open] }),
    'calendar/plan': { lines: [] },
    'calendar/week': week,
    ...over,
  });
  renderScreen(<CalendarPage />, at, '/calendar');
  return { sent, user: userEvent.setup() };
}
const chips = () => screen.findAllByRole('button', { name: /^Session / });
const planSent = (sent: { path: string; body: unknown }[]) =>
  sent.filter(({ path }) => path === 'calendar/plan').map(({ body }) => body as CalendarPlanInput);

describe('the calendar without an order', () => {
  it('says what it is for, and keeps the first order as it was typed', async () => {
    const { sent, user } = show({ orders: [], 'calendar/facts': facts() });
    expect(await screen.findByText('Nothing is ordered yet')).toBeVisible();
    await user.click(screen.getAllByRole('button', { name: 'Add an order' })[1]!);
    const dialog = screen.getByRole('dialog', { name: 'New order', hidden: true });
    const save = within(dialog).getByRole('button', { name: 'Save', hidden: true });
    await user.click(save);
    expect(within(dialog).getByText('Enter what it is for.')).toBeVisible();
    await user.type(within(dialog).getByLabelText('What it is for'), 'Market');
    await user.clear(within(dialog).getByLabelText('How many'));
    await user.type(within(dialog).getByLabelText('How many'), '24');
    await user.selectOptions(within(dialog).getByLabelText('Tint'), 'Old brick');
    await user.selectOptions(within(dialog).getByLabelText('Wanted'), 'sealed');
    await user.selectOptions(within(dialog).getByLabelText('Coats'), '3');
    await user.click(save);
    await waitFor(() => expect(sent).toHaveLength(1));
    const body = sent[0]!.body as OrderInput;
    expect(body).toMatchObject({ name: 'Market', version: 0, lines: [{ mouldId: 'm', mixId: 'x', tintId: brick.id, count: 24, state: 'sealed', coats: 3 }] }); // prettier-ignore
  });

  it('begins an order with what an address names', async () => {
    show(
      { orders: [], 'calendar/facts': facts() },
      '/calendar?mould=m&mix=x&count=7&tint=brick&joining=&mould=m&mix=x&count=1&tint=&joining=120',
    );
    const dialog = await screen.findByRole('dialog', { name: 'New order', hidden: true });
    const values = (label: string | RegExp) =>
      within(dialog)
        .getAllByLabelText<HTMLInputElement>(label)
        .map(({ value }) => value);
    expect(values('How many')).toEqual(['7', '1']);
    expect(values('Tint')).toEqual(['brick', '']);
    expect(values(/^Joint carries after/)).toEqual(['', '120']);
  });
});

describe('a plan on the screen', () => {
  it('is looked for where there is none, told in a sentence, and kept', async () => {
    const { sent } = show({ 'calendar/facts': facts({ lines: [{ ...open, count: 4 }] }) });
    expect(await screen.findByText('2 sessions do for everything.', undefined, { timeout: 20_000 })).toBeVisible();
    expect(await chips()).toHaveLength(2);
    expect(screen.getByText(/It goes by a usual week/)).toBeVisible();
    await waitFor(() => expect(planSent(sent)).toHaveLength(1));
    const [body] = planSent(sent);
    expect(body).toMatchObject({ version: 0, madeAt: NOW, leastSessions: 2 });
    expect(body!.sessions.flatMap(({ poured }) => poured).reduce((sum, { count }) => sum + count, 0)).toBe(4);
    expect(body!.tasks.map(({ task }) => task)).toContain('demould');
    expect(
      await screen.findByText('With one more copy of Nested pot, it saves one session.', undefined, {
        timeout: 20_000,
      }),
    ).toBeVisible();
  }, 60_000);

  const at = (day: number, clock: number) => Date.UTC(2026, 4, day, clock);
  const kept = {
    version: 4,
    madeAt: NOW - 2 * DAY,
    sessions: [
      { at: at(21, 19), minutes: 70, room: 150, poured: [{ line: 'pots', count: 3 }] },
      { at: at(26, 19), minutes: 70, room: 150, poured: [{ line: 'pots', count: 2 }] },
    ],
    tasks: [],
    outcomes: [],
    chance: 1,
    leastSessions: 2,
  };

  it('that is kept is judged by what is known now; moved with the arrows it says what that costs, and is put back', async () => {
    const { sent, user } = show({ 'calendar/plan': { plan: kept, lines: [] } });
    // It stands for a moment only.
    await screen.findByText('Fetching the plan…');
    const [first, second] = await chips();
    expect(screen.getByText(/the forecast is newer/)).toBeVisible();
    second!.focus();
    await user.keyboard('{ArrowLeft}');
    expect(await screen.findByText(/^Moved: /)).toBeVisible();
    expect(screen.getByRole('button', { name: /Sat 10:00, 23 May.*kept where it is/ })).toBeVisible();
    expect(screen.queryByText('Fetching the plan…')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Put it back' }));
    expect(screen.getByRole('button', { name: /Tue 19:00, 26 May/ })).toBeVisible();
    expect(first).toBeVisible();
    expect(planSent(sent)).toEqual([]);
  });

  it('that is made again tells what moved', async () => {
    const { user } = show({ 'calendar/plan': { plan: { ...kept, sessions: [{ ...kept.sessions[0]!, poured: [{ line: 'pots', count: 1 }] }] }, lines: [] } }); // prettier-ignore
    await chips();
    await user.click(screen.getByRole('button', { name: 'Plan again' }));
    const told = await screen.findByText('What moved', undefined, { timeout: 20_000 });
    expect(told.parentElement).toHaveTextContent(/tomorrow 19:00: 3 × Nested pot, before 1 × Nested pot/);
    await user.click(screen.getByRole('button', { name: 'Hide' }));
    expect(told).not.toBeInTheDocument();
  }, 60_000);

  it('that no longer goes is told so, by the mould and the evening', async () => {
    const standing = Array.from({ length: 3 }, () => ({
      mouldId: 'm',
      freeAt: at(22, 9),
      until: at(25, 9),
      placeId: 'bench',
    }));
    show({ 'calendar/plan': { plan: kept, lines: [] }, 'calendar/facts': facts({ lines: [open], standing }) });
    expect(await screen.findByText('The plan no longer holds: one thing does not go as planned.')).toBeVisible();
    expect(screen.getByText(/Nested pot: .*more copies are wanted than are free/)).toBeVisible();
  });

  it('opens a session: what it pours, how long it takes, and the pour that comes of it', async () => {
    const { user } = show({ 'calendar/plan': { plan: kept, lines: [] } });
    const [first] = await chips();
    await user.click(first!);
    const dialog = await screen.findByRole('dialog', { name: /^Session Thu/, hidden: true });
    expect(within(dialog).getByText(/One bucket\. It takes about \d+ min of 150 min\./)).toBeVisible();
    const link = within(dialog).getByRole('link', { name: 'Open as a pour', hidden: true });
    expect(link).toHaveAttribute('href', `/pours/new?session=${at(21, 19)}`);
  });

  it('says by name what cannot be planned', async () => {
    const gone = { ...open, id: 'lost', mouldId: 'gone' };
    show({ 'calendar/facts': facts({ lines: [open, gone] }), 'calendar/plan': { plan: kept, lines: [] } });
    expect(await screen.findByText(/Fair: the mould of a line is no longer there/)).toBeVisible();
  });
});

describe('one’s own week', () => {
  it('is changed day by day, with days away and other sessions', async () => {
    const { sent, user } = show({ orders: [], 'calendar/facts': facts() });
    await user.click(await screen.findByRole('button', { name: 'Your week' }));
    const dialog = await screen.findByRole('dialog', { name: 'Your week', hidden: true });
    await user.click(await within(dialog).findByLabelText('Session on Tuesday'));
    const [addAway, addSession] = within(dialog).getAllByRole('button', { name: 'Add', hidden: true });
    for (const day of ['2026-06-02', '2026-06-01']) {
      await user.type(within(dialog).getByLabelText('A day away'), day);
      await user.click(addAway!);
    }
    await user.click(within(dialog).getByRole('button', { name: /2026-06-02/, hidden: true }));
    await user.type(within(dialog).getByLabelText('A session on another day'), '2026-06-03');
    await user.click(addSession!);
    await user.click(within(dialog).getByRole('button', { name: 'Save', hidden: true }));
    await waitFor(() => expect(sent).toHaveLength(1));
    const body = sent[0]!.body as CasterWeekInput;
    expect(body.sessions.map(({ weekday }) => weekday)).toEqual([3, 5]);
    expect(body.away).toEqual([{ date: '2026-06-01' }]);
    expect(body.otherSessions).toEqual([{ date: '2026-06-03', from: 19, to: 21.5 }]);
  });
});

describe('what the plan is drawn and written from', () => {
  const times = { demoulded: NOW + DAY, cured: NOW + 7 * DAY, dry: NOW + 12 * DAY, sealed: NOW + 12 * DAY, hardened: NOW + 15 * DAY }; // prettier-ignore
  const plan = {
    sessions: [{ at: NOW, minutes: 60, room: 150, poured: [{ line: 'pots', count: 3 }], batches: [] }],
    pieces: [
      { line: 'pots', session: 0, pouredAt: NOW, count: 3, middle: times, long: { ...times, sealed: NOW + 20 * DAY } },
    ],
    outcomes: [],
    chance: 1,
    leastSessions: 1,
    best: true,
    left: 0,
    issues: [],
    notes: [],
  };

  it('are the stretches of each session’s pieces up to the state that is wanted', () => {
    const [cured] = lanesOf(plan, 'pots', 'cured');
    expect(cured!.spans.map(({ phase }) => phase)).toEqual(['setting', 'curing']);
    const [sealed] = lanesOf(plan, 'pots', 'sealed');
    expect(sealed).toMatchObject({ ready: NOW + 12 * DAY, longest: NOW + 20 * DAY, count: 3 });
    expect(sealed!.spans.map(({ phase }) => phase)).toEqual(['setting', 'curing', 'drying']);
  });

  it('are days wide enough to be told apart, to the last of what happens', () => {
    const scale = railScale(NOW, [NOW + 100 * DAY], 800);
    expect(scale.day).toBe(15);
    expect(scale.days.length).toBeGreaterThanOrEqual(101);
    expect(railScale(NOW, [Infinity], 800).day).toBeGreaterThan(40);
  });

  it('are copies that are full at once, added up', () => {
    const full = [
      { from: 0, to: 10, count: 2 },
      { from: 5, to: 12, count: 1 },
    ];
    expect(busySteps(full)).toEqual([
      { from: 0, to: 5, full: 2 },
      { from: 5, to: 10, full: 3 },
      { from: 10, to: 12, full: 1 },
    ]);
  });

  it('are rows of a table and entries of a paper, in the order of time', () => {
    const { store, find: _, colours: __, ...tints } = palette;
    const data = { moulds: [mould], mixes: [mix], store, tints, workshop: session.workshop, past: { lessons: [], runs: [], measured: [] }, facts: facts({ lines: [open] }) }; // prettier-ignore
    const known = {
      data,
      orders: [order],
      palette,
      lines: [{ line: open, mould, mix, tint: undefined, colour: '#b3ada1' }],
    };
    const say = speakerFor();
    const [head, ...rows] = calendarCsv(known, plan, say).split('\r\n');
    expect(head).toBe('At,At the latest,What,How many,Mould,Mix,Tint,Order');
    expect(rows.map((row) => row.split(',')[2])).toEqual(['Pour', 'Demould', 'Keep damp', 'End moist curing']);
    const days = paperDays(known, plan, say, NOW + 3 * DAY);
    expect(days.map(({ entries }) => entries.map(({ told }) => told))).toEqual([
      ['Pour 3 × Nested pot, Garden grey (Fair)'],
      ['Demould 3 × Nested pot, Garden grey (Fair)', 'Keep damp 3 × Nested pot, Garden grey (Fair)'],
    ]);
    expect(sourcesOf(data).setup).toEqual({ setUp: 20, cleanUp: 25 });
  });
});
