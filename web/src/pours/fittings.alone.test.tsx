import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { MouldView, PourInput } from '@dewpot/contract';
import { fakeServer, mould, renderScreen } from '../../test/fake-server';
import { PourPage } from './pour-page';

/** A square stands for letters: how they are set is tested with their face. */
vi.mock('./lettering', () => ({
  lettersOf: ({ height }: { height: number }) => {
    const half = height / 2;
    return Promise.resolve([[[-half, -half], [half, -half], [half, half], [-half, half]]]); // prettier-ignore
  },
}));

const slab: MouldView = {
  ...mould,
  name: 'Stepping round',
  piece: 'slab',
  copies: [],
  meshOpening: 12,
  shape: {
    outer: { kind: 'round-frustum', bottomDiameter: 300, topDiameter: 300, height: 45 },
    cores: [],
    inserts: [{ name: 'The peg', bottom: 0, x: 100, solid: { kind: 'round-frustum', bottomDiameter: 12, topDiameter: 12, height: 45 } }], // prettier-ignore
  },
};

async function open() {
  const sent = fakeServer({ moulds: [slab] });
  renderScreen(<PourPage />, '/pours/new', '/pours/:id');
  await userEvent.click(await screen.findByText('In the mould'));
  return sent;
}
const keep = async () => {
  await waitFor(() => expect(screen.getByRole('button', { name: 'Save for later' })).toBeEnabled());
  await userEvent.click(screen.getByRole('button', { name: 'Save for later' }));
};
const itemsOf = (sent: readonly { body: unknown }[]) => (sent[0]!.body as PourInput).items;

describe('what goes into a mould beside the mix', () => {
  it('is lettering, shown as it lies and as it is read, with what it leaves, and kept with the plan', async () => {
    const sent = await open();
    await userEvent.click(screen.getByText('Letters, a number'));
    await userEvent.type(screen.getByLabelText('The letters, a line each'), '7');
    expect(await screen.findByRole('img', { name: 'As it lies, looking down into the mould' })).toBeVisible();
    expect(screen.getByRole('img', { name: 'As it is read on the cast' })).toBeVisible();
    const inset = screen.getByRole('region', { name: 'Inlay or relief' });
    expect(within(inset).getByText('42 mm')).toBeVisible();
    expect(within(inset).getByRole('button', { name: 'Template, 1:1' })).toBeVisible();
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(itemsOf(sent)[0]!.inset).toMatchObject({
      name: '7',
      face: 'mould',
      thickness: 3,
      letters: { text: '7', font: 'serif', height: 60 },
    });
  });

  it('that reaches over the edge is told where it is set and at the sheet, and nothing is lost', async () => {
    await open();
    await userEvent.click(screen.getByText('Letters, a number'));
    await userEvent.type(screen.getByLabelText('The letters, a line each'), '7');
    const right = await screen.findByLabelText('To the right');
    await userEvent.clear(right);
    await userEvent.type(right, '140 mm{Tab}');
    await waitFor(() => expect(screen.getAllByText(/“7” reaches over the edge of its face/)).toHaveLength(2));
    expect(screen.getByRole('button', { name: 'Start this pour' })).toBeDisabled();
    expect(screen.getByLabelText('The letters, a line each')).toHaveValue('7');
  });

  it('is mesh where the mould usually has some, and inserts that can be left out', async () => {
    const sent = await open();
    const mesh = screen.getByLabelText('Mesh or wire, laid in at half depth');
    expect(mesh).toBeChecked();
    const cuts = () => screen.getByRole('region', { name: 'Preparation' }).textContent;
    await waitFor(() => expect(cuts()).toContain('1 × Mesh'));
    expect(cuts()).toContain('1 × The peg');
    await userEvent.click(mesh);
    await userEvent.click(screen.getByLabelText('The peg'));
    await waitFor(() => expect(cuts()).not.toMatch(/Mesh|The peg/));
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(itemsOf(sent)[0]).toMatchObject({ mesh: false, without: ['The peg'] });
  });

  it('that stood on an insert lies free once that is left out', async () => {
    await open();
    await userEvent.click(screen.getByText('Letters, a number'));
    await userEvent.type(screen.getByLabelText('The letters, a line each'), '7');
    const right = await screen.findByLabelText('To the right');
    await userEvent.clear(right);
    await userEvent.type(right, '-100 mm{Tab}');
    const inset = screen.getByRole('region', { name: 'Inlay or relief' });
    expect(await within(inset).findByText(/with what stands on it/)).toBeVisible();
    await userEvent.click(screen.getByLabelText('The peg'));
    await waitFor(() => expect(within(inset).queryByRole('alert')).toBeNull());
    expect(within(inset).getByRole('button', { name: 'Template, 1:1' })).toBeVisible();
  });

  it('is filled from one bucket unless it may be split, which faces that must match never are', async () => {
    const sent = await open();
    const split = () => screen.getByRole('checkbox', { name: /may be filled from more than one bucket/ });
    await userEvent.click(screen.getByText('Colour'));
    await userEvent.click(screen.getByText('bands'));
    await waitFor(() => expect(split()).toBeDisabled());
    await userEvent.click(screen.getByText('in the mix’s own colour'));
    await waitFor(() => expect(split()).toBeEnabled());
    await userEvent.click(split());
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(itemsOf(sent)[0]!.split).toBe(true);
  });
});
