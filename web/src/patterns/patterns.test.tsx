import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { parse } from 'papaparse';
import { workPattern } from '@dewpot/core/patterns';
import { speakerFor } from '@dewpot/locales/testing';
import type { MouldInput, PatternSheetInput, PatternView } from '@dewpot/contract';
import { fakeServer, mould, renderScreen, store, type Answers } from '../../test/fake-server';
import { firstPatterns } from './first-patterns';
import { PatternPage } from './pattern-page';
import { PatternsPage } from './patterns-page';
import { cutListCsv } from './parts-table';

const lamp: PatternView = {
  id: 'p',
  version: 3,
  revision: 1,
  name: 'Canal lamp',
  pattern: firstPatterns.solid,
  moulds: [],
  cut: false,
  changedAt: 0,
};

function show(at: string, over: Answers = {}) {
  const sent = fakeServer({
    'patterns/p': lamp,
    patterns: { rows: [lamp], count: 1, before: null, after: null },
    ...over,
  });
  renderScreen(<PatternPage />, at, '/patterns/:id');
  return { sent, user: userEvent.setup() };
}
const answers = () => screen.getByRole('region', { name: 'What follows' });
const patternsSent = (sent: { path: string; body: unknown }[]) =>
  sent.filter(({ path }) => path.startsWith('patterns')).map(({ body }) => body as PatternSheetInput);

