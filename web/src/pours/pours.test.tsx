import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { calculateSheet, plannedLog } from '@dewpot/core/pours';
import type { PourInput, PourView } from '@dewpot/contract';
import { fakeServer, mix, mould, palette, renderScreen, store, noPast } from '../../test/fake-server';
import { cast, NOW, session } from '../../test/stand-ins';
import { judgingOf, partsChosen } from './plan';
import { calculateParts } from './calculate-parts';
import { PourPage } from './pour-page';
import { PoursPage } from './pours-page';

const input = {
  items: [{ mouldId: 'm', count: 3 }],
  mixId: 'x',
  grade: 5,
  spare: 0.05,
  moisture: {},
  scoopId: 'can',
  step: 0.25,
  temperature: 18,
} as const;
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
const { parts } = partsChosen({ ...input, items: [...input.items], version: 0 }, sources)!;
const { plan } = parts[0]!;
const started: PourView = {
  id: 'q',
  number: 7,
  version: 2,
  status: 'started',
  input: { ...input, items: [...input.items] },
  parts,
  startedAt: NOW,
};

const open = (at: string) => renderScreen(<PourPage />, at, '/pours/:id');
const scoops = (name: string, place: HTMLElement = document.body) =>
  within(place)
    .getByRole('img', { name: new RegExp(`scoops of ${name}$`) })
    .getAttribute('aria-label');

describe('a plan from what was chosen', () => {
  it('is none while its mix is not there, and tells what is wrong by field', () => {
    expect(partsChosen({ ...input, items: [], mixId: 'no', version: 0 }, sources)).toBeUndefined();
    const without = partsChosen({ ...input, items: [], scoopId: 'no', version: 0 }, sources)!;
    expect(without.issues.map(({ field }) => field)).toEqual(['scoopId']);
    const told = (items: PourInput['items']) => {
      const chosen = { ...input, items, version: 0 };
      const { parts } = partsChosen(chosen, sources)!;
      return calculateParts(parts, chosen, judgingOf(chosen, parts, sources, []));
    };
    expect(told([]).issues.map(({ field }) => field)).toEqual(['items']);
    const three = told([{ mouldId: 'm', count: 3 }]);
    expect('sheets' in three && three.sheets[0]?.sheet.pieces[0]?.count).toBe(3);
    const colouring = { kind: 'solid', parts: [{ tint: 'gone', share: 1 }] } as const;
    const gone = partsChosen({ ...input, items: [{ mouldId: 'm', count: 1, colouring: { ...colouring, parts: [...colouring.parts] } }], version: 0 }, sources)!; // prettier-ignore
    expect(gone.issues.map(({ field }) => field)).toEqual(['colouring']);
  });
});

