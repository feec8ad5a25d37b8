import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { fakeServer, mix, renderScreen, store } from '../../test/fake-server';
import { MixPage } from './mix-page';
import { MixesPage } from './mixes-page';
import { resolveMix } from './resolve';

const open = (id: string) => renderScreen(<MixPage />, `/mixes/${id}`, '/mixes/:id');
const names = () => screen.getAllByLabelText(/^Parts of /).map((field) => field.getAttribute('aria-label'));

describe('a recipe with its materials', () => {
  it('leaves out a line whose material is gone', () => {
    const lines = [...mix.lines, { materialId: 'gone', parts: 1 }];
    expect(resolveMix({ ...mix, lines }, store.materials).lines.map(({ material }) => material.id)).toEqual([
      'grey-cement',
      'sharp-sand',
    ]);
  });
});

describe('the mix’s screen', () => {
  it('moves its figures and its column as a line changes', async () => {
    fakeServer();
    open('x');
    const implied = await screen.findByRole('region', { name: 'What it implies' });
    const before = implied.textContent;
    const column = screen.getByRole('img', { name: /^By volume: Grey Portland cement \d+ %/ });
    const first = column.getAttribute('aria-label');
    await userEvent.clear(screen.getByLabelText('Parts of Sharp sand'));
    await userEvent.type(screen.getByLabelText('Parts of Sharp sand'), '4');
    expect(screen.getByRole('region', { name: 'What it implies' }).textContent).not.toBe(before);
    expect(screen.getByRole('img', { name: /^By volume/ }).getAttribute('aria-label')).not.toBe(first);
  });

  it('orders its lines, takes one in and leaves one out', async () => {
    const sent = fakeServer();
    open('x');
    await userEvent.click(await screen.findByRole('button', { name: 'Sharp sand goes in earlier' }));
    expect(names()).toEqual(['Parts of Sharp sand', 'Parts of Grey Portland cement']);
    await userEvent.selectOptions(screen.getByLabelText('Add a material'), 'Pea gravel');
    await userEvent.click(screen.getByRole('button', { name: 'Leave Sharp sand out' }));
    expect(names()).toEqual(['Parts of Grey Portland cement', 'Parts of Pea gravel']);
    await userEvent.click(screen.getByRole('button', { name: 'Save mix' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      path: 'mixes/x',
      body: {
        version: 2,
        lines: [
          { materialId: 'grey-cement', parts: 1 },
          { materialId: 'pea-gravel', parts: 1 },
        ],
      },
    });
  });

  it('without a binder says what is missing and cannot be kept', async () => {
    fakeServer();
    open('x');
    await userEvent.click(await screen.findByRole('button', { name: 'Leave Grey Portland cement out' }));
    expect(screen.getByRole('alert')).toHaveTextContent(/no part of a binder.*Add cement/);
    expect(screen.getByRole('button', { name: 'Save mix' })).toBeDisabled();
    expect(screen.getByText(/Mend the recipe/)).toBeVisible();
  });

  it('too wet for frost is warned of with ways out, and may still be kept', async () => {
    fakeServer();
    open('x');
    await userEvent.click(await screen.findByText('Out in frost'));
    await userEvent.selectOptions(screen.getByLabelText('Consistency'), '6');
    const implied = screen.getByRole('region', { name: 'What it implies' });
    expect(
      within(implied)
        .getAllByRole('listitem')
        .map(({ textContent }) => textContent)
        .join(' '),
    ).toMatch(/plasticiser|cement/);
    expect(screen.getByRole('button', { name: 'Save mix' })).toBeEnabled();
  });
});

describe('all mixes', () => {
  it('tell their parts and what they come to, or that a material is gone', async () => {
    fakeServer({ mixes: [mix, { ...mix, id: 'y', name: 'Broken', lines: [{ materialId: 'gone', parts: 1 }] }] });
    renderScreen(<MixesPage />);
    expect(
      await screen.findByRole('link', { name: /Garden grey.*1 grey Portland cement, 2\.5 sharp sand.*fresh/ }),
    ).toBeVisible();
    expect(screen.getByRole('link', { name: /Broken.*open it and mend it/ })).toBeVisible();
  });
});
