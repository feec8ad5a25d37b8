import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { seasonOf, type SeasonPieces } from '@dewpot/core/money';
import { speakerFor } from '@dewpot/locales/testing';
import { csvOf } from '../ui/data-table';
import { monthsBefore } from '../ui/month-words';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { piecesOption } from './season-options';
import { SeasonPage } from './season-page';
import { seasonColumns } from './season-rows';

vi.mock('../ui/chart', () => ({ Chart: ({ label }: { label: string }) => <div role="img" aria-label={label} /> }));

const pieces = (month: string): SeasonPieces => ({
  month, mix: 'Garden grey', mouldId: 'm', mould: 'Nested pot', casts: 6, broken: 1, seen: 5, good: 3, sold: 2, income: 36, mass: 9000, brokenMass: 1500,
}); // prettier-ignore
const season = seasonOf({
  pieces: [pieces('2026-03'), pieces('2026-05')],
  batches: [{ month: '2026-03', mix: 'Garden grey', volume: 4000, leftover: 200 }],
  spending: [{ month: '2026-03', material: 'Grey cement', mass: 2000, cost: 12 }],
  stock: [{ material: 'Grey cement', left: 5000, value: 30 }],
});
const say = speakerFor();

describe('the season', () => {
  it('tells its figures first, then mixes, materials and what is in store', async () => {
    fakeServer({ 'money/season': season });
    renderScreen(<SeasonPage />);
    expect(await screen.findByText('6 of 10 looked at')).toBeVisible();
    expect(screen.getByText('2 broken')).toBeVisible();
    expect(screen.getByText('4 sold')).toBeVisible();
    expect(screen.getByRole('region', { name: 'Made of each mix' })).toHaveTextContent('Garden grey');
    expect(screen.getByRole('region', { name: 'Spent on each material' })).toHaveTextContent('Grey cement€12.002.00 kg');
    expect(screen.getByRole('region', { name: 'In store: €30.00' })).toBeVisible();
    expect(screen.getByRole('img', { name: /faulty, broken and unseen pieces over 3 months/ })).toBeVisible();
  }); // prettier-ignore

  it('asks for another stretch, and says where nothing was poured in it', async () => {
    const asked: string[] = [];
    fakeServer({
      'money/season': (_: unknown, query: URLSearchParams) => {
        asked.push(query.get('from') ?? '');
        return asked.length > 1 ? seasonOf({ pieces: [], batches: [], spending: [], stock: [] }) : season;
      },
    });
    renderScreen(<SeasonPage />);
    await screen.findByText('6 of 10 looked at');
    await userEvent.selectOptions(screen.getByLabelText('Stretch'), 'The last 3 months');
    expect(await screen.findByText('Nothing was poured in this stretch')).toBeVisible();
    expect(asked).toHaveLength(2);
    expect(asked[1]! > asked[0]!).toBe(true);
  });

  it('counts months back over the turn of a year', () => {
    const march = new Date(2026, 2, 20, 12).getTime();
    expect(monthsBefore(march, 0)).toBe('2026-03');
    expect(monthsBefore(march, 2)).toBe('2026-01');
    expect(monthsBefore(march, 11)).toBe('2025-04');
  });

  it('goes out as a table in kilograms, litres and money', () => {
    const [head, march] = csvOf(season.months, seasonColumns(say)).split('\r\n');
    expect(head).toBe('Month,Pieces,Good,Looked at,Broken,"Made, kg","Mixed, L","Left over, L",Spent,Wasted,Sold,Income');
    expect(march).toBe('2026-03,6,3,5,1,9,4,0.2,12,2.5,2,36');
  }); // prettier-ignore

  it('stacks what was good, faulty, broken and not looked at to the number of pieces', () => {
    const { series } = piecesOption(season.months, say) as { series: { data: number[] }[] };
    expect(season.months.map((_, i) => series.reduce((sum, { data }) => sum + data[i]!, 0))).toEqual([6, 0, 6]);
  });
});
