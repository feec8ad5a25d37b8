import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { cast, castDetail } from '../../test/stand-ins';
import type { PhotoColour } from '../ui/photo-colour';
import { ColourPage } from './colour-page';

const found = vi.hoisted(() => ({ now: { colour: '#b8b0a2', sure: true } as PhotoColour }));
vi.mock('../ui/photo-colour', () => ({
  PhotoColourPick: ({ onColour }: { onColour: (colour: PhotoColour) => void }) => <button onClick={() => onColour(found.now)}>a click</button>, // prettier-ignore
}));

const PATH = '/findings/colour';
const one = castDetail(cast('1a'));

describe('the colour of a face', () => {
  it('stands beside the one that was wanted, and is kept with the cast', async () => {
    const sent = fakeServer({ 'casts/id-1a': one, 'POST casts': one });
    renderScreen(<ColourPage />, `${PATH}?cast=id-1a`, PATH);
    await userEvent.click(await screen.findByRole('button', { name: 'a click' }));
    expect(screen.getByText(/^ΔE \d/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Keep this colour with the cast' }));
    expect(sent.at(-1)).toMatchObject({ path: 'casts/id-1a/events', body: { type: 'colour-seen', colour: '#b8b0a2' } });
  });

  it('out of a photo without a card is shown and not kept', async () => {
    found.now = { colour: '#b8b0a2', sure: false };
    fakeServer({ 'casts/id-1a': one });
    renderScreen(<ColourPage />, `${PATH}?cast=id-1a`, PATH);
    await userEvent.click(await screen.findByRole('button', { name: 'a click' }));
    expect(screen.getByText(/cannot be relied on/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Keep this colour with the cast' })).toBeDisabled();
  });

  it('wants a cast', async () => {
    fakeServer({});
    renderScreen(<ColourPage />, PATH, PATH);
    expect(await screen.findByText(/Open the page of a cast/)).toBeVisible();
  });
});
