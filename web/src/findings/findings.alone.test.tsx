import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { compareWays, findingColumns, type FindingRecord } from '@dewpot/core/findings';
import type { CastFindings, WatchView } from '@dewpot/contract';
import { speakerFor } from '@dewpot/locales/testing';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { cast, castDetail, DAY, NOW, renderInside } from '../../test/stand-ins';
import { CastPage } from '../casts/cast-page';
import { FindingsPage } from './findings-page';
import { LookOverForm } from './look-over-form';
import { massesOption, monthsOption } from './watch-options';
import { wayName } from './way-words';

vi.mock('../ui/chart', () => ({ Chart: ({ label }: { label: string }) => <div role="img" aria-label={label} /> }));

type Recorded = [string, { event: Record<string, unknown> }[]];
const events = (record: ReturnType<typeof vi.fn>) =>
  (record.mock.calls.at(-1) as Recorded)[1].map(({ event }) => event);

describe('looking a piece over', () => {
  it('keeps in one tap that nothing is wrong', async () => {
    const record = vi.fn();
    renderInside(<LookOverForm casts={[cast('1a'), cast('1b')]} busy={false} record={record} />);
    await userEvent.click(screen.getByRole('button', { name: 'Nothing wrong' }));
    expect(events(record)).toEqual([{ type: 'found-sound' }, { type: 'found-sound' }]);
  });

  it('keeps each fault with how badly it shows and where', async () => {
    const record = vi.fn();
    renderInside(<LookOverForm casts={[cast('1a')]} busy={false} record={record} />);
    await userEvent.click(screen.getByRole('button', { name: 'Crazing' }));
    await userEvent.click(screen.getByRole('button', { name: 'Pinholes' }));
    await userEvent.click(screen.getByRole('button', { name: 'Pinholes' }));
    const crazing = within(screen.getByRole('region', { name: 'Crazing' }));
    expect(crazing.getByText('A fine net of cracks.')).toBeVisible();
    await userEvent.click(crazing.getByLabelText('Spoilt'));
    await userEvent.click(crazing.getByLabelText('rim'));
    const drawing = crazing.getByRole('img', { name: 'Tap where it is on the piece' });
    drawing.getBoundingClientRect = () => ({ left: 0, bottom: 150, width: 150, height: 150 }) as DOMRect;
    await userEvent.pointer({ target: drawing, coords: { clientX: 75, clientY: 30 }, keys: '[MouseLeft]' });
    const photo = new File(['x'], 'net.png', { type: 'image/png' });
    await userEvent.upload(crazing.getByLabelText('Photo of Crazing'), photo);
    expect(crazing.getByRole('button', { name: 'net.png' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Keep this fault' }));
    expect((record.mock.calls.at(-1) as [string, { photo?: File }[]])[1][0]?.photo).toBe(photo);
    expect(events(record)).toEqual([{ type: 'fault-seen', fault: 'crazing', severity: 'spoilt', spot: 'rim', drawn: { x: 0.5, y: 0.8 } }]); // prettier-ignore
  });
});

describe('why a cast came out so', () => {
  const detail = castDetail(cast('1a', { pourId: 'p9' }), {
    events: [{ id: 'p', at: NOW - 20 * DAY, type: 'poured' }],
  });
  const found: CastFindings = {
    seen: true,
    good: false,
    faults: [{ fault: 'crazing', severity: 'clear' }],
    explanations: [
      {
        fault: 'crazing',
        causes: [{ cause: 'dried-early', named: true, score: 3, share: 0.7, evidence: { value: 0.61, limit: 0.5, against: 'past' } }], // prettier-ignore
        unrecorded: 0.2,
        missing: ['over-ceiling'],
      },
    ],
    under: {},
    casts: 40,
  };
  const open = () => renderScreen(<CastPage />, '/casts/id-1a', '/casts/:id');

  it('tells the likeliest cause with its figures, what to change, and what was not recorded', async () => {
    fakeServer({ 'casts/id-1a': detail, 'findings/casts/id-1a': found });
    open();
    const why = within(await screen.findByRole('region', { name: 'Why it came out so' }));
    expect(await why.findByText(/worst: 0.61 kg\/m²\/h. At most 0.50 kg\/m²\/h./)).toBeVisible();
    expect(why.getByText('70 %')).toBeVisible();
    expect(why.getByText(/it would have told: Over the ceiling of water/)).toBeVisible();
    expect(why.getByText('Compared with 40 casts on record.')).toBeVisible();
    expect(why.getByRole('link', { name: 'Use this in the next pour' })).toHaveAttribute('href', '/pours/new?again=p9&against=dried-early'); // prettier-ignore
  });

  it('says where nothing speaks, and where nothing is wrong', async () => {
    fakeServer({ 'casts/id-1a': detail, 'findings/casts/id-1a': { ...found, explanations: [{ fault: 'crazing', causes: [], unrecorded: 1, missing: [] }] } }); // prettier-ignore
    open();
    expect(await screen.findByText('Nothing on record speaks for any cause.')).toBeVisible();
  });

  it('says why it cannot be told', async () => {
    fakeServer({
      'casts/id-1a': detail,
      'findings/casts/id-1a': new Refusal({ title: 'Too much to calculate', detail: '', errors: [], status: 422 }),
    });
    open();
    const why = within(await screen.findByRole('region', { name: 'Why it came out so' }));
    expect(await why.findByRole('alert')).toHaveTextContent('Too much to calculate');
  });
});

describe('the findings of a workshop', () => {
  const record = (id: number, good: boolean, cover: string): FindingRecord => ({
    id: `${id}`, code: `${id}a`, mouldId: 'm', mixId: 'x', piece: 'pot', at: id, seen: true, under: {}, measured: {}, ways: { cover, month: cover === 'bag' ? '2026-09' : '2026-06' }, faults: good ? [] : [{ fault: 'crazing', severity: 'clear' }],
  }); // prettier-ignore
  const casts = [...Array.from({ length: 14 }, (_, i) => record(i, true, 'bag')), ...Array.from({ length: 10 }, (_, i) => record(20 + i, i < 4, 'none'))]; // prettier-ignore
  const watch: WatchView = {
    masses: [{ id: 'c1', code: '9a', at: 1, value: 1.06, limits: [0.96, 0.99, 1.02], out: true }, { id: 'c2', code: '9b', at: 2, value: 0.99, out: false }],
    months: [{ month: '2026-06', good: 4, casts: 10, limits: [0.1, 0.7], out: true }],
    copies: [{ copy: 'Pot A', stretches: [{ from: 0, to: 7, casts: 8, hurt: 0 }, { from: 8, to: 15, casts: 8, hurt: 5 }] }],
    lately: [],
    left: 0,
  }; // prettier-ignore

  it('say first what stands, over how many comparisons, and what it could be instead', async () => {
    fakeServer({
      'findings/ways': { ...compareWays(findingColumns(casts)), casts: 24, left: 3 },
      'findings/watch': watch,
    });
    renderScreen(<FindingsPage />);
    const says = within(await screen.findByRole('region', { name: 'What your record says' }));
    expect(says.getByText('Says: in a bag rather than open.')).toBeVisible();
    expect(says.getAllByText(/14 of 14 good, against 4 of 10/)[0]).toBeVisible();
    expect(says.getByText(/of those with in a bag share Month: September 2026/)).toBeVisible();
    expect(says.getByText(/2 comparisons over 24 casts.*3 more are being gathered/)).toBeVisible();
    expect(screen.getByRole('region', { name: 'Cover' })).toHaveTextContent('4 of 10');
    const watched = await screen.findByRole('region', { name: 'Watched from cast to cast' });
    expect(watched).toHaveTextContent('June 2026: 4 of 10 good, unlike the months before.');
    expect(watched).toHaveTextContent(
      '9a came out at 106 % of what was expected: less air, or less water, than the others.',
    );
    expect(watched).toHaveTextContent('Pot A Use 0 to 7: 0 of 8 with a fault. Use 8 to 15: 5 of 8 with a fault.');
  });

  it('say that there is nothing yet', async () => {
    fakeServer({ 'findings/ways': { tables: [], comparisons: 0, casts: 0, left: 0 }, 'findings/watch': { masses: [], months: [], copies: [], lately: [], left: 0 } }); // prettier-ignore
    renderScreen(<FindingsPage />);
    expect(await screen.findByText(/As soon as casts are demoulded/)).toBeVisible();
    expect(await screen.findByText('Nothing has left its mould yet.')).toBeVisible();
  });

  it('are drawn of what they tell, in the reader’s words', () => {
    const say = speakerFor();
    const months = monthsOption(watch.months, say) as { xAxis: { data: string[] }; series: { data: unknown[] }[] };
    expect(months.xAxis.data).toEqual(['June 2026']);
    expect(months.series[1]?.data).toEqual([[0, 0.1, 0.7]]);
    const masses = massesOption(watch.masses, say) as {
      yAxis: { min: number; max: number };
      series: { data: unknown[] }[];
    };
    expect(masses.yAxis.max).toBeGreaterThanOrEqual(1.06);
    expect(masses.series[3]?.data).toHaveLength(2);
  });

  it('call ways by their names', () => {
    const say = speakerFor();
    const named = (kind: Parameters<typeof wayName>[0], way: string) => say.value(wayName(kind, way));
    expect(named('cover', 'bag')).toBe('in a bag');
    expect(named('month', '2026-06')).toBe('June 2026');
    expect(named('month', 'never')).toBe('never');
    expect(named('compaction', 'none')).toBe('Not tapped');
    expect(named('reinforcement', 'mesh')).toBe('Mesh');
    expect(named('sealer', 'wax')).not.toBe('wax');
    expect(named('release', 'goose fat')).toBe('goose fat');
    expect(named('person', 'Maud')).toBe('Maud');
  });
});