describe('a pattern', () => {
  it('begins from what is to be made, tells what it comes to, and is kept under its name', async () => {
    const { sent, user } = show('/patterns/new?as=solid');
    expect(await within(answers()).findByText('808')).toBeVisible();
    expect(within(answers()).getByText('27.4')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Save the pattern' }));
    expect(screen.getByText('Enter a name.')).toBeVisible();
    await user.type(screen.getByLabelText('Name of the pattern'), 'Tow lamp');
    await user.click(screen.getByRole('button', { name: 'Save the pattern' }));
    await waitFor(() => expect(patternsSent(sent)).toHaveLength(1));
    expect(patternsSent(sent)[0]).toMatchObject({ name: 'Tow lamp', version: 0, pattern: firstPatterns.solid });
  });

  it('keeps what was typed where it cannot be, says why beside the field, and cannot be saved so', async () => {
    const { user } = show('/patterns/p');
    const board = await screen.findByLabelText('Board thickness');
    await user.clear(board);
    await user.type(board, '40{Enter}');
    expect(board).toHaveValue('40 mm');
    expect(board).toBeInvalid();
    expect(screen.getByRole('alert')).toHaveTextContent(
      'A board of 40 mm is too thick for edges of 70 mm. Use board of at most 23.3 mm',
    );
    expect(screen.getByRole('button', { name: 'Save the pattern' })).toBeDisabled();
    await user.clear(board);
    await user.tab();
    expect(screen.getByRole('alert')).toHaveTextContent(/Board thickness/);
  });

  it('takes a face that the next solid has, and sizes of the next line', async () => {
    const { user } = show('/patterns/p');
    await user.selectOptions(await screen.findByLabelText('Solid'), 'dodecahedron');
    expect(screen.getByLabelText('Open face')).toHaveValue('pentagon');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('is picked by its parts in the table, and folds between flat and assembled', async () => {
    const { user } = show('/patterns/p');
    const part = await screen.findByRole('button', { name: /Triangle/ });
    await user.click(part);
    expect(part).toHaveAttribute('aria-pressed', 'true');
    const drawing = screen.getByRole('img', { name: /The thing as it stands/ });
    const before = drawing.innerHTML;
    drawing.focus();
    await user.keyboard('{ArrowLeft}');
    expect(drawing.innerHTML).not.toBe(before);
  });

  it('makes its mould in one step and stays linked; when its size changes it asks whether the mould changes too', async () => {
    const { sent, user } = show('/patterns/p');
    await user.click(await screen.findByRole('button', { name: 'Make the mould' }));
    await waitFor(() => expect(patternsSent(sent)).toHaveLength(1));
    const made = sent.find(({ path }) => path.startsWith('moulds/'))!;
    expect(made.body as MouldInput).toMatchObject({
      name: 'Canal lamp',
      shape: { outer: { kind: 'polyhedron', edge: 70 } },
    });
    expect(patternsSent(sent)[0]!.moulds).toEqual([made.path.replace('moulds/', '')]);
  });

  it('tells of a mould that holds what the pattern made before', async () => {
    const shape = {
      outer: { kind: 'polyhedron' as const, which: 'cuboctahedron' as const, edge: 60, open: 'square' as const },
      cores: [],
      inserts: [],
    };
    const { sent, user } = show('/patterns/p', {
      'patterns/p': { ...lamp, moulds: ['m'] },
      'moulds/all': [{ ...mould, shape }],
    });
    await user.click(await screen.findByRole('button', { name: 'Change the mould too' }));
    await waitFor(() => expect(sent.some(({ path }) => path === 'moulds/m')).toBe(true));
    expect(sent.find(({ path }) => path === 'moulds/m')!.body as MouldInput).toMatchObject({
      shape: { outer: { edge: 70 } },
    });
  });

  it('takes an older revision up again', async () => {
    const { pattern } = lamp;
    const older = {
      revision: 1,
      name: 'Canal lamp',
      madeAt: 0,
      moulds: [],
      cut: true,
      pattern: { ...pattern, edge: 60 },
    };
    const { user } = show('/patterns/p', {
      'patterns/p/revisions': [{ ...older, revision: 2, cut: false, pattern }, older],
    });
    await user.click(await screen.findByRole('button', { name: 'Take it up again' }));
    expect(screen.getByLabelText('Edge inside')).toHaveValue('60 mm');
  });

  it('says at once which length of a gap is likeliest wrong', async () => {
    const pattern = {
      ...firstPatterns.gap,
      sides: [400, 400, 400, 400],
      diagonals: [
        { from: 0, to: 2, length: 566 },
        { from: 1, to: 3, length: 600 },
      ],
    };
    show('/patterns/p', { 'patterns/p': { ...lamp, pattern } });
    expect(await screen.findByText(/The lengths miss each other by 34.\d mm. Tape again./)).toBeVisible();
    expect(screen.getByText(/Likeliest wrong: from corner/)).toBeVisible();
  });
});

it('the fewest sticks for the boards of a box are found and drawn; a stick that is too short is refused by name', async () => {
  const { user } = show('/patterns/new?as=box');
  const slab = within(await screen.findByRole('region', { name: 'Cut from' }));
  expect(await slab.findByText(/^One stick/, undefined, { timeout: 20_000 })).toBeVisible();
  expect(slab.getByText('No way of cutting takes fewer.')).toBeVisible();
  const length = slab.getByLabelText('Length of a stick');
  await user.clear(length);
  await user.type(length, '200{Enter}');
  expect(slab.getByRole('alert')).toHaveTextContent(/Length of a piece is 336 mm/);
  expect(length).toHaveValue('200 mm');
}, 30_000);

it('the faces of a lamp are laid on the sheets that one has, with what they cost; a part that goes on none is named', async () => {
  const ply = {
    id: 'ply',
    name: 'Offcut of ply',
    kind: 'sheet',
    length: 500,
    width: 300,
    thickness: 3,
    count: 2,
    price: 6,
    version: 1,
  };
  const { user } = show('/patterns/p', { store: { ...store, stock: [ply] } });
  const slab = within(await screen.findByRole('region', { name: 'Cut from' }));
  expect(await slab.findByText('From your materials: Offcut of ply.')).toBeVisible();
  expect(
    await slab.findByText(/^One sheet, \d+ % of what is used is waste, €6.00/, undefined, { timeout: 20_000 }),
  ).toBeVisible();
  expect(slab.getByRole('img', { name: /^Sheet 1 with parts/ })).toBeVisible();
  const edge = screen.getByLabelText('Edge inside');
  await user.clear(edge);
  await user.type(edge, '320{Enter}');
  expect(slab.getByRole('alert')).toHaveTextContent('Part A is larger than every sheet');
}, 30_000);

it('patterns are listed as what they make', async () => {
  fakeServer({ patterns: { rows: [lamp], count: 1, before: null, after: null } });
  renderScreen(<PatternsPage />);
  expect(await screen.findByRole('link', { name: /Canal lamp/ })).toHaveAttribute('href', '/patterns/p');
});

it('a cut list has each part with its size, its mitres and its outline', () => {
  const { parts } = workPattern(firstPatterns.solid, { density: 2, liftLimit: 20_000 });
  const { data } = parse<Record<string, string>>(cutListCsv(parts, speakerFor()), { header: true });
  expect(data.map(({ part, count, mitres_deg: mitres }) => [part, count, mitres])).toEqual([
    ['A', '5', '27.4'],
    ['B', '8', '27.4'],
  ]);
  expect(data[0]!.length_mm).toBe('73.1');
  expect(data[0]!.outline_mm!.split(';')).toHaveLength(4);
});