describe('planning', () => {
  it('begins with as many as there are copies, and tells more scoops for more moulds', async () => {
    fakeServer();
    open('/pours/new');
    expect(await screen.findByLabelText('How many of Nested pot')).toHaveValue(3);
    await waitFor(() => expect(scoops('Grey Portland cement')).toBe('5¾ scoops of Grey Portland cement'));
    await userEvent.click(screen.getByRole('button', { name: 'One Nested pot less' }));
    await waitFor(() => expect(scoops('Grey Portland cement')).toBe('4 scoops of Grey Portland cement'));
  });

  it('in two mixes has a sheet for each', async () => {
    fakeServer({
      mixes: [mix, { ...mix, id: 'y', name: 'Lean', lines: [mix.lines[0]!, { ...mix.lines[1]!, parts: 4 }] }],
    });
    open('/pours/new');
    await userEvent.click(await screen.findByRole('button', { name: 'Another mould' }));
    await userEvent.click(screen.getByRole('button', { name: 'Add Nested pot' }));
    await userEvent.selectOptions(screen.getAllByLabelText('Mix of Nested pot')[1]!, 'Lean');
    expect(screen.getByRole('heading', { level: 1, name: '3 × Nested pot, 1 × Nested pot' })).toBeVisible();
    expect(screen.getByText('Garden grey and Lean')).toBeVisible();
    const lean = screen.getByRole('region', { name: 'Lean' });
    expect(within(lean).getByText('1 × Nested pot')).toBeVisible();
    await waitFor(() =>
      expect(scoops('Grey Portland cement', screen.getByRole('region', { name: 'Garden grey' }))).toMatch(/^5¾ /),
    );
  });

  it('takes more scoops of damp sand, and less water from the tap', async () => {
    fakeServer();
    open('/pours/new');
    const dry = await screen.findByRole('img', { name: /^Water: / });
    const first = dry.getAttribute('aria-label');
    await waitFor(() => expect(scoops('Sharp sand')).toBe('14½ scoops of Sharp sand'));
    await userEvent.click(screen.getByText('Holds a lump'));
    await waitFor(() => expect(scoops('Sharp sand')).toBe('17½ scoops of Sharp sand'));
    expect(screen.getByRole('img', { name: /^Water: / }).getAttribute('aria-label')).not.toBe(first);
    expect(screen.getByText(/Damp and liquid materials bring/)).toBeVisible();
  });

  it('shows the caution at its step and says what the store lacks', async () => {
    fakeServer({ materials: { ...store, lots: [{ ...store.lots[0]!, left: 100 }] } });
    open('/pours/new');
    const measure = await screen.findByRole('region', { name: /^Measure by one scoop/ });
    expect(measure).toHaveTextContent('wear a fitted respirator');
    const buy = screen.getByRole('region', { name: 'To buy' });
    expect(buy).toHaveTextContent(/of grey Portland cement: 1 bag of 25\.0 kg, €7\.50/);
    expect(buy).toHaveTextContent(/of sharp sand/);
  });

  it('takes the moisture of a handful that was dried', async () => {
    fakeServer();
    open('/pours/new');
    const before = await screen.findByRole('img', { name: /scoops of Sharp sand$/ });
    const first = before.getAttribute('aria-label');
    expect(screen.getByText('all dry')).toBeVisible();
    await userEvent.click(screen.getByText('Damp materials'));
    await userEvent.click(screen.getByText('Or dry a handful of the sharp sand'));
    await userEvent.type(screen.getByLabelText('Damp'), '525 g{Tab}');
    await userEvent.type(screen.getByLabelText('Dried'), '500 g{Tab}');
    expect(screen.getByText('5.0 % water.')).toBeVisible();
    expect(await screen.findByText('damp: sharp sand')).toBeVisible();
    await waitFor(() => expect(scoops('Sharp sand')).not.toBe(first));
    await userEvent.type(screen.getByLabelText('Dried'), '600 g{Tab}');
    expect(screen.getByText(/damp handful is 525/)).toBeVisible();
  });

  it('tells doses by the scale and the spoon, and how it is mixed', async () => {
    fakeServer({ mixes: [{ ...mix, doses: [{ materialId: 'red-oxide', amount: 0.03 }] }] });
    open('/pours/new');
    const measure = await screen.findByRole('region', { name: /^Measure by one scoop/ });
    expect(measure).toHaveTextContent(/Iron oxide, red9\d g3 % of binder mass/);
    expect(measure).not.toHaveTextContent(/level spoons/);
    expect(screen.getByText(/Blend iron oxide, red into the dry powder/)).toBeVisible();
  });

  it('saves, starts and goes to the bench', async () => {
    const sent = fakeServer();
    open('/pours/new');
    await waitFor(() => expect(screen.getByRole('button', { name: 'Start this pour' })).toBeEnabled());
    await userEvent.click(screen.getByRole('button', { name: 'Start this pour' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[0]).toMatchObject({
      method: 'PUT',
      body: { items: [{ mouldId: 'm', count: 3 }], mixId: 'x', scoopId: 'can' },
    });
    expect(sent[0]!.body).not.toHaveProperty('release');
    expect(sent[1]).toMatchObject({ method: 'POST', path: `${sent[0]!.path}/start` });
  });

  it('says how many copies are free, takes those, and what catches the leftover', async () => {
    const full = { ...cast('1a'), mouldId: 'm', stage: 'setting' as const };
    const wedge = { ...mould, id: 'w', name: 'Wedge', once: true, shape: { ...mould.shape, outer: { ...mould.shape.outer, bottomDiameter: 60, topDiameter: 60, height: 60 }, cores: [], inserts: [] } }; // prettier-ignore
    fakeServer({ casts: [full], moulds: [mould, wedge as typeof mould] });
    open('/pours/new');
    expect(await screen.findByLabelText('How many of Nested pot')).toHaveValue(2);
    expect(screen.getByText(/^2 free; 1 stands full/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'One Nested pot more' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take 2' }));
    expect(screen.getByLabelText('How many of Nested pot')).toHaveValue(2);
    const waste = await screen.findByRole('region', { name: 'Preparation' });
    await waitFor(() => expect(waste).toHaveTextContent(/Have Wedge \(\d+ mL\) ready/));
    expect(waste).toHaveTextContent(/kg on the core of each of 2 × Nested pot, as dry fine sand/);
  });

  it('tells which spots heavy full moulds keep, and at the place that is named alone', async () => {
    const binderClass = (code: string, place: string, fresh: number) => {
      const one = cast(code);
      return { ...one, stage: 'setting' as const, expected: { ...one.expected, fresh }, snapshot: { ...one.snapshot, place } }; // prettier-ignore
    };
    fakeServer({ casts: [binderClass('1a', 'the yard', 46000), binderClass('1b', 'the shed', 38000), binderClass('1c', 'the yard', 900)] }); // prettier-ignore
    open('/pours/new');
    const spots = () => screen.getByRole('list', { name: 'Kept spots' });
    await screen.findByRole('list', { name: 'Kept spots' });
    expect(within(spots()).getAllByRole('listitem')).toHaveLength(2);
    await userEvent.type(screen.getByLabelText('Where it will stand'), 'The yard');
    expect(within(spots()).getAllByRole('listitem')).toHaveLength(1);
    expect(spots()).toHaveTextContent(/the yard: 1a, .*46\.0 kg\) keeps its spot, demould/);
  });

  it('draws the hour, moves it, and lays it again for two people', async () => {
    fakeServer();
    open('/pours/new');
    const hour = await screen.findByRole('region', { name: 'Timeline of the pour' });
    fireEvent.change(within(hour).getByLabelText('Begin at'), { target: { value: '09:30' } });
    expect(hour).toHaveTextContent(/Begin 09:30, all poured/);
    const alone = hour.textContent;
    await userEvent.selectOptions(within(hour).getByLabelText('At the bench'), '2 people');
    await waitFor(() => expect(hour.textContent).not.toBe(alone));
    expect(within(hour).getByText(/^Bucket 1: Mix, \d\d:\d\d to \d\d:\d\d$/)).toBeInTheDocument();
  });

  it('without a mould says what to do first', async () => {
    fakeServer({ moulds: [] });
    open('/pours/new');
    expect(await screen.findByRole('heading', { name: 'Not enough to plan with yet' })).toBeVisible();
  });
});

describe('at the bench', () => {
  it('begins with what was planned, and sends what was really used with one key per cast', async () => {
    const sent = fakeServer({ pours: [started] });
    const router = open('/pours/q');
    const planned = plannedLog(plan, calculateSheet(plan));
    const water = await screen.findByLabelText('Water from the tap');
    await userEvent.clear(water);
    await userEvent.type(water, '1.5 L');
    await userEvent.type(screen.getByLabelText(/^Left over/), '120 mL');
    await userEvent.click(screen.getByText('single cream'));
    await userEvent.click(screen.getByRole('button', { name: 'Poured: 3 casts to the shelf' }));
    await waitFor(() => expect(router.state.location.pathname).toBe('/'));
    const body = sent[0]!.body as {
      logs: { tap: number; leftover: number; grade: number; used: Record<string, number> }[];
      casts: { id: string }[];
    };
    expect(sent[0]).toMatchObject({ method: 'POST', path: 'pours/q/finish' });
    expect(body.logs[0]).toMatchObject({ tap: 1500, leftover: 120, grade: 6 });
    for (const [id, mass] of Object.entries(planned.used)) expect(body.logs[0]!.used[id]).toBeCloseTo(mass, 6);
    expect(new Set(body.casts.map(({ id }) => id)).size).toBe(3);
  });

  it('a batch too wet is mended by everything dry in ratio, and a spread test tells how wet', async () => {
    const sent = fakeServer({ pours: [started] });
    open('/pours/q');
    await userEvent.click(await screen.findByText('It came out too wet'));
    const tap = screen.getByLabelText('From the tap went into this batch');
    await userEvent.type(tap, '100 mL{Tab}');
    expect(screen.getByText(/The water that went in is/)).toBeVisible();
    await userEvent.clear(tap);
    await userEvent.type(tap, '2.5 L{Tab}');
    expect(screen.getByText(/Never add cement or sand alone/).nextSibling).toHaveTextContent(
      /grey Portland cement.*sharp sand/,
    );
    await userEvent.click(screen.getByText('Measure it by a spread test'));
    await userEvent.type(screen.getByLabelText('The puddle is'), '225 mm{Tab}');
    expect(screen.getByText(/It spread 2\.81 times the cup: single cream/)).toBeVisible();
    await userEvent.type(screen.getByLabelText(/^Missing to fill them/), '300 mL{Tab}');
    await userEvent.click(screen.getByRole('button', { name: 'Poured: 3 casts to the shelf' }));
    await waitFor(() => expect(sent[0]?.body).toMatchObject({ logs: [{ grade: 6, short: 300, leftover: 0 }] }));
  });

  it('is left again where nothing was poured, once that was asked', async () => {
    const sent = fakeServer({ pours: [started] });
    const router = open('/pours/q');
    const ask = vi.spyOn(window, 'confirm').mockReturnValueOnce(false).mockReturnValueOnce(true);
    const leave = await screen.findByRole('button', { name: 'Nothing was poured after all' });
    await userEvent.click(leave);
    expect(sent).toEqual([]);
    await userEvent.click(leave);
    await waitFor(() => expect(router.state.location.pathname).toBe('/pours'));
    expect(sent).toEqual([{ method: 'DELETE', path: 'pours/q', body: undefined }]);
    expect(ask).toHaveBeenCalledTimes(2);
  });

  it('tallies scoops as they are tapped off', async () => {
    fakeServer({ pours: [started] });
    open('/pours/q');
    await userEvent.click(await screen.findByRole('button', { name: 'Scoop 4 of Grey Portland cement' }));
    expect(screen.getByRole('group', { name: 'Grey Portland cement: 4 of 6 scoops in' })).toBeVisible();
  });
});

describe('the record of pours', () => {
  const log = { ...plannedLog(plan, calculateSheet(plan)), tap: 1500 };
  const finished: PourView = { ...started, status: 'finished', parts: [{ ...parts[0]!, log }], pouredAt: NOW };
  it('lists them, and shows what was planned beside what went in', async () => {
    fakeServer({ pours: [finished] });
    renderScreen(<PoursPage />);
    expect(await screen.findByRole('link', { name: /7.*3 × Nested pot.*Garden grey/ })).toBeVisible();
    open('/pours/q');
    const table = await screen.findByRole('table');
    const planned = (calculateSheet(plan).batch.water.tap.value / 1000).toFixed(2);
    const water = within(table).getByRole('row', { name: /^Water from the tap/ });
    expect(
      within(water)
        .getAllByRole('cell')
        .map(({ textContent }) => textContent),
    ).toEqual(['Water from the tap', `${planned} L`, '1.50 L']);
  });

  it('starts the same again with what its record suggests, each with its evidence', async () => {
    const short = { ...finished, parts: [{ ...parts[0]!, log: { ...log, leftover: 0, short: 300 } }] };
    fakeServer({ pours: [short], record: [] });
    open('/pours/new?again=q');
    const again = await screen.findByRole('region', { name: 'Repeat this pour' });
    expect(again).toHaveTextContent('Mix more: 10 % spare. It fell 300 mL short of the moulds.');
    expect(screen.getByLabelText('How many of Nested pot')).toHaveValue(3);
    await userEvent.click(within(again).getByRole('button', { name: 'Do so' }));
    expect(screen.getByLabelText('Waste allowance')).toHaveDisplayValue('10 %');
    expect(within(again).queryByRole('button', { name: 'Do so' })).toBeNull();
  });

  it('lets one be taken back as long as its casts only set', async () => {
    const own = { ...cast('7a'), pourId: 'q', stage: 'setting' as const };
    const sent = fakeServer({ pours: [finished], record: [own] });
    open('/pours/q');
    await userEvent.click(await screen.findByRole('button', { name: /^Undo pour/ }));
    await waitFor(() => expect(sent).toEqual([{ method: 'POST', path: 'pours/q/undo', body: undefined }]));
  });
});
