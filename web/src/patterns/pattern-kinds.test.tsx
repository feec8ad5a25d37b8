import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { cutPatternKinds, insideKinds } from '@dewpot/core/patterns';
import type { PatternGiven, PatternSheetInput } from '@dewpot/contract';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { firstPatterns } from './first-patterns';
import { fieldsOf, valueAt, withValue } from './pattern-fields';
import { PatternPage } from './pattern-page';

function begin(kind: string) {
  const sent = fakeServer();
  renderScreen(<PatternPage />, `/patterns/new?as=${kind}`, '/patterns/:id');
  const user = userEvent.setup();
  /** What is kept of it under a name. */
  const kept = async (): Promise<PatternGiven> => {
    await user.type(screen.getByLabelText('Name of the pattern'), 'Weir');
    await user.click(screen.getByRole('button', { name: 'Save the pattern' }));
    await waitFor(() => expect(sent.some(({ path }) => path.startsWith('patterns/'))).toBe(true));
    return (sent.find(({ path }) => path.startsWith('patterns/'))!.body as PatternSheetInput).pattern;
  };
  const type = async (label: string, text: string) => {
    const field = screen.getByLabelText(label);
    await user.clear(field);
    await user.type(field, `${text}{Enter}`);
  };
  return { user, kept, type };
}

describe('every kind of pattern', () => {
  it('is offered with its picture where nothing was chosen', async () => {
    fakeServer();
    renderScreen(<PatternPage />, '/patterns/new', '/patterns/:id');
    expect(await screen.findAllByRole('link')).toHaveLength(cutPatternKinds.length);
    expect(document.querySelectorAll('main svg, li svg')).toHaveLength(cutPatternKinds.length);
  });

  it.each(cutPatternKinds)(
    '%s: begins with sizes that go together, draws, answers, and is kept as it is',
    async (kind) => {
      const { kept } = begin(kind);
      const follows = within(await screen.findByRole('region', { name: 'What follows' }));
      expect(follows.getAllByText('Where does this come from?').length).toBeGreaterThan(0);
      expect(screen.queryByRole('alert')).toBeNull();
      expect(within(screen.getByRole('region', { name: 'Drawing' })).getByRole('img')).toBeVisible();
      expect(screen.getAllByRole('row').length).toBeGreaterThan(1);
      expect(await kept()).toEqual(firstPatterns[kind]);
    },
  );

  it.each(cutPatternKinds)('%s: every field has a name of its own and holds what the pattern has there', (kind) => {
    const pattern = firstPatterns[kind];
    const fields = fieldsOf(pattern);
    expect(new Set(fields.map(({ path }) => path)).size).toBe(fields.length);
    for (const field of fields) {
      const value = valueAt(pattern, field.path);
      if (field.kind === 'choice') expect(field.options.map((one) => one.value)).toContain(value);
      else if (field.kind === 'part') expect(value).toBeUndefined();
      else if (!field.optional) expect(value).toEqual(expect.any(Number));
    }
  });
});

