import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { CountedFace } from '@dewpot/contract';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { FacesPage } from './faces-page';

const face = (code: string, over: Partial<CountedFace> = {}): CountedFace => ({
  castId: `id-${code}`,
  code,
  mould: 'Nested pot',
  mix: 'Garden grey',
  at: 0,
  grade: 4,
  share: 0.021,
  per100: 41.4,
  patch: { x: 0.25, y: 0.25, width: 0.5, height: 0.5 },
  across: 60,
  picture: { id: `p-${code}`, width: 800, height: 600 },
  ...over,
});
const PATH = '/findings/faces';
const shown = () => screen.getByRole('img', { name: /one over the other/ });

describe('two faces side by side', () => {
  it('are drawn at one scale, as much as both have, with a slider between them', async () => {
    fakeServer({ 'findings/faces': [face('1a'), face('2b', { across: 30, mix: 'Lean' }), face('3c', { mix: 'Lean' })] });
    renderScreen(<FacesPage />, `${PATH}?cast=id-2b`, PATH);
    await screen.findByRole('region', { name: 'Two faces side by side' });
    // The narrower of both: 30 mm, at 4 to 3.
    expect(shown()).toHaveAttribute('viewBox', '0 0 30 22.5');
    expect(shown()).toHaveAccessibleName('The faces of 2b and 3c, one over the other');
    const [right, left] = shown().querySelectorAll('image');
    expect([left!.getAttribute('width'), right!.getAttribute('width')]).toEqual(['60', '120']);
    expect([left!.getAttribute('x'), right!.getAttribute('x')]).toEqual(['-15', '-30']);
    const slider = screen.getByRole('slider', { name: 'Slide between the two faces' });
    expect(slider).toHaveAttribute('aria-valuetext', '50 % of 2b');
    fireEvent.change(slider, { target: { value: '20' } });
    expect(shown().querySelector('line')).toHaveAttribute('x1', '6');
  }); // prettier-ignore

  it('tell what was counted on each, and either is chosen among all', async () => {
    fakeServer({ 'findings/faces': [face('1a'), face('2b', { share: 0.004, per100: 9.6, grade: 3 })] });
    const router = renderScreen(<FacesPage />, PATH, PATH);
    const right = within(await screen.findByRole('region', { name: 'On the right' }));
    expect(right.getByText('0.40 %')).toBeVisible();
    expect(right.getByText('Grade 3 of 5')).toBeVisible();
    await userEvent.selectOptions(right.getByLabelText('On the right'), '1a, Nested pot, Garden grey');
    expect(router.state.location.search).toContain('right=p-1a');
  });

  it('say what to do where there are fewer than two', async () => {
    fakeServer({ 'findings/faces': [face('1a')] });
    renderScreen(<FacesPage />, PATH, PATH);
    expect(await screen.findByText(/Count the voids of a face on a photo/)).toBeVisible();
  });
});
