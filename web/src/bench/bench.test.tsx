import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { MINUTE } from '@dewpot/core/units';
import type { RunEvent } from '@dewpot/core/bench';
import type { PourInput, PourView, RunView } from '@dewpot/contract';
import { fakeServer, mix, mould, palette, Refusal, renderScreen, type Answers, noPast } from '../../test/fake-server';
import { NOW, session } from '../../test/stand-ins';
import { partsChosen } from '../pours/plan';
import { BenchPage } from './bench-page';
import { brokenAxis } from '../ui/broken-axis';
import { countdown } from './timers';

const input: PourInput = {
  items: [{ mouldId: 'm', count: 2 }],
  mixId: 'x',
  grade: 5,
  spare: 0.05,
  moisture: {},
  scoopId: 'can',
  step: 0.25,
  temperature: 18,
  release: 'paste wax',
  version: 0,
};
const sources = {
  moulds: [mould],
  mixes: [mix],
  palette,
  workshop: session.workshop,
  past: noPast,
  aside: [],
  ambientBasis: 'measured' as const,
  full: [],
  now: NOW,
};
const started = (id: string, over: Partial<PourInput> = {}): PourView => {
  const chosen = { ...input, ...over };
  const { parts } = partsChosen(chosen, sources)!;
  return { id, number: 7, version: 2, status: 'started', input: chosen, parts, startedAt: Date.now() - 5 * MINUTE };
};
const happened = (...steps: string[]): RunView => ({
  events: steps.map((step, i): RunEvent => ({
    id: `e${i}`,
    at: Date.now() - (steps.length - i) * MINUTE,
    kind: 'done',
    step,
  })),
});

