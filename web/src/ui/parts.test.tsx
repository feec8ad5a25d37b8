import { speakerFor } from '@dewpot/locales/testing';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { computed, figure, line } from '@dewpot/core/units';
import { HOUR, NOW, renderInside } from '../../test/stand-ins';
import { csvOf, DataTable, type TableColumn } from './data-table';
import { BigFigure } from './figure-working';
import { dayOf, spanOf, whenOf } from './format-time';
import { ScoopTally } from './scoop-tally';
import { windowInWords } from './window-band';

const say = speakerFor();

describe('the scoop tally', () => {
  it('draws whole and part scoops, and is tapped off and back', async () => {
    renderInside(<ScoopTally name="sharp sand" count={2.5} tappable />);
    const scoops = screen.getAllByRole('button');
    expect(scoops).toHaveLength(3);
    expect(scoops[2]).toHaveAccessibleName('Scoop 3 of sharp sand, ½ full');
    await userEvent.click(scoops[1]!);
    expect(screen.getByRole('group')).toHaveAccessibleName('sharp sand: 2 of 3 scoops in');
    await userEvent.click(scoops[1]!);
    expect(screen.getByRole('group')).toHaveAccessibleName('sharp sand: 1 of 3 scoops in');
  });
});

describe('a figure', () => {
  const volume = figure(2014.89, 'mL', computed, [line('Outer mould', 4599.29, 'mL'), line('Volume', 2014.89, 'mL')]);
  it('is large, with its working beneath it', async () => {
    renderInside(<BigFigure label="Volume" figure={volume} />);
    expect(screen.getByText('2.01')).toBeVisible();
    expect(screen.queryByText('4.60 L')).toBeNull();
    await userEvent.click(screen.getByText('Where does this come from?'));
    expect(await screen.findByText('4.60 L')).toBeVisible();
    expect(screen.getByText(/calculated from your measurements/)).toBeVisible();
  });
  it('is told in US customary units where the workshop has them', () => {
    renderInside(<BigFigure label="Volume" figure={volume} />, { units: 'us' });
    expect(screen.getByText('cups')).toBeVisible();
  });
});

describe('a window', () => {
  const window = { task: 'demould', early: NOW + HOUR, good: NOW + 3 * HOUR, late: NOW + 9 * HOUR } as const;
  it.each([
    [0, /^from today/],
    [2, /^early still; good today/],
    [4, /^good now, until today/],
    [10, /^late since today/],
  ])('at %d h says %s', (hours, said) => {
    expect(say(windowInWords(window, NOW + hours * HOUR))).toMatch(said);
  });
});

describe('times', () => {
  it('are said as people say them', () => {
    const noon = new Date(2026, 4, 20, 12).getTime();
    const at = (day: number, hour: number) => new Date(2026, 4, day, hour).getTime();
    expect(say(whenOf(at(21, 16), noon))).toBe('tomorrow 16:00');
    expect(say(whenOf(at(22, 9), noon))).toBe('Fri 09:00');
    expect(say(whenOf(at(19, 9), noon))).toBe('yesterday 09:00');
    expect(say(dayOf(at(23, 9), noon))).toBe('Saturday');
    expect([40 * 60_000, 5 * HOUR, 50 * HOUR].map((ms) => say(spanOf(ms)))).toEqual(['40 min', '5 h', '2 days']);
  });
});

describe('a table', () => {
  const rows = [
    { code: '2a', mass: 900 },
    { code: '10a', mass: 1200 },
  ];
  const columns: TableColumn<(typeof rows)[number]>[] = [
    { id: 'code', title: 'Code', value: ({ code }) => code, rising: 'oldest', falling: 'newest' },
    { id: 'mass', title: 'Mass', value: ({ mass }) => mass, show: ({ mass }) => `${mass} g`, right: true },
  ];
  it.each([
    ['newest', 'descending', 'oldest'],
    ['oldest', 'ascending', 'newest'],
    ['mass', 'none', 'oldest'],
  ])('whose list is in the order %s asks for another one by its heads', async (order, sorted, next) => {
    const onOrder = vi.fn();
    renderInside(<DataTable name="Casts" rows={rows} columns={columns} order={order} onOrder={onOrder} />);
    expect(screen.getByRole('columnheader', { name: 'Code' })).toHaveAttribute('aria-sort', sorted);
    expect(screen.getByRole('cell', { name: '900 g' })).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Mass' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Code' }));
    expect(onOrder).toHaveBeenCalledExactlyOnceWith(next);
  });
  it('goes out as it is shown, column by column', () => {
    expect(csvOf(rows, columns)).toBe('Code,Mass\r\n2a,900\r\n10a,1200');
  });
});
