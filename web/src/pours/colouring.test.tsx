import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { fakeServer, mix, renderScreen, brick, straw } from '../../test/fake-server';
import { evened, ofKind, withMore, without } from './colouring-draft';
import { PourPage } from './pour-page';

const white = {
  ...mix,
  lines: [
    { materialId: 'white-cement', parts: 1 },
    { materialId: 'fine-sand', parts: 2 },
  ],
};

async function planBands(count = 2) {
  const sent = fakeServer({ mixes: [white] });
  renderScreen(<PourPage />, '/pours/new', '/pours/:id');
  await userEvent.click(await screen.findByText('Colour'));
  await userEvent.click(screen.getByText('bands'));
  for (let i = 2; i < count; i++) await userEvent.click(screen.getByRole('button', { name: /One band more/ }));
  return sent;
}
const turns = () =>
  within(screen.getByRole('region', { name: /tint by tint/ }))
    .getAllByRole('heading', { level: 3 })
    .map((one) => one.textContent);

describe('a colouring', () => {
  it('keeps its tints when its kind changes, and its shares always come to the whole', () => {
    const bands = ofKind('banded', undefined, [brick, straw]);
    expect(bands).toMatchObject({ by: 'height', edge: 'crisp', parts: [{ tint: 'brick' }, { tint: 'straw' }] });
    const more = withMore(bands, 'brick');
    const whole = ({ parts }: typeof bands) => parts.reduce((sum, { share }) => sum + share, 0);
    for (const one of [
      bands,
      more,
      without(more, 0),
      evened(more),
      ofKind('splash', more, [brick]),
      ofKind('swirled', bands, [brick]),
    ])
      expect(whole(one)).toBeCloseTo(1, 12);
    expect(ofKind('marbled', more, [brick]).parts.map(({ tint }) => tint)).toEqual(['brick', 'straw', 'brick']);
    expect(ofKind('solid', more, [brick]).parts).toEqual([{ tint: 'brick', share: 1 }]);
  });
});

describe('a pour in bands', () => {
  it('tells each band’s volume on the section, and its batch with grams and waits in its turn', async () => {
    await planBands(3);
    expect(screen.getByRole('img', { name: /Section with 3 layers, from the bottom up/ })).toBeVisible();
    expect(turns()).toEqual([
      expect.stringContaining('Old brick'),
      expect.stringContaining('Straw'),
      expect.stringContaining('Old brick'),
    ]);
    expect(screen.getAllByText(/^Wait .* after the layer below$/)).toHaveLength(2);
    expect(screen.getByText(/Wash bowl, tools and gloves until the water stays clear/)).toBeVisible();
  });

  it('moves a band, and says by how much shares miss the whole', async () => {
    await planBands();
    await userEvent.click(screen.getByRole('button', { name: 'Move band 1 from the bottom up' }));
    expect(turns()[0]).toContain('Straw');
    const share = screen.getByLabelText('Share of band 1 from the bottom, per cent');
    await userEvent.clear(share);
    await userEvent.type(share, '20');
    expect(await screen.findByText('The shares come to 70 %: bring them to 100.')).toBeVisible();
    expect(screen.getByText(/The shares on Nested pot come to 70 %, not to 100/)).toBeVisible();
    await waitFor(() => expect(screen.getByRole('button', { name: 'Start this pour' })).toBeDisabled());
    await userEvent.click(screen.getByRole('button', { name: 'Share evenly' }));
    await waitFor(() => expect(screen.getByRole('button', { name: 'Start this pour' })).toBeEnabled());
  });

  it('with soft edges is hurried and not waited for', async () => {
    await planBands();
    await userEvent.click(screen.getByText('blended'));
    expect(screen.getByText(/^Within .* of the layer below$/)).toBeVisible();
  });

  it('goes to the server with its shares', async () => {
    const sent = await planBands();
    await waitFor(() => expect(screen.getByRole('button', { name: 'Save for later' })).toBeEnabled());
    await userEvent.click(screen.getByRole('button', { name: 'Save for later' }));
    expect(sent.find(({ method }) => method === 'PUT')!.body).toMatchObject({
      items: [
        {
          colouring: {
            kind: 'banded',
            by: 'height',
            edge: 'crisp',
            parts: [
              { tint: 'brick', share: 0.5 },
              { tint: 'straw', share: 0.5 },
            ],
          },
        },
      ],
    });
  });
});

describe('a marbled pour', () => {
  it('shows a likeness, another on request, and says that it is only that', async () => {
    fakeServer({ mixes: [white] });
    renderScreen(<PourPage />, '/pours/new', '/pours/:id');
    await userEvent.click(await screen.findByText('Colour'));
    await userEvent.click(screen.getByText('marbled'));
    const face = () => screen.getByRole('img', { name: 'Nested pot: marbled' }).innerHTML;
    const before = face();
    expect(screen.getByText('A likeness only: no two pours run alike.')).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'New preview' }));
    expect(face()).not.toBe(before);
  });
});