let count = 0;
/** Opens the bench of a pour that stands where these steps are done; the stand-in keeps what it is sent. */
function open(done: readonly string[], over: Answers = {}, pour: Partial<PourView> = {}) {
  const id = `pour${++count}`;
  fakeServer({ pours: [{ ...started(id), ...pour }], ...over });
  const others = globalThis.fetch;
  const events = [...happened(...done).events];
  const posted: RunEvent[] = [];
  vi.stubGlobal('fetch', (url: string, init: RequestInit = {}) => {
    if (!url.endsWith('/run') || over['POST pours']) return others(url, init);
    const fresh = init.method === 'POST' ? (JSON.parse(init.body as string) as { events: RunEvent[] }).events : [];
    posted.push(...fresh);
    events.push(...fresh);
    return Promise.resolve(Response.json({ events }));
  });
  return { id, posted, router: renderScreen(<BenchPage />, `/pours/${id}/bench`, '/pours/:id/bench') };
}
const upTo = ['lay-out', 'release', 'release-dries', 'cores'];
describe('a pour step by step', () => {
  it('goes on with one large control, tells what comes next, and takes it back', async () => {
    const { posted } = open([]);
    expect(await screen.findByRole('heading', { name: 'Lay out and check' })).toBeVisible();
    expect(screen.getByText('Next: Release')).toBeVisible();
    expect(screen.getByLabelText('2 × Nested pot')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Done, next' }));
    expect(await screen.findByRole('heading', { name: 'Release' })).toBeVisible();
    expect(screen.getByText('Paste wax, buffed')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Undo last step' }));
    expect(await screen.findByRole('heading', { name: 'Lay out and check' })).toBeVisible();
    await waitFor(() => expect(posted.map(({ kind }) => kind)).toEqual(['done', 'begin', 'void', 'void']));
    expect(new Set(posted.map(({ id }) => id)).size).toBe(4);
  });

  it('shows ballast before the first bucket, and the caution at weighing', async () => {
    open(upTo.slice(0, 3));
    expect(await screen.findByText(/on each core, or/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Done, next' }));
    expect(await screen.findByRole('heading', { name: 'Weigh and scoop: Bucket 1' })).toBeVisible();
    expect(screen.getByText(/wear a fitted respirator/)).toBeVisible();
    expect(screen.getByText('Sharp sand')).toBeVisible();
  });

  it('puts water in by the first pour and by splashes, and tells water to cement', async () => {
    const { posted } = open([...upTo, '0.0.weigh']);
    await userEvent.click(await screen.findByRole('button', { name: /at once$/ }));
    // What is in and what is to go in are told alike, as water is poured: by volume.
    expect(screen.getByText(/^in of [\d.]+ (mL|L)$/)).toBeVisible();
    expect(screen.getByText(/Water–cement ratio is now 0\.\d\d/)).toBeVisible();
    const before = screen.getByText(/Water–cement ratio is now/).textContent;
    await userEvent.click(screen.getByRole('button', { name: /^A splash/ }));
    expect(screen.getByText(/Water–cement ratio is now/).textContent).not.toBe(before);
    await userEvent.click(screen.getByText('single cream'));
    await waitFor(() => expect(posted.map(({ kind }) => kind)).toEqual(['water', 'water', 'grade']));
  });

  it('takes what went otherwise: a mould left out, one that leaked, and what is then missing', async () => {
    const { posted } = open([...upTo, '0.0.weigh', '0.0.mix', '0.0.rest']);
    await userEvent.click(await screen.findByRole('button', { name: /^Nested pot 2/ }));
    await userEvent.type(screen.getByLabelText('It leaked'), '2 L{Tab}');
    await userEvent.click(screen.getByRole('button', { name: 'Stopped, and topped up' }));
    const left = screen.getByRole('region', { name: 'What is left' });
    expect(left).toHaveTextContent(/Not enough for .*are missing/);
    await userEvent.click(within(left).getByRole('button', { name: 'I mixed another bucket' }));
    expect(left).toHaveTextContent('Enough for all 2.');
    await userEvent.click(screen.getByRole('button', { name: /^Nested pot 1/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect(screen.getByText('left out')).toBeVisible();
    await waitFor(() => expect(posted.map(({ kind }) => kind)).toEqual(['leak', 'more', 'skip']));
  });

  it('shows the pot life of a mixed bucket until it is placed, and then the way to the shelf', async () => {
    open([...upTo, '0.0.weigh', '0.0.mix']);
    const life = await screen.findByRole('region', { name: 'Pot life' });
    expect(life).toHaveTextContent(/Bucket 1.* to place it/);
    const end = [
      '0.0.weigh',
      '0.0.mix',
      '0.0.rest',
      '0.0.fill.0',
      '0.0.tap.0',
      '0.0.fill.1',
      '0.0.tap.1',
      '0.0.cover',
      'clean',
    ];
    open([...upTo, ...end]);
    expect(await screen.findByRole('link', { name: /Look over what went in: 2 casts/ })).toBeVisible();
  });

  it('keeps a face at hand after all is poured: its window, the bristle test, and how it went', async () => {
    const slab = { ...mould, piece: 'slab' as const };
    const { parts } = partsChosen(input, { ...sources, moulds: [slab] })!;
    const end = [
      '0.0.weigh',
      '0.0.mix',
      '0.0.rest',
      '0.0.fill.0',
      '0.0.tap.0',
      '0.0.fill.1',
      '0.0.tap.1',
      '0.0.strike',
      'clean',
    ];
    const { posted } = open([...upTo, ...end], {}, { parts, status: 'finished' });
    await userEvent.click(await screen.findByRole('button', { name: /^First edging pass/ }));
    expect(screen.getByText(/Draw one bristle line/)).toBeVisible();
    await userEvent.click(screen.getByText('Too early: the paste drags'));
    expect(screen.getByText(/try again in ten minutes/)).toBeVisible();
    await waitFor(() => expect(posted[0]).toMatchObject({ kind: 'tried', went: 'early' }));
  });
});

describe('the connection of the bench', () => {
  it('may be away: what happened waits in the browser, and is sent once and in order', async () => {
    open([...upTo, '0.0.weigh']);
    await screen.findByRole('button', { name: /at once$/ });
    const online = globalThis.fetch;
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
    await userEvent.click(screen.getByRole('button', { name: /at once$/ }));
    await userEvent.click(screen.getByRole('button', { name: /^A splash/ }));
    expect(await screen.findByText('2 unsent')).toBeVisible();
    const sent: RunEvent[] = [];
    let arrive = () => {};
    const lastArrived = new Promise<void>((resolve) => (arrive = resolve));
    vi.stubGlobal('fetch', async (url: string, init: RequestInit = {}) => {
      if (init.method !== 'POST') return online(url, init);
      sent.push(...(JSON.parse(init.body as string) as { events: RunEvent[] }).events);
      if (sent.length === 2) await lastArrived;
      return Response.json({ events: sent });
    });
    await waitFor(() => expect(sent).toHaveLength(2), { timeout: 10_000 });
    // The last one is on its way: it counts until it has arrived.
    expect(await screen.findByText('1 unsent')).toBeVisible();
    arrive();
    await waitFor(() => expect(screen.queryByText(/unsent/)).toBeNull(), { timeout: 10_000 });
    expect(sent.map(({ kind }) => kind)).toEqual(['water', 'water']);
  });

  it('shows what the server will not take, with the way out', async () => {
    const refusal = new Refusal({
      title: 'Poured already',
      status: 409,
      detail: 'Finished on another device.',
      errors: [],
    });
    open([...upTo, '0.0.weigh'], {
      'POST pours': refusal,
      [`pours/pour${count + 1}/run`]: happened(...upTo, '0.0.weigh'),
    });
    await userEvent.click(await screen.findByRole('button', { name: /at once$/ }));
    expect(await screen.findByText('Finished on another device.')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Discard rejected entries' }));
    expect(screen.queryByText('Finished on another device.')).toBeNull();
    expect(screen.getByRole('button', { name: /at once$/ })).toBeVisible();
  });
});

it('counts down in minutes, over hours, and below zero', () => {
  expect([90_000, 3_900_000, -5000].map(countdown)).toEqual(['1:30', '1 h 05', '−0:05']);
});

it('draws long pauses short, and keeps the order of times', () => {
  const { at, breaks } = brokenAxis(0, 300 * MINUTE, [{ from: 30 * MINUTE, to: 270 * MINUTE }]);
  expect(breaks).toHaveLength(1);
  expect(at(300 * MINUTE)).toBe(1);
  expect(at(270 * MINUTE) - at(30 * MINUTE)).toBeCloseTo(12 / 72, 6);
  const times = Array.from({ length: 31 }, (_, i) => at(i * 10 * MINUTE));
  times.slice(1).forEach((time, i) => expect(time).toBeGreaterThan(times[i]!));
});