describe('what is typed into a pattern', () => {
  it('goes where its path says; an optional size that is emptied is left out', () => {
    const { solid } = firstPatterns;
    const held = withValue(withValue(solid, 'holder.diameter', 40), 'holder.depth', 30);
    expect(held.holder).toEqual({ diameter: 40, depth: 30 });
    expect('screw' in withValue(firstPatterns.box, 'screw', undefined)).toBe(false);
    expect(solid).toEqual(firstPatterns.solid);
  });

  it('a box has a hollow for a product and a lamp room for its holder where that is ticked, and then their sizes', async () => {
    const { user, kept } = begin('box');
    await user.click(await screen.findByLabelText('Hollow for a product'));
    expect(screen.getByLabelText('Length of the product')).toHaveValue('180 mm');
    expect(await kept()).toMatchObject({ hollow: { length: 180, width: 120, gap: 4, depth: 12, fall: 2 } });
  });

  it.each(insideKinds)('%s that stands in a mould begins with sizes that go together', async (what) => {
    const { user, kept } = begin('inside');
    await user.selectOptions(await screen.findByLabelText('What it is'), what);
    expect(screen.queryByRole('alert')).toBeNull();
    expect(await kept()).toMatchObject({ kind: 'inside', piece: { what } });
  });

  it('a strip mould without a channel is one wall round an area', async () => {
    const { user, kept } = begin('strip');
    await user.selectOptions(await screen.findByLabelText('Line'), 'heart');
    await user.clear(screen.getByLabelText('Channel width'));
    await user.tab();
    expect(screen.getByText('Wall')).toBeVisible();
    const pattern = await kept();
    expect(pattern).toMatchObject({ kind: 'strip', line: { shape: 'heart' } });
    expect('channel' in pattern).toBe(false);
  });

  it('an arc and a spiral begin with sizes of their own, and any outline with one that is drawn', async () => {
    const { user } = begin('strip');
    const line = await screen.findByLabelText('Line');
    for (const [shape, label] of [
      ['arc', 'Angle of the arc'],
      ['spiral', 'Turns'],
      ['heart', 'Width of the heart'],
    ] as const) {
      await user.selectOptions(line, shape);
      expect(screen.getByLabelText(label)).not.toHaveValue('');
      expect(screen.queryByRole('alert')).toBeNull();
    }
    await user.selectOptions(line, 'free');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('a side more of a gap asks for a diagonal more, until there is one; one that is taken out is gone', async () => {
    const { user } = begin('gap');
    await user.click(await screen.findByRole('button', { name: 'Add a side' }));
    expect(screen.getByRole('alert')).toHaveTextContent(
      'With one diagonal the gap cannot be divided into triangles. Tape at least 2 diagonals',
    );
    expect(screen.getByRole('button', { name: 'Save the pattern' })).toBeDisabled();
    await user.click(screen.getByRole('button', { name: 'Remove side 5' }));
    expect(screen.queryByRole('alert')).toBeNull();
    await user.click(screen.getByRole('button', { name: /^Remove diagonal/ }));
    expect(screen.getByRole('alert')).toHaveTextContent('Without diagonals the gap cannot be divided');
  });

  it('a window of a house is moved in its wall; one that meets the door is refused by its number', async () => {
    const { user, type, kept } = begin('house');
    await user.click(await screen.findByRole('button', { name: 'Add a window or door' }));
    const openings = screen.getByRole('region', { name: 'Windows and doors' });
    const second = within(within(openings).getAllByRole('listitem')[1]!);
    await user.selectOptions(second.getByLabelText('In'), 'front');
    expect(screen.getByRole('alert')).toHaveTextContent('The opening meets opening 1.');
    const left = second.getByLabelText('From the left');
    await user.clear(left);
    await user.type(left, '165{Enter}');
    expect(screen.queryByRole('alert')).toBeNull();
    await type('Overhang', '90');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(await kept()).toMatchObject({ overhang: 90, openings: [{ wall: 'front' }, { wall: 'front', x: 165 }] });
  });

  it('a planted roof asks for its soil, and weighs more with it', async () => {
    const { user, type } = begin('house');
    expect(screen.queryByLabelText('Soil depth')).toBeNull();
    await user.selectOptions(await screen.findByLabelText('Roof'), 'planted');
    const told = () => screen.getByText('Assembled, fresh').nextSibling!.textContent;
    const before = told();
    await type('Soil depth', '40');
    expect(told()).not.toBe(before);
    expect(screen.getByText(/Line the planted roof/)).toBeVisible();
  });

  it('a bed of three levels asks for an engineer, and half a level is none', async () => {
    const { type } = begin('bed');
    await screen.findByRole('region', { name: 'What follows' });
    await type('Levels', '4');
    expect(screen.getByText(/ask an engineer/)).toBeVisible();
    await type('Levels', '2.5');
    expect(screen.getByRole('alert')).toHaveTextContent('2.5 is not a whole number of levels.');
  });
});
