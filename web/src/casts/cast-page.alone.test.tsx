import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { msg } from '@dewpot/core/units';
import { speakerFor } from '@dewpot/locales/testing';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { cast, castDetail, DAY, NOW, dry } from '../../test/stand-ins';
import { CastPage } from './cast-page';
import { CastsPage } from './casts-page';
import { lifeOption } from './life-chart-option';

vi.mock('../ui/chart', () => ({ Chart: ({ label }: { label: string }) => <div role="img" aria-label={label} /> }));

const base = cast('1a');
const weighings = [{ hour: 240, mass: 4280, step: 1 }];
const detail = castDetail(
  {
    ...base,
    snapshot: { ...base.snapshot, release: 'paste wax', copyMark: 'B' },
    life: { ...base.life, pouredAt: NOW - 20 * DAY, weighings, weighedAt: NOW - 10 * DAY },
    dry: dry({ missing: [msg('sealing.moreWeighings', { wanted: 2 })] }),
  },
  {
    events: [
      { id: 'p', at: NOW - 20 * DAY, type: 'poured' },
      { id: 'l', at: NOW - 18 * DAY, type: 'demoulded', damage: [] },
      { id: 'x', at: NOW - 17 * DAY, type: 'wetted' },
      { id: 'v', at: NOW - 17 * DAY + 1, type: 'voided', event: 'x' },
      { id: 'w', at: NOW - 10 * DAY, type: 'weighed', mass: 4280, step: 1 },
    ],
  },
);
const open = () => renderScreen(<CastPage />, '/casts/id-1a', '/casts/:id');

describe('a cast’s screen', () => {
  it('says what to do next and what it rests on, and what nobody recorded', async () => {
    fakeServer({ 'casts/id-1a': detail });
    open();
    expect(await screen.findByRole('heading', { name: /1a Nested pot/ })).toBeVisible();
    expect(screen.getByText(/It needs 2 more weighings/)).toBeVisible();
    const grounds = screen.getByRole('region', { name: 'Based on' });
    expect(grounds).toHaveTextContent('copy B');
    expect(grounds).toHaveTextContent('Releasepaste wax');
    expect(grounds).toHaveTextContent('Coverno record');
    expect(screen.getByRole('img', { name: 'Strength and drying of 1a: 1 weighing' })).toBeVisible();
  });

  it('tells the record newest first, hides what was undone until asked, and undoes', async () => {
    const sent = fakeServer({ 'casts/id-1a': detail, 'POST casts': detail });
    open();
    const record = await screen.findByRole('region', { name: 'Record' });
    const told = () =>
      within(record)
        .getAllByRole('listitem')
        .map(({ textContent }) =>
          textContent.replace(/^.*?(Weighed|Demoulded|Poured|Wetted|Undone)/, '$1').replace(/Photo: .*Undo$/, 'Undo'),
        );
    expect(told()).toEqual(['Weighed 4280 gUndo', 'Demoulded cleanUndo', 'Poured']);
    await userEvent.click(screen.getByRole('button', { name: 'Show 1 undone' }));
    expect(told()).toHaveLength(5);
    await userEvent.click(within(record).getByRole('button', { name: /^Undo: Weighed 4280 g/ }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ path: 'casts/id-1a/events', body: { type: 'voided', event: 'w' } });
  });

  it('of a piece that others are weighed for says so, and lets it be weighed all the same', async () => {
    const weighed = { ...detail, dues: [], dry: dry({ inferredFrom: ['1b', '1c'] }) };
    fakeServer({ 'casts/id-1a': weighed });
    open();
    expect(await screen.findByText('Like pieces of its pour are weighed in its place.')).toBeVisible();
    expect(screen.getByRole('region', { name: 'Dry enough?' })).toHaveTextContent('1b and 1c of its pour were weighed');
    await userEvent.click(screen.getByRole('button', { name: 'Weigh it, or something else' }));
    expect(await screen.findByRole('tab', { name: 'Weigh', selected: true })).toBeVisible();
  });

  it('draws no strength of an article, and names what happened to it', () => {
    const snapshot = { ...detail.snapshot, article: {} as never };
    const option = (article: boolean) =>
      lifeOption({ cast: article ? { ...detail, snapshot } : detail, now: NOW, say: speakerFor() }) as {
        series: { name: string; markLine?: { data: unknown[] } }[];
        yAxis: { show?: boolean }[];
      };
    expect(option(false).series.map(({ name }) => name)).toContain('Strength');
    const { series, yAxis } = option(true);
    expect(series.map(({ name }) => name)).not.toContain('Strength');
    expect(series.find(({ name }) => name === 'Happened')?.markLine?.data).toHaveLength(2);
    expect(yAxis[0]?.show).toBe(false);
  });

  it('takes bubbles by one tap on the patch that looks like it', async () => {
    const sent = fakeServer({ 'casts/id-1a': detail, 'POST casts': detail });
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Something else' }));
    await userEvent.click(screen.getByText('rim'));
    await userEvent.click(screen.getByRole('button', { name: '4 of 5' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ body: { type: 'bubbles', face: 'rim', grade: 4 } }));
  });

  it('records a task at the time it was moved back to', async () => {
    const sent = fakeServer({ 'casts/id-1a': detail, 'POST casts': detail });
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Something else' }));
    await userEvent.click(screen.getByRole('button', { name: 'It was earlier' }));
    fireEvent.change(screen.getByLabelText('It happened'), { target: { value: '2026-05-10T08:30' } });
    await userEvent.type(screen.getByLabelText(/^Broken for good/), 'slipped');
    await userEvent.click(screen.getByRole('button', { name: '1a broke' }));
    const at = new Date('2026-05-10T08:30').getTime();
    await waitFor(() => expect(sent[0]).toMatchObject({ body: { type: 'broken', how: 'slipped', at } }));
  });

  it('that is not there leads back to the shelf', async () => {
    fakeServer({ 'casts/id-1a': new Refusal({ title: 'Not here', status: 404, detail: 'No such cast.', errors: [] }) });
    open();
    expect(await screen.findByRole('heading', { name: 'There is no such place here' })).toBeVisible();
  });
});

describe('all casts', () => {
  it('are listed, those that are finished too', async () => {
    fakeServer();
    renderScreen(<CastsPage />);
    expect(await screen.findByText('3 in all')).toBeVisible();
    expect(screen.getByRole('cell', { name: 'finished' })).toBeVisible();
  });
});
