import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { learnedFigures, type LessonSources } from '@dewpot/core/findings';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { LearnedPage } from './learned-page';

const none: LessonSources = { mixes: [], pours: [], demoulds: [], dryings: [], overrides: [], materials: [], chips: [], forgotten: [] }; // prettier-ignore
const pour = (number: number, demand: number) => ({ id: `p${number}`, number, at: Date.UTC(2026, 3, number), taught: [{ mixId: 'grey', demand }], runs: [] }); // prettier-ignore
const mixes = [{ id: 'grey', name: 'Sand-cement', binderClass: 'portland' }, { id: 'stiff', name: 'Stiff sand-cement', binderClass: 'portland' }] as const; // prettier-ignore
const stiff = { ...pour(4, 0.6), taught: [{ mixId: 'stiff', demand: 0.6 }] };
const pours = [pour(1, 1.1), pour(2, 1.2), pour(3, 1.3), stiff];
const dryings = [{ mouldId: 'pot', mixId: 'grey', mould: 'Nested pot', mix: 'Sand-cement', records: [{ id: 'c1', code: 'A-1', at: 5, tau: 60 }] }]; // prettier-ignore
const view = (more: Partial<LessonSources> = {}) => ({
  figures: learnedFigures({ ...none, mixes, pours, dryings, ...more }),
});

describe('what was learned', () => {
  it('stands beside the handbook, the furthest from it first, with its records', async () => {
    fakeServer({ 'findings/learned': view() });
    renderScreen(<LearnedPage />, '/findings/learned', '/findings/learned');
    const water = within(await screen.findByRole('region', { name: 'Water that a mix wants' }));
    const lines = water.getAllByText(/handbook 1/);
    expect(lines.map(({ textContent }) => textContent)).toEqual([
      expect.stringContaining('(−10 %)'),
      expect.stringContaining('(+10 %)'),
    ]);
    expect(water.getByRole('img', { name: /^Sand-cement: .*3 records$/ })).toBeVisible();
    await userEvent.click(water.getByText('3 records count'));
    expect(water.getByRole('link', { name: 'Pour 3' })).toHaveAttribute('href', '/pours/p3');
    const drying = within(screen.getByRole('region', { name: 'Pace of drying' }));
    expect(drying.getByText('Nested pot, with Sand-cement')).toBeVisible();
    expect(drying.getByText(/−50 %/)).toBeVisible();
    expect(screen.queryByRole('region', { name: 'Minutes of mixing' })).toBeNull();
  });

  it('is forgotten, and counts again', async () => {
    const sent = fakeServer({ 'findings/learned': view({ pours: [pour(1, 1.1)], dryings: [] }), 'POST findings': {} });
    renderScreen(<LearnedPage />, '/findings/learned', '/findings/learned');
    await userEvent.click(await screen.findByRole('button', { name: 'Forget what was learned of Sand-cement' }));
    expect(sent.at(-1)).toMatchObject({ path: 'findings/learned/forget', body: { group: 'mix', of: ['grey'] } });
  });

  it('that was forgotten says from when, and offers to count it again', async () => {
    const forgotten = [{ group: 'mix', of: ['grey'], since: Date.UTC(2026, 3, 3) }] as const;
    const sent = fakeServer({ 'findings/learned': view({ pours: pours.slice(0, 3), forgotten, dryings: [] }), 'POST findings': {} }); // prettier-ignore
    renderScreen(<LearnedPage />, '/findings/learned', '/findings/learned');
    expect(await screen.findByText(/2 records from before then no longer count/)).toBeVisible();
    expect(screen.getByText('1 record counts, 2 do not')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Count them again' }));
    expect(sent.at(-1)).toMatchObject({ path: 'findings/learned/recall' });
  });

  it('of nothing says how something is learned', async () => {
    fakeServer({ 'findings/learned': { figures: [] } });
    renderScreen(<LearnedPage />, '/findings/learned', '/findings/learned');
    expect(await screen.findByText(/Finish a pour, weigh a piece/)).toBeVisible();
  });
});
